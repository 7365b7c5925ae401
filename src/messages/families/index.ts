import type { Family, FamilySums, Sheet } from '@/core';
import { bank, gauge, knob, loop, walk } from './bank';
import type { FamilyWords } from './contract';
import { light, rule } from './light';
import { mix } from './mix';
import { program } from './program';
import { pulsed } from './pulsed';
import { sound } from './sound';
import { beam, timed } from './timed';

const FAMILIES: { readonly [F in Family]: FamilyWords<F> } = {
  bank,
  loop,
  walk,
  knob,
  gauge,
  timed,
  beam,
  pulsed,
  mix,
  program,
  light,
  rule,
  sound,
};

/** The words of the family that some sums are of; each of them is given these sums. */
export function familyWords({ family }: FamilySums): FamilyWords<Family> {
  // One name always goes with its own sums, which TypeScript cannot see through the union.
  return FAMILIES[family] as unknown as FamilyWords<Family>;
}

/** A lesson in one line: `red lamp, 330 Ω, 3 AA cells, fresh: 8.85 mA`, or `3 blue and 2 red lamps, …`. */
export function lessonLine({ sums }: Pick<Sheet, 'sums'>): string {
  return familyWords(sums.own).line(sums.own, sums);
}

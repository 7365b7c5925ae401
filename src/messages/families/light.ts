import { formatQuantity, type LessonSums, type LightSums, type Sheet } from '@/core';
import { lightLines, lightPath, lightPredictions, lightTalk, otherLight, SCENE_WORDS } from '../light';
import { lampName, supplyName } from '../names';
import { ruleLines, rulePath, rulePredictions, ruleTalk } from '../rule';
import { bank } from './bank';
import type { FamilyWords } from './contract';

type Lit = { readonly light: LightSums };

/** What both say: how the lamp follows the light, whatever switches it. */
const FOLLOWS = {
  line: ({ light }: Lit, { design, supply }: LessonSums) => {
    const lamp = design.lamps[0]!;
    return `${lampName(lamp.type)} lamp, lit ${SCENE_WORDS[light.lit]} and dark ${SCENE_WORDS[light.dark]}, ${supplyName(supply)}: ${formatQuantity(lamp.amps, 'A')}`;
  },
  headline: ({ light: { switches } }: Lit, sums: LessonSums) =>
    switches.typical === undefined
      ? bank.headline({ family: 'bank' }, sums)
      : `switches at ${formatQuantity(switches.typical, 'lx', 2)}`,
  // The figures are those of the circuit that is wanted: of a board that makes another nothing is said.
  alsoTry: ({ light }: Lit, { built, sums }: Sheet) =>
    built.asWanted ? otherLight(light, sums.design.lamps.length > 1 ? 'D1' : undefined) : '',
  isMean: false,
  isMeanPower: false,
} as const;

export const light: FamilyWords<'light'> = {
  ...FOLLOWS,
  blocks: ({ light: own }, level) =>
    level === 'full working' ? [{ title: 'The light at which it switches', lines: lightLines(own) }] : [],
  seen: (_own, lamps) => lamps,
  path: ({ light: own }) => lightPath(own),
  sum: ({ light: own }) => lightTalk(own),
  predict: ({ light: own }) => lightPredictions(own),
  fedBy: 'output',
};

export const rule: FamilyWords<'rule'> = {
  ...FOLLOWS,
  blocks: ({ rule: own, light: lit }, level) =>
    level === 'full working'
      ? [{ title: 'The readings between which it decides', lines: ruleLines(own, lit) }]
      : [],
  seen: (_own, lamps) => lamps,
  path: ({ rule: own }) => rulePath(own),
  sum: ({ rule: own }) => ruleTalk(own),
  predict: ({ rule: own, light: lit }) => rulePredictions(own, lit),
  fedBy: 'pin',
};

import {
  DEFAULT_STYLE,
  makeSheet,
  PATTERNS,
  type PatternChoice,
  type PatternId,
  type SheetRequest,
} from '@/core';
import { benchRequest } from './request';
import { median, ms, type Line } from './measure';

/** Lessons whose bands take longest to draw. */
const LARGEST: readonly PatternId[] = ['alternate', 'chain', 'beam-alarm', 'sound-lights', 'panel'];

/** From a keystroke to new figures: the whole sheet, as the worker makes it; of the largest lessons the outline before it. */
export function benchSheet(): Line[] {
  const sheet = (samples: number) => median(() => makeSheet(benchRequest(samples)), 15);
  return [
    { work: 'sheet without draws: sums, plan, read-back, steps, kit', figure: ms(sheet(1)) },
    { work: 'keystroke to new figures (4,000 draws of two circuits)', figure: ms(sheet(4000)) },
    { work: 'sheet at rest (20,000 draws of two circuits)', figure: ms(sheet(20000)) },
    ...LARGEST.flatMap(outlines),
  ];
}

/** The outline of a lesson: laid out anew, and while only a value changes and the plan serves again. */
function outlines(pattern: PatternId): Line[] {
  const choice = {
    pattern,
    params: PATTERNS[pattern].defaults(DEFAULT_STYLE),
    build: { board: 'full', spacing: 'clear', held: 'upright' },
  } as PatternChoice;
  const request: SheetRequest = { ...benchRequest(4000), choice, outline: true };
  const first = makeSheet(request);
  if (!first.ok || first.value.method === 'kept') return [];
  const { plan, method, layoutKey } = first.value;
  const again = { ...request, earlier: { plan, method, layoutKey } };
  return [
    { work: `outline of ${pattern}, laid out anew`, figure: ms(median(() => makeSheet(request), 5)) },
    { work: `outline of ${pattern}, a value changed`, figure: ms(median(() => makeSheet(again), 5)) },
  ];
}

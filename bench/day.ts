import {
  BARE_SHELF,
  choiceSchema,
  dayOf,
  DEFAULT_STYLE,
  diagramOf,
  PATTERNS,
  workOut,
  type PatternId,
} from '@/core';
import { median, ms, type Line } from './measure';

/** From a changed wish to its waveform, for lessons of one chip and of two; and their diagrams. */
export function benchDay(): Line[] {
  const lines = (['blink', 'one-shot', 'alternate', 'chain'] as const).map((pattern): Line => ({
    work: `waveform of ${pattern}, from its wish (goal 100)`,
    figure: ms(median(() => dayOf(wishOf(pattern), 'nothing'), 15)),
  }));
  const worked = workOut(wishOf('chain'), true);
  const diagram = ms(median(() => worked.ok && diagramOf(worked.value.circuit), 7));
  return [...lines, { work: 'diagram of two chips', figure: diagram }];
}

function wishOf(pattern: PatternId) {
  const params: unknown = PATTERNS[pattern].defaults(DEFAULT_STYLE);
  return {
    choice: choiceSchema.parse({ pattern, params }),
    style: DEFAULT_STYLE,
    shelf: BARE_SHELF,
    stock: [],
  };
}

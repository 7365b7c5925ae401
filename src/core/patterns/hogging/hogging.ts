import { z } from 'zod';
import { LAMP_TYPES } from '../../catalogue/lamps';
import type { SupplyChoice } from '../../catalogue/supplies';
import { refused, type Outcome } from '../../findings/finding';
import type { Goal } from '../goal';
import type { Design, Means, Pattern } from '../pattern';
import type { LessonSums } from '../steady/figures';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, supplyPart } from '../steady/parts';
import { judgeWay } from '../steady/ways';
import { supplyRefusals } from '../wishes';

export const hoggingParams = z.strictObject({
  lamps: z.array(z.enum(LAMP_TYPES)).min(2).max(6).readonly(),
  volts: z.number().min(0.5).max(1000),
  limitAmps: z.number().min(1e-3).max(0.02),
});
export type HoggingParams = z.output<typeof hoggingParams>;

/** Unlike lamps side by side on a current-limited bench supply: why the one with the lowest forward volts takes all. */
export const hogging: Pattern<'hogging', HoggingParams> = {
  id: 'hogging',
  params: hoggingParams,
  board: 'half',
  after: ['strings'],
  goals,
  defaults: () => ({ lamps: ['red', 'green', 'blue'], volts: 5, limitAmps: 0.015 }),
  design,
};

/** One of them takes the current, and the others stay dark. */
function goals({ design: { lamps } }: LessonSums): Goal[] {
  const [first, ...rest] = lamps.filter(({ brightness }) => brightness !== 'dark').map(({ part }) => part);
  return [{ code: 'one-takes-all', met: first !== undefined && rest.length === 0, parts: rest }];
}

function design({ lamps, volts, limitAmps }: HoggingParams, means: Means): Outcome<Design> {
  const unfit = supplyRefusals(volts);
  if (unfit.length) return refused(...unfit);
  const supply: SupplyChoice = { kind: 'bench', cells: 1, age: 'fresh', volts, limitAmps };
  const ids = lamps.map((type, i) => ({ part: `D${i + 1}`, type }));
  const sorts = Object.fromEntries(ids.map(({ part, type }) => [part, type]));
  const circuit = circuitFrom([
    supplyPart(supply),
    ...ids.map(({ part, type }) => lampPart(part, PLUS, MINUS, means.shelf.lamps[type])),
  ]);
  const way = { ...judgeWay({ kind: 'none', length: 1, supply, circuit, sorts }, means), taken: true };
  const made = finish({ circuit, supply, sorts, findings: way.why, ways: [way] }, means);
  return made;
}

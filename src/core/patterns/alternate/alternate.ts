import { z } from 'zod';
import type { TimingWish } from '../../answers/timing';
import { capacitorsOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { accepted, refused, type Outcome } from '../../findings/finding';
import type { Means, Pattern } from '../pattern';
import { circuitFrom, lampPart, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { chipParts, drivenParts, nodesOf } from '../timed/chip';
import { timedCheckpoints } from '../timed/checkpoints';
import { finishTimed, type Factors, type PlannedLesson, type PlannedChip } from '../timed/finish';
import { drivenLamp } from '../timed/lamp';
import { pickTiming, type Picked } from '../timed/pick';
import { takenFor, takenSchema } from '../timed/taken';
import { chipRefusals, lampSchema, secondsSchema, timedWishes } from '../timed/wishes';

export const alternateParams = z.strictObject({
  ...timedWishes,
  /** The colour of the first burst and of the second. */
  lamps: z.tuple([lampSchema, lampSchema]),
  /** From one flash of a burst to the next. */
  flash: secondsSchema,
  /** Flashes of one colour before the other's turn. */
  flashes: z.number().int('must be a whole number').min(2).max(40),
  taken: takenSchema,
});
export type AlternateParams = z.output<typeof alternateParams>;

const SLOW = { r: 'R1', c: 'C1' } as const;
const FAST = { r: 'R2', c: 'C2' } as const;

/**
 * Two output-driven timers, a slow and a fast one, with two lamps the opposite ways round on one resistor between their outputs: while
 * the slow one is up, the first flashes with the fast one's lows; while it is down, the second with its highs.
 */
export const alternate: Pattern<'alternate', AlternateParams> = {
  id: 'alternate',
  params: alternateParams,
  board: 'full',
  after: ['blink-simple'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    lamps: ['red', 'green'],
    amps: 0.008,
    flash: 0.4,
    flashes: 10,
    quiet: false,
  }),
  design: (params, means) => finishTimed((factors) => plan(params, means, factors), means),
};

function plan(params: AlternateParams, means: Means, factors: Factors): Outcome<PlannedLesson> {
  const { family, lamps, flash, flashes, amps } = params;
  const supply = supplyFigures(params.supply);
  const unfit = chipRefusals(family, supply.volts);
  if (unfit.length > 0) return refused(...unfit);
  const between = (part: string, i: 0 | 1) =>
    drivenLamp(
      { part, type: lamps[i], resistor: 'R3', lit: 'up', against: true },
      { ...params, supply },
      means,
    );
  const [one, other] = [between('D1', 0), between('D2', 1)];
  if (!one.ok) return one;
  if (!other.ok) return other;
  // One resistor for both: the lamp that is lit keeps what stands backwards across the other to its own forward volts.
  // With a resistor each, the dark one would bear the whole drive.
  const chosen = Math.max(one.value.chosen, other.value.chosen);
  const decidedBy = one.value.chosen === chosen ? 'D1' : 'D2';
  const strings = [one.value, other.value].map((sum) => ({ ...sum, chosen, decidedBy }));
  // Each output carries a lamp for half of the time that it is up, and for half of what it is down.
  const load = { up: amps / 2, down: amps / 2 };
  const wished = { U1: 2 * flashes * flash, U2: flash } as const;
  const pick = (chip: 'U1' | 'U2'): Outcome<Picked> => {
    const seconds = wished[chip] * (factors[chip] ?? 1);
    const wish: TimingWish = { form: 'output-driven', family, volts: supply.volts, seconds, load };
    return takenFor(chip, params.taken, wish, means) ?? pickTiming(wish, means, params.values);
  };
  const [slow, fast] = [pick('U1'), pick('U2')];
  if (!slow.ok) return slow;
  if (!fast.ok) return fast;
  const { shelf, style } = means;
  const tolerance = toleranceOf(style);
  const drawer = capacitorsOf(shelf);
  const chipOf = (
    number: 1 | 2,
    names: typeof SLOW | typeof FAST,
    { taken, options }: Picked,
  ): PlannedChip => ({
    number,
    form: 'output-driven',
    family,
    names,
    values: { r: taken.r, farads: taken.farads },
    wanted: { period: wished[`U${number}`] },
    options,
    closed: taken,
  });
  const chips = [chipOf(1, SLOW, slow.value), chipOf(2, FAST, fast.value)];
  const [first, second] = [nodesOf(1), nodesOf(2)];
  const quiet = [
    { across: 'C5', control: 'C3' },
    { across: 'C6', control: 'C4' },
  ];
  const halfOf = (number: 1 | 2) => {
    const { names, values } = chips[number - 1]!;
    const { output, timing } = nodesOf(number);
    const small = params.quiet ? quiet[number - 1] : undefined;
    return [
      ...chipParts(number, family, { trigger: timing, threshold: timing, output }, small),
      ...drivenParts(number, names, values, drawer, tolerance),
    ];
  };
  const circuit = circuitFrom([
    supplyPart(params.supply),
    ...halfOf(1),
    resistorPart('R3', first.output, 'lamps', chosen, tolerance),
    lampPart('D1', 'lamps', second.output, shelf.lamps[lamps[0]]),
    lampPart('D2', second.output, 'lamps', shelf.lamps[lamps[1]]),
    // The second half comes last: until then the first can be tested by itself.
    ...halfOf(2),
  ]);
  return accepted({
    circuit,
    supply: params.supply,
    sorts: { D1: lamps[0], D2: lamps[1] },
    strings,
    burst: flashes,
    chips,
    checkpoints: timedCheckpoints(circuit, { by: 'flashes', lamps: ['D1', 'D2'], pauses: true }),
  });
}

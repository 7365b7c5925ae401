import { z } from 'zod';
import { capacitorsOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { accepted, refused, type Outcome } from '../../findings/finding';
import type { Means, Pattern } from '../pattern';
import type { StringSum } from '../steady/figures';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { chipParts, drivenParts, nodesOf } from '../timed/chip';
import { timedCheckpoints } from '../timed/checkpoints';
import { finishTimed, type Factors, type PlannedLesson, loadOf } from '../timed/finish';
import { drivenLamp, type DrivenLamp } from '../timed/lamp';
import { pickTiming } from '../timed/pick';
import { takenFor, takenSchema } from '../timed/taken';
import { chipRefusals, lampSchema, secondsSchema, timedWishes } from '../timed/wishes';

export const blinkSimpleParams = z.strictObject({
  ...timedWishes,
  /** Lit while the output is up. */
  lamp: lampSchema,
  /** Lit while the output is down, from the plus rail; none where it is left out. */
  second: lampSchema.optional(),
  /** Once round: up and down. */
  seconds: secondsSchema,
  taken: takenSchema,
});
export type BlinkSimpleParams = z.output<typeof blinkSimpleParams>;

const NAMES = { r: 'R1', c: 'C1' } as const;

/** The timer driven by its own output through one resistor: up and down take about as long as one another. */
export const blinkSimple: Pattern<'blink-simple', BlinkSimpleParams> = {
  id: 'blink-simple',
  params: blinkSimpleParams,
  board: 'half',
  after: ['single'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    lamp: 'red',
    second: 'green',
    amps: 0.008,
    seconds: 1.2,
    quiet: false,
  }),
  design: (params, means) => finishTimed((factors) => plan(params, means, factors), means),
};

function plan(params: BlinkSimpleParams, means: Means, factors: Factors): Outcome<PlannedLesson> {
  const { family, lamp, second, seconds } = params;
  const supply = supplyFigures(params.supply);
  const unfit = chipRefusals(family, supply.volts);
  if (unfit.length > 0) return refused(...unfit);
  const lamps: DrivenLamp[] = [
    { part: 'D1', type: lamp, resistor: 'R2', lit: 'up' },
    ...(second ? [{ part: 'D2', type: second, resistor: 'R3', lit: 'down' } as const] : []),
  ];
  const strings: StringSum[] = [];
  for (const one of lamps) {
    const sum = drivenLamp(one, { ...params, supply }, means);
    if (!sum.ok) return sum;
    strings.push(sum.value);
  }
  const wish = {
    form: 'output-driven',
    family,
    volts: supply.volts,
    seconds: seconds * (factors['U1'] ?? 1),
    load: loadOf(strings),
  } as const;
  const picked = takenFor('U1', params.taken, wish, means) ?? pickTiming(wish, means, params.values);
  if (!picked.ok) return picked;
  const { taken, options } = picked.value;
  const values = { r: taken.r, farads: taken.farads };
  const tolerance = toleranceOf(means.style);
  const { output, timing } = nodesOf(1);
  const figures = means.shelf.lamps;
  const circuit = circuitFrom([
    supplyPart(params.supply),
    ...chipParts(
      1,
      family,
      { trigger: timing, threshold: timing, output },
      params.quiet ? { across: 'C3', control: 'C2' } : undefined,
    ),
    ...drivenParts(1, NAMES, values, capacitorsOf(means.shelf), tolerance),
    resistorPart('R2', output, 'lamp1', strings[0]!.chosen, tolerance),
    lampPart('D1', 'lamp1', MINUS, figures[lamp]),
    ...(second
      ? [
          resistorPart('R3', PLUS, 'lamp2', strings[1]!.chosen, tolerance),
          lampPart('D2', 'lamp2', output, figures[second]),
        ]
      : []),
  ]);
  const wanted = { period: seconds };
  return accepted({
    circuit,
    supply: params.supply,
    sorts: { D1: lamp, ...(second ? { D2: second } : {}) },
    strings,
    chips: [
      { number: 1, form: 'output-driven', family, names: NAMES, values, wanted, options, closed: taken },
    ],
    checkpoints: timedCheckpoints(circuit, { by: 'flashes' }),
  });
}

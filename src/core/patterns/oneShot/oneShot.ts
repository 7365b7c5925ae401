import { z } from 'zod';
import { neighbours } from '../../catalogue/preferred';
import { capacitorsOf, valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import type { PartOf } from '../../circuit/circuit';
import { accepted, refused, type Outcome } from '../../findings/finding';
import { withHeld } from '../../observe/held';
import type { Means, Pattern } from '../pattern';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { capacitorPart, chipParts, nodesOf, sortOf } from '../timed/chip';
import { timedCheckpoints } from '../timed/checkpoints';
import { finishTimed, type PlannedLesson } from '../timed/finish';
import { drivenLamp } from '../timed/lamp';
import { pickTiming } from '../timed/pick';
import { takenFor, takenSchema } from '../timed/taken';
import { chipRefusals, lampSchema, timedWishes } from '../timed/wishes';

export const oneShotParams = z.strictObject({
  ...timedWishes,
  lamp: lampSchema,
  /** How long one press lights it; a press itself takes a fifth of a second. */
  seconds: z.number().min(0.5).max(3600),
  taken: takenSchema,
});
export type OneShotParams = z.output<typeof oneShotParams>;

const NAMES = { r: 'R1', c: 'C1' } as const;
/** What draws the trigger up while nobody presses. */
const PULL_UP = 10e3;

/** The timer that waits: one press, one light of the wished length. */
export const oneShot: Pattern<'one-shot', OneShotParams> = {
  id: 'one-shot',
  params: oneShotParams,
  board: 'half',
  after: ['single', 'blink'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    lamp: 'yellow',
    amps: 0.008,
    seconds: 20,
    quiet: false,
  }),
  design: (params, means) => finishTimed(() => plan(params, means), means),
};

function plan(params: OneShotParams, means: Means): Outcome<PlannedLesson> {
  const { family, lamp: type, seconds } = params;
  const supply = supplyFigures(params.supply);
  const unfit = chipRefusals(family, supply.volts);
  if (unfit.length > 0) return refused(...unfit);
  const lamp = drivenLamp({ part: 'D1', type, resistor: 'R3', lit: 'up' }, { ...params, supply }, means);
  if (!lamp.ok) return lamp;
  const wish = { form: 'one-shot', family, volts: supply.volts, seconds } as const;
  const picked = takenFor('U1', params.taken, wish, means) ?? pickTiming(wish, means, params.values);
  if (!picked.ok) return picked;
  const { taken, options } = picked.value;
  const values = { r: taken.r, farads: taken.farads };
  const { shelf, style } = means;
  const tolerance = toleranceOf(style);
  const drawer = valuesOf(shelf, params.values ?? style.values);
  const pullUp = neighbours(drawer, PULL_UP).nearest ?? PULL_UP;
  const { output, timing, trigger } = nodesOf(1);
  const button: PartOf<'switch'> = {
    id: 'S1',
    kind: 'switch',
    pins: { a: trigger, b: MINUS },
    params: { closed: false },
  };
  const circuit = circuitFrom([
    supplyPart(params.supply),
    ...chipParts(
      1,
      family,
      { trigger, threshold: timing, output, discharge: timing },
      params.quiet ? { across: 'C3', control: 'C2' } : undefined,
    ),
    resistorPart('R1', PLUS, timing, values.r, tolerance),
    capacitorPart('C1', timing, MINUS, sortOf(values.farads, capacitorsOf(shelf))),
    resistorPart('R2', PLUS, trigger, pullUp, tolerance),
    button,
    resistorPart('R3', output, 'lamp', lamp.value.chosen, tolerance),
    lampPart('D1', 'lamp', MINUS, shelf.lamps[type]),
  ]);
  const held = { S1: 'closed' } as const;
  return accepted({
    circuit,
    shown: withHeld(circuit, held),
    supply: params.supply,
    sorts: { D1: type },
    strings: [lamp.value],
    chips: [
      {
        number: 1,
        form: 'one-shot',
        family,
        names: NAMES,
        values,
        wanted: { high: seconds },
        options,
        closed: taken,
      },
    ],
    checkpoints: timedCheckpoints(circuit, { by: 'stopwatch', held }),
    held,
    helpers: [{ part: 'R2', ohms: pullUp, job: 'pull-up' }],
    started: { S1: 'pressed' },
  });
}

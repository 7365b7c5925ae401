import { z } from 'zod';
import { capacitorsOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { accepted, refused, type Outcome } from '../../findings/finding';
import type { Means, Pattern } from '../pattern';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { chipParts, nodesOf, standardParts } from '../timed/chip';
import { timedCheckpoints } from '../timed/checkpoints';
import { finishTimed, type PlannedLesson } from '../timed/finish';
import { drivenLamp } from '../timed/lamp';
import { pickTiming } from '../timed/pick';
import { takenFor, takenSchema } from '../timed/taken';
import { chipRefusals, lampSchema, secondsSchema, timedWishes } from '../timed/wishes';

export const blinkParams = z.strictObject({
  ...timedWishes,
  lamp: lampSchema,
  on: secondsSchema,
  off: secondsSchema,
  taken: takenSchema,
});
export type BlinkParams = z.output<typeof blinkParams>;

const NAMES = { ra: 'R1', r: 'R2', c: 'C1' } as const;

/**
 * The timer in its standard form. Its output is always up for longer than it is down: a lamp that is to be lit for
 * longer than it is dark leads from the output to ground, one that is to flash hangs from the plus rail.
 */
export const blink: Pattern<'blink', BlinkParams> = {
  id: 'blink',
  params: blinkParams,
  board: 'half',
  after: ['single'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    lamp: 'white',
    amps: 0.008,
    on: 0.6,
    off: 0.9,
    quiet: false,
  }),
  design: (params, means) => finishTimed(() => plan(params, means), means),
};

function plan(params: BlinkParams, means: Means): Outcome<PlannedLesson> {
  const { family, lamp: type, on, off, amps } = params;
  const supply = supplyFigures(params.supply);
  const unfit = chipRefusals(family, supply.volts);
  if (unfit.length > 0) return refused(...unfit);
  const lit = on > off ? 'up' : 'down';
  const lamp = drivenLamp({ part: 'D1', type, resistor: 'R3', lit }, { ...params, supply, amps }, means);
  if (!lamp.ok) return lamp;
  const wanted = lit === 'up' ? { high: on, low: off } : { high: off, low: on };
  const seconds = on + off;
  const wish = {
    form: 'standard',
    family,
    volts: supply.volts,
    seconds,
    duty: wanted.high / seconds,
  } as const;
  const picked = takenFor('U1', params.taken, wish, means) ?? pickTiming(evened(wish), means, params.values);
  if (!picked.ok) return picked;
  const { taken, options } = picked.value;
  const values = { ra: taken.ra!, r: taken.r, farads: taken.farads };
  const tolerance = toleranceOf(means.style);
  const { output, timing, discharge } = nodesOf(1);
  const [anode, cathode] = lit === 'up' ? ['lamp', MINUS] : ['lamp', output];
  const circuit = circuitFrom([
    supplyPart(params.supply),
    ...chipParts(
      1,
      family,
      { trigger: timing, threshold: timing, output, discharge },
      params.quiet ? { across: 'C3', control: 'C2' } : undefined,
    ),
    ...standardParts(1, NAMES, values, capacitorsOf(means.shelf), tolerance),
    resistorPart('R3', lit === 'up' ? output : PLUS, 'lamp', lamp.value.chosen, tolerance),
    lampPart('D1', anode!, cathode!, means.shelf.lamps[type]),
  ]);
  const chip = {
    number: 1,
    form: 'standard',
    family,
    names: NAMES,
    values,
    wanted,
    options,
    closed: taken,
  } as const;
  return accepted({
    circuit,
    supply: params.supply,
    sorts: { D1: type },
    strings: [lamp.value],
    chips: [chip],
    checkpoints: timedCheckpoints(circuit, { by: 'flashes' }),
  });
}

/** As long up as down cannot be had quite: the nearest that the form reaches is asked for instead. */
function evened<Wish extends { readonly duty: number }>(wish: Wish): Wish {
  return { ...wish, duty: Math.max(wish.duty, 0.505) };
}

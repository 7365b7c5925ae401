import { z } from 'zod';
import { DIODES } from '../../catalogue/diodes';
import { neighbours } from '../../catalogue/preferred';
import { capacitorsOf, valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { TIMERS } from '../../catalogue/timers';
import type { PartOf } from '../../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Means, Pattern } from '../pattern';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { chipParts, drivenParts, nodesOf, standardParts } from '../timed/chip';
import { timedCheckpoints } from '../timed/checkpoints';
import { finishTimed, type Factors, type PlannedLesson } from '../timed/finish';
import { drivenLamp, type DrivenLamp } from '../timed/lamp';
import { pickTiming } from '../timed/pick';
import { takenFor, takenSchema } from '../timed/taken';
import { chipRefusals, lampSchema, secondsSchema, timedWishes } from '../timed/wishes';
import type { StringSum } from '../steady/figures';

export const chainParams = z.strictObject({
  ...timedWishes,
  /** Three lamps in the order of their turns, and how long each is lit. */
  lamps: z.tuple([lampSchema, lampSchema, lampSchema]),
  seconds: z.tuple([secondsSchema, secondsSchema, secondsSchema]),
  taken: takenSchema,
});
export type ChainParams = z.output<typeof chainParams>;

const FIRST = { ra: 'R1', r: 'R2', c: 'C1' } as const;
const SECOND = { r: 'R3', c: 'C2' } as const;
/** The first chip's output is up for longer than it is down, by this at least. */
const LONGER = 1.02;
/** Behind the diode, so that the first chip's output is not asked for more than it stands when it empties the other's. */
const GUARD_OHMS = 220;
/** What the diode leaves on the second chip's capacitor when it has been emptied through it. */
const LEFT_VOLTS = 0.5;

/**
 * One timer's output feeds the second. While the first is down its own lamp is lit; when it goes up, it lets the second
 * chip go and fills its capacitor: the second lamp is lit until that is full, the third until the first goes down again
 * and empties it through the diode.
 */
export const chain: Pattern<'chain', ChainParams> = {
  id: 'chain',
  params: chainParams,
  board: 'full',
  after: ['blink', 'one-shot'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    lamps: ['red', 'yellow', 'green'],
    amps: 0.008,
    seconds: [2, 2, 2],
    quiet: false,
  }),
  design: (params, means) => finishTimed((factors) => plan(params, means, factors), means),
};

function plan(params: ChainParams, means: Means, factors: Factors): Outcome<PlannedLesson> {
  const { family, lamps, seconds } = params;
  const supply = supplyFigures(params.supply);
  const unfit = chipRefusals(family, supply.volts);
  if (unfit.length > 0) return refused(...unfit);
  const [first, second, third] = seconds;
  if (second + third < LONGER * first) {
    return refused(finding('no-such-turn', { first, second, third, least: LONGER * first - second }));
  }
  const driven: DrivenLamp[] = [
    { part: 'D1', type: lamps[0], resistor: 'R4', lit: 'down' },
    { part: 'D2', type: lamps[1], resistor: 'R5', lit: 'up' },
    { part: 'D3', type: lamps[2], resistor: 'R6', lit: 'up', against: true },
  ];
  const strings: StringSum[] = [];
  for (const lamp of driven) {
    const sum = drivenLamp(lamp, { ...params, supply }, means);
    if (!sum.ok) return sum;
    strings.push(sum.value);
  }
  const { volts } = supply;
  const round = first + second + third;
  const slow = {
    form: 'standard',
    family,
    volts,
    seconds: round * (factors['U1'] ?? 1),
    duty: (second + third) / round,
  } as const;
  const feed = volts - TIMERS[family].highDrop;
  // The second capacitor fills from the first output, not from the rail: longer than a third of the rule of thumb says.
  const filling = Math.log((feed - LEFT_VOLTS) / (feed - (2 * volts) / 3));
  const scale = Math.log(3) / filling;
  const shot = { form: 'one-shot', family, volts, seconds: second * scale * (factors['U2'] ?? 1) } as const;
  const picks = [
    takenFor('U1', params.taken, slow, means) ?? pickTiming(slow, means, params.values),
    takenFor('U2', params.taken, shot, means) ?? pickTiming(shot, means, params.values),
  ] as const;
  if (!picks[0].ok) return picks[0];
  if (!picks[1].ok) return picks[1];
  const [one, two] = [picks[0].value, picks[1].value];
  const { shelf, style } = means;
  const tolerance = toleranceOf(style);
  const drawer = capacitorsOf(shelf);
  const values = [
    { ra: one.taken.ra!, r: one.taken.r, farads: one.taken.farads },
    { r: two.taken.r, farads: two.taken.farads },
  ] as const;
  const [a, b] = [nodesOf(1), nodesOf(2)];
  const empties: PartOf<'diode'> = {
    id: 'D4',
    kind: 'diode',
    pins: { anode: b.timing, cathode: 'empty' },
    params: DIODES.signal,
  };
  const guard = neighbours(valuesOf(shelf, params.values ?? style.values), GUARD_OHMS).up ?? GUARD_OHMS;
  const quiet = [
    { across: 'C5', control: 'C3' },
    { across: 'C6', control: 'C4' },
  ];
  const pins = (nodes: typeof a) => ({
    trigger: nodes.timing,
    threshold: nodes.timing,
    output: nodes.output,
  });
  const circuit = circuitFrom([
    supplyPart(params.supply),
    ...chipParts(1, family, { ...pins(a), discharge: a.discharge }, params.quiet ? quiet[0] : undefined),
    ...standardParts(1, FIRST, values[0], drawer, tolerance),
    resistorPart('R4', PLUS, 'lamp1', strings[0]!.chosen, tolerance),
    lampPart('D1', 'lamp1', a.output, shelf.lamps[lamps[0]]),
    ...chipParts(2, family, { ...pins(b), reset: a.output }, params.quiet ? quiet[1] : undefined),
    ...drivenParts(2, SECOND, values[1], drawer, tolerance).map((part) =>
      part.id === SECOND.r ? { ...part, pins: { a: a.output, b: b.timing } } : part,
    ),
    empties,
    resistorPart('R7', 'empty', a.output, guard, tolerance),
    resistorPart('R5', b.output, 'lamp2', strings[1]!.chosen, tolerance),
    lampPart('D2', 'lamp2', MINUS, shelf.lamps[lamps[1]]),
    resistorPart('R6', a.output, 'lamp3', strings[2]!.chosen, tolerance),
    lampPart('D3', 'lamp3', b.output, shelf.lamps[lamps[2]]),
  ]);
  return accepted({
    circuit,
    supply: params.supply,
    sorts: { D1: lamps[0], D2: lamps[1], D3: lamps[2] },
    strings,
    chips: [
      {
        number: 1,
        form: 'standard',
        family,
        names: FIRST,
        values: values[0],
        wanted: { high: second + third, low: first },
        options: one.options,
        closed: one.taken,
      },
      {
        number: 2,
        form: 'one-shot',
        family,
        names: SECOND,
        values: values[1],
        wanted: { high: second },
        options: two.options,
        closed: { high: two.taken.high / scale, low: 0 },
        fedFrom: a.output,
      },
    ],
    turns: { D1: first, D2: second, D3: third },
    helpers: [{ part: 'R7', ohms: guard, job: 'empties' }],
    checkpoints: timedCheckpoints(circuit, { by: 'flashes' }),
  });
}

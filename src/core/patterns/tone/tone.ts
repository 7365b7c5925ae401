import { z } from 'zod';
import { neighbours } from '../../catalogue/preferred';
import { capacitorsOf, valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { TIMERS } from '../../catalogue/timers';
import type { PartOf } from '../../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Means, Pattern } from '../pattern';
import { circuitFrom, MINUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { capacitorPart, chipParts, nodesOf, standardParts } from '../timed/chip';
import { timedCheckpoints } from '../timed/checkpoints';
import { finishTimed, type Factors, type PlannedLesson } from '../timed/finish';
import { pickTiming } from '../timed/pick';
import { takenFor, takenSchema } from '../timed/taken';
import { chipRefusals, timedWishes } from '../timed/wishes';

export const toneParams = z.strictObject({
  ...timedWishes,
  hertz: z.number().min(20).max(1e7),
  taken: takenSchema,
});
export type ToneParams = z.output<typeof toneParams>;

const NAMES = { ra: 'R1', r: 'R2', c: 'C1' } as const;
export const SPEAKER_OHMS = 8;
/** As long up as down sounds fullest; the standard form comes near it. The pitch matters more. */
const EVEN = 0.55;
const EVEN_WEIGHT = 0.05;
/** The capacitor before the speaker passes tones from this share of the pitch on. */
const CORNER_SHARE = 0.5;

/** The timer at a pitch that is heard, its output driving a speaker through a capacitor and a resistor. */
export const tone: Pattern<'tone', ToneParams> = {
  id: 'tone',
  params: toneParams,
  board: 'half',
  after: ['blink-simple'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    amps: 0.02,
    hertz: 440,
    quiet: false,
  }),
  design: (params, means) => finishTimed((factors) => planTone(params, means, factors), means),
};

/**
 * A chip at a pitch with its speaker.
 *
 * @param reset where its reset pin goes; left out, at plus: it always sounds
 */
export function planTone(
  params: ToneParams,
  means: Means,
  factors: Factors,
  reset?: string,
): Outcome<PlannedLesson> {
  const { family, hertz, amps } = params;
  const supply = supplyFigures(params.supply);
  const unfit = chipRefusals(family, supply.volts);
  if (unfit.length > 0) return refused(...unfit);
  const { shelf, style } = means;
  const { highDrop, highOhms, lowVolts } = TIMERS[family];
  // The capacitor stands half way between the output's two levels: the speaker gets half of the swing each way.
  const swing = (supply.volts - highDrop - lowVolts) / 2;
  const drawer = valuesOf(shelf, params.values ?? style.values);
  const exact = swing / amps - SPEAKER_OHMS - highOhms;
  const series = neighbours(drawer, Math.max(exact, 1)).up;
  if (series === undefined) {
    return refused(finding('no-resistor-in-drawer', { ohms: exact, largest: Math.max(...drawer) }));
  }
  const capacitors = capacitorsOf(shelf);
  const least = 1 / (2 * Math.PI * (series + SPEAKER_OHMS) * hertz * CORNER_SHARE);
  const coupling = capacitors.find(({ farads }) => farads >= least) ?? capacitors[capacitors.length - 1]!;
  const wish = {
    form: 'standard',
    family,
    volts: supply.volts,
    seconds: (factors['U1'] ?? 1) / hertz,
    duty: EVEN,
    dutyWeight: EVEN_WEIGHT,
  } as const;
  const picked = takenFor('U1', params.taken, wish, means) ?? pickTiming(wish, means, params.values);
  if (!picked.ok) return picked;
  const { taken, options } = picked.value;
  const values = { ra: taken.ra!, r: taken.r, farads: taken.farads };
  const tolerance = toleranceOf(style);
  const { output, timing, discharge } = nodesOf(1);
  const speaker: PartOf<'speaker'> = {
    id: 'LS1',
    kind: 'speaker',
    pins: { a: 'sound', b: MINUS },
    params: { ohms: SPEAKER_OHMS },
  };
  const circuit = circuitFrom([
    supplyPart(params.supply),
    ...chipParts(
      1,
      family,
      { trigger: timing, threshold: timing, output, discharge, ...(reset ? { reset } : {}) },
      params.quiet ? { across: 'C4', control: 'C3' } : undefined,
    ),
    ...standardParts(1, NAMES, values, capacitors, tolerance),
    resistorPart('R3', output, 'swing', series, tolerance),
    capacitorPart('C2', 'swing', 'sound', coupling),
    speaker,
  ]);
  return accepted({
    circuit,
    supply: params.supply,
    sorts: {},
    strings: [],
    chips: [
      {
        number: 1,
        form: 'standard',
        family,
        names: NAMES,
        values,
        wanted: { period: 1 / hertz },
        options,
        closed: taken,
      },
    ],
    helpers: [
      { part: 'R3', ohms: series, job: 'swing' },
      { part: 'C2', farads: coupling.farads, job: 'coupling' },
    ],
    checkpoints: timedCheckpoints(circuit, { by: 'pitch' }),
  });
}

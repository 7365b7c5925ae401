import { z } from 'zod';
import { valuesOf } from '../../catalogue/shelf';
import type { SourceChoice } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import { observe } from '../../observe/observe';
import type { Design, Means, Pattern } from '../pattern';
import { ampsOf } from '../steady/bank';
import { choose } from '../steady/choose';
import type { StringSum } from '../steady/figures';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { timedCheckpoints } from '../timed/checkpoints';
import { flashFindings } from '../timed/flashes';
import { lampSchema } from '../timed/wishes';
import { ampsSchema, choiceOverrides, supplyRefusals } from '../wishes';
import { pulseSums } from './pulses';

/** Cells that a booster is put on. */
export const BOOSTED = ['aa-nimh', 'aa-alkaline', 'aaa-alkaline'] as const;
/** Flashes up to so many a second are counted by eye. */
const COUNTED_HERTZ = 5;

export const pulsedParams = z.strictObject({
  lamp: lampSchema,
  /** Wanted mean of the lamp's current: how bright it looks. */
  amps: ampsSchema,
  /** Of the pulses, without load. */
  volts: z.number().min(0.5).max(1000),
  hertz: z.number().min(0.2).max(1e6),
  /** Share of a round for which a pulse lasts. */
  duty: z.number().min(0.02).max(0.95),
  /** Of the booster itself. */
  ohms: z.number().min(0).max(500),
  cell: z.enum(BOOSTED),
  ...choiceOverrides,
});
export type PulsedParams = z.output<typeof pulsedParams>;

/** One lamp on the pulses of a booster: its peak and its mean are two figures, and a meter shows the mean. */
export const pulsed: Pattern<'pulsed', PulsedParams> = {
  id: 'pulsed',
  params: pulsedParams,
  board: 'half',
  after: ['single'],
  defaults: () => ({
    lamp: 'white',
    amps: 0.004,
    volts: 5,
    hertz: 1000,
    duty: 0.4,
    ohms: 10,
    cell: 'aa-nimh',
  }),
  design,
};

function design(params: PulsedParams, means: Means): Outcome<Design> {
  const { lamp, volts, hertz, duty, ohms, cell } = params;
  const unfit = refusals(params, means);
  if (unfit.length > 0) return refused(...unfit);
  const sum = stringSum(params, means);
  if (!sum.ok) return sum;
  const supply: SourceChoice = {
    kind: 'booster',
    cells: 1,
    age: 'nominal',
    volts,
    pulses: { hertz, duty, ohms, cell },
  };
  const circuit = circuitFrom([
    supplyPart(supply),
    resistorPart('R1', PLUS, 'lamp', sum.value.chosen, toleranceOf(means.style)),
    lampPart('D1', 'lamp', MINUS, means.shelf.lamps[lamp]),
  ]);
  const outcome = observe(circuit);
  if (!outcome.ok) return outcome;
  const seen = outcome.value;
  if (seen.kind !== 'moving') return refused(finding('does-not-move', {}));
  const pulses = pulseSums(seen, supply, 'D1');
  if (!pulses) return refused(finding('does-not-move', {}));
  const finished = finish(
    {
      circuit,
      supply,
      sorts: { D1: lamp },
      strings: [sum.value],
      checkpoints: timedCheckpoints(circuit, {
        by: hertz <= COUNTED_HERTZ ? 'flashes' : 'means',
        across: ['D1'],
      }),
      held: {},
      seen,
      findings: [
        ...flashFindings(seen),
        finding('pulses-as-said', { volts, duty, mean: duty * volts }, 'note'),
      ],
      own: { family: 'pulsed', pulses },
    },
    means,
  );
  return finished.ok ? accepted({ ...finished.value, seen }) : finished;
}

/** Why such pulses are not planned with, each with what would do. */
function refusals({ volts, amps, duty, lamp, ohms }: PulsedParams, { shelf }: Means): Finding[] {
  const unfit = supplyRefusals(volts);
  if (unfit.length > 0) return unfit;
  const figures = shelf.lamps[lamp];
  const peak = amps / duty;
  const limit = figures.absoluteAmps;
  if (peak > limit)
    return [finding('pulse-over-limit', { peak, limit, duty: amps / limit, amps: limit * duty })];
  const lampVolts = new Junction(figures).voltsAt(peak);
  const needVolts = lampVolts + peak * ohms;
  if (volts > needVolts) return [];
  const real = ampsOf([new Junction(figures)], volts, ohms);
  return [finding('cannot-light', { supply: volts, lampVolts, lamp, amps: real, needVolts })];
}

/** The sum while a pulse lasts: then the lamp carries the wanted mean, divided by the pulse's share. */
function stringSum(params: PulsedParams, { shelf, style }: Means): Outcome<StringSum> {
  const { lamp, volts, duty, ohms } = params;
  const wanted = params.amps / duty;
  const junction = new Junction(shelf.lamps[lamp]);
  const lampVolts = junction.voltsAt(wanted);
  const voltsLeft = volts - lampVolts;
  const exactOhms = voltsLeft / wanted - ohms;
  const values = valuesOf(shelf, params.values ?? style.values);
  const ampsWith = (r: number) => ampsOf([junction], volts, r + ohms);
  const chosen = choose(params.rounding ?? style.rounding, values, exactOhms, wanted, ampsWith);
  if (chosen === undefined) {
    return refused(finding('no-resistor-in-drawer', { ohms: exactOhms, largest: Math.max(...values) }));
  }
  return accepted({
    resistor: 'R1',
    alike: ['R1'],
    lamps: [{ part: 'D1', type: lamp, volts: lampVolts }],
    wanted,
    lampVolts,
    voltsLeft,
    lessOhms: ohms,
    exactOhms,
    chosen,
  });
}

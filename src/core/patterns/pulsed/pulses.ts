import { isKind, type Circuit } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { SUPPLIES, type SourceChoice, type SupplyKind } from '../../catalogue/supplies';
import type { Moving } from '../../observe/observation';
import { lampsSeen } from '../../observe/looks';
import { reportOf } from '../../observe/observe';
import { sourceOf } from '../../circuit/source';
import type { Amps, Hertz, Hours, Seconds, Volts, Watts } from '../../quantities/units';

/** A figure at the top of a pulse, and its mean over whole rounds, which is what a meter shows. */
export interface PeakAndMean {
  readonly peak: number;
  readonly mean: number;
}

/** What pulses do to one lamp, as solved. */
export interface PulseSums {
  readonly hertz: Hertz;
  readonly duty: number;
  readonly up: Seconds;
  readonly down: Seconds;
  readonly lamp: string;
  /** At the ends of the source, with the lamp on it. */
  readonly source: PeakAndMean;
  readonly lampVolts: PeakAndMean;
  readonly amps: PeakAndMean;
  /** What the lamp would carry if the volts that a meter shows across it were there all the time. */
  readonly steadyAmps: Amps;
  /** What the source gives on average. */
  readonly watts: Watts;
  /** The cell that is boosted: a booster without losses would draw so much, and the cell last so long; a real one takes more. */
  readonly cell: {
    readonly kind: SupplyKind;
    readonly volts: Volts;
    readonly ampsLeast: Amps;
    readonly hoursMost?: Hours;
  };
}

/** The figures of a lamp on pulses, off the run of its circuit. */
export function pulseSums(seen: Moving, choice: SourceChoice, lamp: string): PulseSums | undefined {
  const source = sourceOf(seen.circuit);
  const look = lampsSeen(seen).find(({ part }) => part === lamp);
  if (!source || !look || !choice.pulses) return undefined;
  const { hertz, duty, cell } = choice.pulses;
  const over = (id: string): PeakAndMean => ({ peak: peakOver(seen, id), mean: reportOf(seen, id).volts });
  const watts = Math.abs(reportOf(seen, source.id).watts);
  const { volts, capacity } = SUPPLIES[cell];
  const ampsLeast = watts / volts.nominal;
  return {
    hertz,
    duty,
    up: duty / hertz,
    down: (1 - duty) / hertz,
    lamp,
    source: over(source.id),
    lampVolts: over(lamp),
    amps: { peak: look.peak, mean: look.amps },
    steadyAmps: steadyAmps(seen.circuit, lamp, reportOf(seen, lamp).volts),
    watts,
    cell: {
      kind: cell,
      volts: volts.nominal,
      ampsLeast,
      ...(capacity === undefined || !(ampsLeast > 0) ? {} : { hoursMost: capacity / ampsLeast }),
    },
  };
}

/** Off the lamp's own curve. */
function steadyAmps({ parts }: Circuit, lamp: string, volts: Volts): Amps {
  const part = parts.find(({ id }) => id === lamp);
  if (!part || !isKind(part, 'led')) return 0;
  const junction = new Junction(part.params);
  junction.evaluate(volts);
  return junction.amps;
}

/** The most volts over a part at any instant, from its first pin to its second. */
function peakOver({ circuit, run }: Moving, id: string): Volts {
  const [a, b] = Object.values(circuit.parts.find((part) => part.id === id)!.pins);
  const [over, under] = [run.nodes[a!], run.nodes[b!]];
  return run.time.reduce((most, _, i) => Math.max(most, (over?.[i] ?? 0) - (under?.[i] ?? 0)), 0);
}

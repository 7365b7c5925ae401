import type { MeterFigures } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import { accepted, type Outcome } from '../findings/finding';
import type { Checkpoint } from '../patterns/pattern';
import { solve } from '../solver/solve';
import { bands, type Band, type BandOptions } from '../tolerance/bands';
import { histogram, type Histogram } from '../tolerance/histogram';
import { meterOhms, withMeterAt, withVoltChecks } from './probes';

/** What a right build reads at one checkpoint, and how the draws lie. */
export interface Expected extends Band {
  readonly histogram: Histogram;
  /** Ohms that the meter itself adds, for a current in series. */
  readonly burden?: number;
}

export interface Expectation {
  readonly points: readonly Expected[];
  readonly samples: number;
  readonly seed: number;
  readonly unsettled: number;
}

/**
 * Typical, 95 % band and worst corners at every checkpoint of a circuit; currents with the meter's burden in series.
 */
export function expectedReadings(
  circuit: Circuit,
  checkpoints: readonly Checkpoint[],
  meter: MeterFigures,
  options: BandOptions,
): Outcome<Expectation> {
  const volts = bands(withVoltChecks(circuit, checkpoints), options);
  if (!volts.ok) return volts;
  let { unsettled } = volts.value;
  const points = new Map<string, Expected>();
  volts.value.bands.forEach((band, i) => {
    points.set(band.id, { ...band, histogram: histogram(volts.value.sorted[i]!) });
  });
  for (const point of checkpoints) {
    if (point.measure !== 'amps') continue;
    const burden = meterOhms(meter, openAmps(circuit, point));
    const amps = bands(withMeterAt(circuit, point, burden), options);
    if (!amps.ok) return amps;
    unsettled += amps.value.unsettled;
    const band = amps.value.bands[0]!;
    points.set(point.id, { ...band, burden, histogram: histogram(amps.value.sorted[0]!) });
  }
  return accepted({
    points: checkpoints.map((point) => points.get(point.id)!),
    samples: options.samples,
    seed: options.seed,
    unsettled,
  });
}

function openAmps(circuit: Circuit, point: Extract<Checkpoint, { measure: 'amps' }>): number {
  const solved = solve(circuit);
  return solved.ok ? Math.abs(solved.value.parts[point.part]?.amps ?? 0) : 0;
}

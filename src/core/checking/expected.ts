import { ampRangesFor, type MeterFigures } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import type { Amps } from '../quantities/units';
import { accepted, type Outcome } from '../findings/finding';
import { hasFigure, isGapped, type Checkpoint } from '../observe/checkpoint';
import { bandPoints, currentsAlone } from '../observe/draws';
import { burdenAt } from '../observe/meter';
import { rangeShares } from '../observe/ranges';
import type { Band, BandOptions } from '../tolerance/bands';
import { histogram, type Histogram } from '../tolerance/histogram';

/** What a right build reads at one checkpoint, and how the draws lie. */
export interface Expected extends Band {
  readonly point: Checkpoint;
  readonly histogram: Histogram;
  /** Ohms that the meter itself adds, for a current in series. */
  readonly burden?: number;
  /** The current there while no meter is in it. */
  readonly alone?: number;
  /** Ranges that a hand may read it on, the usual one first, and the share that it reads there of `typical`. */
  readonly ranges?: readonly MeterRange[];
}

export interface MeterRange {
  readonly range: Amps;
  readonly share: number;
}

export interface Expectation {
  readonly points: readonly Expected[];
  readonly samples: number;
  readonly seed: number;
  readonly unsettled: number;
}

/**
 * Typical, 95 % band and worst corners at every checkpoint that has a figure, with the meter in the circuit.
 */
export function expectedReadings(
  circuit: Circuit,
  checkpoints: readonly Checkpoint[],
  meter: MeterFigures,
  options: BandOptions,
): Outcome<Expectation> {
  const points = checkpoints.filter(hasFigure);
  const alone = currentsAlone(circuit, points);
  const burdens = alone.map((amps) => (amps === undefined ? 0 : burdenAt(meter, amps)));
  const found = bandPoints(circuit, points, burdens, options);
  if (!found.ok) return found;
  const bands = found.value.map(({ band, sorted }, i): Expected => ({
    ...band,
    point: points[i]!,
    histogram: histogram(sorted),
    ...meteredAt(circuit, points[i]!, alone[i], meter),
  }));
  return accepted({
    points: bands,
    samples: options.samples,
    seed: options.seed,
    unsettled: found.value.reduce((sum, { unsettled }) => Math.max(sum, unsettled), 0),
  });
}

/** What the meter does to a current that it reads, on each range that may be taken; nothing for what is no current. */
function meteredAt(
  circuit: Circuit,
  point: Checkpoint,
  alone: Amps | undefined,
  meter: MeterFigures,
): Pick<Expected, 'burden' | 'alone' | 'ranges'> {
  if (!isGapped(point) || alone === undefined) return {};
  const ranges = ampRangesFor(meter, alone);
  const burden = burdenAt(meter, alone);
  const shares = rangeShares(circuit, point, 'right', { ranges, alone, own: burden });
  return {
    burden,
    alone: Math.abs(alone),
    ranges: ranges.map((range, k) => ({ range, share: shares[k]! })),
  };
}

import type { MeterFigures } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import { accepted, type Outcome } from '../findings/finding';
import { hasFigure, isGapped, type Checkpoint, type Gapped } from '../observe/checkpoint';
import { bandPoints, burdensFor } from '../observe/draws';
import { withHeld } from '../observe/held';
import { observe } from '../observe/observe';
import { gapAmps } from '../observe/read';
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
}

export interface Expectation {
  readonly points: readonly Expected[];
  readonly samples: number;
  readonly seed: number;
  readonly unsettled: number;
}

/** The current at a gap that is closed again. */
function aloneAt(circuit: Circuit, point: Gapped): number {
  const seen = observe(withHeld(circuit, point.held));
  return seen.ok ? Math.abs(gapAmps(seen.value, point)) : 0;
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
  const burdens = burdensFor(circuit, points, meter);
  const found = bandPoints(circuit, points, burdens, options);
  if (!found.ok) return found;
  const bands = found.value.map(({ band, sorted }, i): Expected => ({
    ...band,
    point: points[i]!,
    histogram: histogram(sorted),
    ...(isGapped(points[i]!) ? { burden: burdens[i]!, alone: aloneAt(circuit, points[i]!) } : {}),
  }));
  return accepted({
    points: bands,
    samples: options.samples,
    seed: options.seed,
    unsettled: found.value.reduce((sum, { unsettled }) => Math.max(sum, unsettled), 0),
  });
}

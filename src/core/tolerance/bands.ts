import type { Check, Circuit } from '../circuit/circuit';
import type { Compiled } from '../circuit/compile';
import { accepted, refused, type Outcome } from '../findings/finding';
import { quantile } from '../numerics/quantile';
import { unsettled, workbench, type Workbench } from '../solver/solve';
import { corners } from './corners';
import { setDraw, setNominal } from './draw';

export interface BandOptions {
  readonly samples: number;
  readonly seed: number;
  readonly coverage: number;
}

export const BAND_DEFAULTS: BandOptions = { samples: 20000, seed: 1, coverage: 0.95 };

export interface Band {
  readonly id: string;
  readonly unit: 'V' | 'A';
  /** With every part at its nominal value. */
  readonly typical: number;
  /** Quantiles (1 − coverage)/2 and (1 + coverage)/2 of the drawn circuits. */
  readonly low: number;
  readonly high: number;
  /** Smallest and largest over the corners of all spreads. */
  readonly worstLow: number;
  readonly worstHigh: number;
}

export interface Draws {
  readonly bands: readonly Band[];
  /** Sorted figures of each check, for charts. */
  readonly sorted: readonly Float64Array[];
  readonly samples: number;
  /** Draws that did not settle and are left out. */
  readonly unsettled: number;
}

/**
 * What the checks of a circuit read, from part to part.
 *
 * @param circuit with at least one check
 * @returns typical, 95 % band and worst corners of each check; the same seed gives the same figures
 */
export function bands(circuit: Circuit, options: Partial<BandOptions> = {}): Outcome<Draws> {
  const { samples, seed, coverage } = { ...BAND_DEFAULTS, ...options };
  const bench = workbench(circuit);
  if (!bench.ok) return bench;
  const { compiled, point } = bench.value;
  const first = point.solve();
  if (!first.converged) return refused(unsettled(first));
  const probes = circuit.checks.map((check) => probe(compiled, check));
  const typical = probes.map((read) => read());
  const drawnFigures = sample(bench.value, probes, samples, seed);
  setNominal(compiled);
  point.solve();
  const worst = corners(bench.value, probes);
  const sorted = drawnFigures.values.map((values) => values.sort());
  return accepted({
    samples,
    unsettled: drawnFigures.unsettled,
    sorted,
    bands: circuit.checks.map((check, i) => ({
      id: check.id,
      unit: check.measure === 'volts' ? 'V' : 'A',
      typical: typical[i]!,
      low: quantile(sorted[i]!, (1 - coverage) / 2),
      high: quantile(sorted[i]!, (1 + coverage) / 2),
      worstLow: worst[i]!.low,
      worstHigh: worst[i]!.high,
    })),
  });
}

/** Figures of each check over the draws, unsorted, so that draw k of two circuits shares its parts. */
export function sample(
  { compiled, point }: Workbench,
  probes: readonly (() => number)[],
  samples: number,
  seed: number,
): { values: Float64Array[]; unsettled: number } {
  const values = probes.map(() => new Float64Array(samples));
  let kept = 0;
  for (let draw = 0; draw < samples; draw++) {
    setDraw(compiled, seed, draw);
    if (!point.solve().converged) continue;
    for (let i = 0; i < probes.length; i++) values[i]![kept] = probes[i]!();
    kept++;
  }
  return { values: values.map((v) => v.subarray(0, kept)), unsettled: samples - kept };
}

/** Reads a check off the equations as they stand. */
export function probe(compiled: Compiled, check: Check): () => number {
  const { x } = compiled.equations;
  if (check.measure === 'volts') {
    const from = compiled.nodeIndex.get(check.from)!;
    const to = compiled.nodeIndex.get(check.to)!;
    return () => x[from]! - x[to]!;
  }
  const placed = compiled.placed.find((p) => p.part.id === check.part)!;
  const pins = new Float64Array(placed.nodes.length);
  return () => {
    placed.instance.currents(x, pins);
    return pins[0]!;
  };
}

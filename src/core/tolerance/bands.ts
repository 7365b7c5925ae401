import type { Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { LIMITS } from '../numerics/limits';
import { quantile } from '../numerics/quantile';
import { prepare, unsettled } from '../solver/prepare';
import { restOf } from '../solver/resting';
import { corners } from './corners';
import { remember, setNominal } from './draw';
import { probesOf, type Probe } from './probe';
import { sample, type Slice } from './sample';

export interface BandOptions {
  readonly samples: number;
  readonly seed: number;
  readonly coverage: number;
  /** How closely it is looked at how a build that moves follows its parts: left out, at both ends of every spread. */
  readonly ends?: 'one' | 'both' | undefined;
}

export const BAND_DEFAULTS: BandOptions & { ends: 'both' } = {
  samples: 20000,
  seed: 1,
  coverage: 0.95,
  ends: 'both',
};

export interface Band {
  readonly id: string;
  readonly unit: 'V' | 'A' | 'Hz' | 's';
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
  const { samples, seed } = { ...BAND_DEFAULTS, ...options };
  const slice = drawSlice(circuit, seed, 0, samples);
  return slice.ok ? bandsOf(circuit, [slice.value], options) : slice;
}

/**
 * Draws `from` to `to` (without the last) of a circuit, for work that is shared out. A draw depends on the seed and its
 * number alone, so the slices together are the same figures however they are cut.
 *
 * @param all draws that are wanted of it: of many, every slice is solved by the same straight-line code
 */
export function drawSlice(
  circuit: Circuit,
  seed: number,
  from: number,
  to: number,
  all = to,
): Outcome<Slice> {
  const bench = prepare(circuit);
  if (!bench.ok) return bench;
  const count = bench.value.compiled.placed.reduce((sum, { spreads }) => sum + spreads.length, 0);
  if (count > LIMITS.spreads) return refused(finding('too-many-spreads', { count, most: LIMITS.spreads }));
  const { settling: first } = restOf(bench.value);
  if (!first.converged) return refused(unsettled(bench.value, first));
  if (all >= LIMITS.hastenDraws) bench.value.point.hasten();
  return accepted(sample(bench.value, probesOf(bench.value.compiled), seed, from, to));
}

/**
 * Draws of a circuit of which every one settles.
 *
 * @returns figures of each check, draw by draw; undefined where one does not settle, which is found out at once
 */
export function everyDraw(
  circuit: Circuit,
  { samples, seed }: Pick<BandOptions, 'samples' | 'seed'>,
): readonly Float64Array[] | undefined {
  const bench = prepare(circuit);
  if (!bench.ok || !restOf(bench.value).settling.converged) return undefined;
  const slice = sample(bench.value, probesOf(bench.value.compiled), seed, 0, samples, true);
  return slice.unsettled === 0 ? slice.values : undefined;
}

/**
 * Bands of a circuit from its draws.
 *
 * @param slices all draws, in the order of their numbers
 */
export function bandsOf(
  circuit: Circuit,
  slices: readonly Slice[],
  options: Partial<BandOptions> = {},
): Outcome<Draws> {
  const { coverage } = { ...BAND_DEFAULTS, ...options };
  const bench = prepare(circuit);
  if (!bench.ok) return bench;
  const { settling: first } = restOf(bench.value);
  if (!first.converged) return refused(unsettled(bench.value, first));
  const probes = probesOf(bench.value.compiled);
  const typical = probes.map((read) => read());
  const worst = worstOf(bench.value, probes);
  const sorted = probes.map((_, i) => joined(slices.map((slice) => slice.values[i]!)).sort());
  return accepted({
    samples: slices.reduce((sum, slice) => sum + slice.samples, 0),
    unsettled: slices.reduce((sum, slice) => sum + slice.unsettled, 0),
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

function worstOf(bench: Parameters<typeof corners>[0], probes: readonly Probe[]) {
  const restore = remember(bench);
  const worst = corners(bench, probes, restore);
  setNominal(bench.compiled);
  restore();
  return worst;
}

function joined(parts: readonly Float64Array[]): Float64Array {
  const all = new Float64Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

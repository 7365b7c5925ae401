import type { Compiled } from '../circuit/compile';
import type { Prepared } from '../solver/prepare';
import { setNominal } from './draw';
import type { Probe } from './probe';

export interface Extremes {
  readonly low: number;
  readonly high: number;
}

interface Knob {
  readonly low: number;
  readonly high: number;
  set(value: number): void;
}

/** Up to this many spreads every corner is solved; beyond it the corners are searched one spread at a time. */
const EXHAUSTIVE_SPREADS = 10;

/**
 * Smallest and largest reading of each probe with every spread at one of its two ends: exact up to ten spreads, and
 * beyond it wherever the reading rises or falls steadily with each spread.
 *
 * @param restore puts the bench back into its typical state, from which each corner is solved
 */
export function corners(bench: Prepared, probes: readonly Probe[], restore: () => void): Extremes[] {
  const knobs = knobsOf(bench.compiled);
  const settled = () => {
    restore();
    return bench.point.solve().converged;
  };
  if (knobs.length <= EXHAUSTIVE_SPREADS) return everyCorner(knobs, probes, settled);
  return probes.map((read) => {
    const far = (sense: 1 | -1) => {
      setNominal(bench.compiled);
      return climb(knobs, read, sense, settled);
    };
    return { low: far(-1), high: far(1) };
  });
}

function knobsOf(compiled: Compiled): Knob[] {
  return compiled.placed.flatMap((placed) =>
    placed.spreads.map(({ low, high, field }) => ({ low, high, set: placed.instance.knobs[field]! })),
  );
}

function everyCorner(knobs: readonly Knob[], probes: readonly Probe[], settled: () => boolean): Extremes[] {
  const lows = probes.map(() => Infinity);
  const highs = probes.map(() => -Infinity);
  for (let corner = 0; corner < 1 << knobs.length; corner++) {
    knobs.forEach((knob, i) => knob.set(corner & (1 << i) ? knob.high : knob.low));
    if (!settled()) continue;
    probes.forEach((read, i) => {
      const figure = read();
      lows[i] = Math.min(lows[i]!, figure);
      highs[i] = Math.max(highs[i]!, figure);
    });
  }
  return probes.map((_, i) => ({ low: lows[i]!, high: highs[i]! }));
}

/** Turns one spread at a time to its better end until none gains. */
function climb(knobs: readonly Knob[], read: Probe, sense: 1 | -1, settled: () => boolean): number {
  let best = settled() ? sense * read() : -Infinity;
  for (let round = 0, gained = true; gained && round < 4; round++) {
    gained = false;
    for (const knob of knobs) {
      const ends = [knob.low, knob.high].map((end) => {
        knob.set(end);
        return { end, figure: settled() ? sense * read() : -Infinity };
      });
      const better = ends[0]!.figure >= ends[1]!.figure ? ends[0]! : ends[1]!;
      knob.set(better.end);
      if (better.figure > best + 1e-15) {
        best = better.figure;
        gained = true;
      }
    }
  }
  return sense * best;
}

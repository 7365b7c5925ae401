import type { Compiled } from '../circuit/compile';
import type { Workbench } from '../solver/solve';
import { setNominal } from './draw';

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

/** Smallest and largest reading of each probe with every spread at one of its two ends. */
export function corners(bench: Workbench, probes: readonly (() => number)[]): Extremes[] {
  const knobs = knobsOf(bench.compiled);
  return knobs.length <= EXHAUSTIVE_SPREADS
    ? everyCorner(bench, knobs, probes)
    : probes.map((read) => ({
        low: climb(bench, knobs, read, -1),
        high: climb(bench, knobs, read, 1),
      }));
}

function knobsOf(compiled: Compiled): Knob[] {
  return compiled.placed.flatMap((placed) =>
    placed.spreads.map((spread, i) => ({
      low: spread.low,
      high: spread.high,
      set: (value: number) => placed.instance.set(i, value),
    })),
  );
}

function everyCorner(
  { point }: Workbench,
  knobs: readonly Knob[],
  probes: readonly (() => number)[],
): Extremes[] {
  const lows = probes.map(() => Infinity);
  const highs = probes.map(() => -Infinity);
  for (let corner = 0; corner < 1 << knobs.length; corner++) {
    knobs.forEach((knob, i) => knob.set(corner & (1 << i) ? knob.high : knob.low));
    if (!point.solve().converged) continue;
    probes.forEach((read, i) => {
      const figure = read();
      lows[i] = Math.min(lows[i]!, figure);
      highs[i] = Math.max(highs[i]!, figure);
    });
  }
  return probes.map((_, i) => ({ low: lows[i]!, high: highs[i]! }));
}

/** Turns one spread at a time to its better end until none gains: exact where the reading is monotone in each. */
function climb(
  { compiled, point }: Workbench,
  knobs: readonly Knob[],
  read: () => number,
  sense: 1 | -1,
): number {
  setNominal(compiled);
  point.solve();
  let best = sense * read();
  for (let round = 0, gained = true; gained && round < 4; round++) {
    gained = false;
    for (const knob of knobs) {
      const ends = [knob.low, knob.high].map((end) => {
        knob.set(end);
        return { end, figure: point.solve().converged ? sense * read() : -Infinity };
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

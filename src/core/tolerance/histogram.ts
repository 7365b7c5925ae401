/** Share of the draws in each of equal bins from `from` to `to`. */
export interface Histogram {
  readonly from: number;
  readonly to: number;
  readonly shares: readonly number[];
}

const BINS = 32;

/** How sorted figures lie. */
export function histogram(sorted: Float64Array): Histogram {
  const from = sorted[0] ?? 0;
  const to = sorted[sorted.length - 1] ?? 0;
  const shares = new Array<number>(BINS).fill(0);
  const width = (to - from) / BINS || 1;
  for (const value of sorted) {
    shares[Math.min(BINS - 1, Math.floor((value - from) / width))]! += 1 / sorted.length;
  }
  return { from, to, shares };
}

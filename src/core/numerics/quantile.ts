/**
 * The p-quantile of sorted values by linear interpolation between order statistics.
 * Source: Hyndman & Fan, The American Statistician 50(4), 1996, definition 7.
 *
 * @param sorted ascending, at least one value
 * @param p between 0 and 1
 */
export function quantile(sorted: ArrayLike<number>, p: number): number {
  const at = (sorted.length - 1) * Math.min(1, Math.max(0, p));
  const low = Math.floor(at);
  const high = Math.min(low + 1, sorted.length - 1);
  const below = sorted[low] ?? NaN;
  return below + (at - low) * ((sorted[high] ?? NaN) - below);
}

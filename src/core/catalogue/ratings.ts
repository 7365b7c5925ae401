import type { Watts } from '../quantities/units';

/** Resistor power ratings that shops sell. */
export const RATINGS: readonly Watts[] = [0.125, 0.25, 0.5, 1];

/** The smallest rating of which the watts are at most the given share (half: cool enough to touch). */
export function ratingFor(watts: Watts, share = 0.5): Watts | undefined {
  return RATINGS.find((rating) => watts <= rating * share);
}

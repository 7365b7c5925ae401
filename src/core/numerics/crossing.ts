const ROUNDS = 80;
/** A cut is kept this share of the bracket away from its ends, so that both close in. */
const LEAST_CUT = 1e-4;

/** When a crossing counts as met: the bracket as a share of the first one, and the margin past it. */
export interface CrossingLimits {
  readonly share: number;
  readonly margin: number;
}

/**
 * Where a margin has just passed zero, by false position that halves a stale end (Illinois).
 * Source: Dowell & Jarratt, BIT 11, 1971.
 *
 * @param from margin at 0, not above zero
 * @param h end of the bracket, where the margin is above zero
 * @param marginAt the margin at a place; NaN when there is none
 * @returns the place, which was the last one asked for; undefined when there was no margin somewhere on the way
 */
export function locateCrossing(
  from: number,
  h: number,
  marginAt: (h: number) => number,
  limits: CrossingLimits,
): number | undefined {
  let [low, lowMargin] = [0, Math.min(from, 0)];
  let [high, highMargin, last] = [h, marginAt(h), h];
  let [lowWeight, highWeight] = [lowMargin, highMargin];
  let before: boolean | undefined;
  for (let round = 0; round < ROUNDS; round++) {
    if (Number.isNaN(highMargin)) return undefined;
    if (highMargin < limits.margin || high - low < limits.share * h) break;
    const cut = lowWeight === highWeight ? 0.5 : -lowWeight / (highWeight - lowWeight);
    const middle = low + Math.min(1 - LEAST_CUT, Math.max(LEAST_CUT, cut)) * (high - low);
    const margin = marginAt(middle);
    last = middle;
    if (Number.isNaN(margin)) return undefined;
    // The weight of an end that stays for the second time is halved, so that it cannot hold the cut back.
    const side = margin > 0;
    if (side) [high, highMargin, highWeight] = [middle, margin, margin];
    else [low, lowMargin, lowWeight] = [middle, margin, margin];
    if (side === before && side) lowWeight /= 2;
    if (side === before && !side) highWeight /= 2;
    before = side;
  }
  if (last !== high) marginAt(high);
  return high;
}

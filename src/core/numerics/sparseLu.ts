import { choosePivots, type Coordinates, type Ordering } from './pivots';

/** Looked up once: these stand in the innermost loops. */
const { abs } = Math;

/** Orders of pivots that are kept for when they suit again. */
const ORDERS_KEPT = 4;

/** Where the entries are kept; replaced by a longer array when elimination fills in places of its own. */
export interface Entries {
  values: Float64Array;
}

/**
 * Sparse LU, in place, of a matrix whose places stay the same while its values change, as in Newton's method.
 *
 * The first factorisation chooses pivots on the values (few neighbours, scaled threshold) and writes the elimination
 * down as a list of places; later ones run down that list. When a multiplier outgrows what it was chosen for, pivots
 * are chosen anew.
 * Source: Duff, Erisman & Reid, Direct Methods for Sparse Matrices, 7.2 (Markowitz) and 5.12 (repeated patterns).
 */
export class SparseLu {
  /** The elimination that serves now. */
  order: Ordering | undefined;
  /** Orders that suited other values: a supply that goes into its limit and out again comes back to them. */
  private readonly earlier: Ordering[] = [];
  private readonly work: Float64Array;
  /** Column without a usable pivot when pivots were last chosen, or −1. */
  singular = -1;

  constructor(private readonly at: Coordinates) {
    this.work = new Float64Array(at.size);
  }

  /**
   * Chooses pivots for the entries as they are, and makes room for what elimination fills in. The entries stay.
   *
   * @returns false when the matrix is singular; `singular` then names the column
   */
  choose(entries: Entries): boolean {
    if (this.takeEarlier(entries)) return true;
    const chosen = choosePivots(this.at, entries.values);
    this.singular = typeof chosen === 'number' ? chosen : -1;
    if (typeof chosen === 'number') return false;
    const given = entries.values.subarray(0, this.at.rows.length);
    const room = new Float64Array(chosen.places);
    room.set(given);
    entries.values = room;
    this.order = chosen;
    chosen.most.fill(Infinity);
    const trial = room.slice();
    if (!this.factor(trial)) return false;
    chosen.rememberGrowth(trial);
    this.earlier.push(chosen);
    if (this.earlier.length > ORDERS_KEPT) this.earlier.shift();
    return true;
  }

  /** Takes an order that was chosen before, if one suits the entries as they are now. */
  private takeEarlier(entries: Entries): boolean {
    const failed = this.order;
    const given = entries.values.subarray(0, this.at.rows.length);
    for (const order of this.earlier) {
      if (order === failed) continue;
      const room = new Float64Array(order.places);
      room.set(given);
      this.order = order;
      if (!this.factor(room.slice())) continue;
      entries.values = room;
      this.singular = -1;
      return true;
    }
    this.order = failed;
    return false;
  }

  /**
   * Puts the factors in the place of the entries.
   *
   * @returns false when no pivots are chosen yet, or those chosen do not suit the entries any more
   */
  factor(lu: Float64Array): boolean {
    if (!this.order) return false;
    const { inverse, diagonal, lowerStart, lowerAt, most, upperStart, upperAt, target } = this.order;
    const n = this.at.size;
    let t = 0;
    for (let k = 0; k < n; k++) {
      const reciprocal = 1 / lu[diagonal[k]!]!;
      if (!(abs(reciprocal) < 1e300)) return false;
      inverse[k] = reciprocal;
      const first = upperStart[k]!;
      const last = upperStart[k + 1]!;
      const end = lowerStart[k + 1]!;
      for (let l = lowerStart[k]!; l < end; l++) {
        const place = lowerAt[l]!;
        const factor = lu[place]! * reciprocal;
        if (!(abs(factor) <= most[l]!)) return false;
        lu[place] = factor;
        for (let u = first; u < last; u++) lu[target[t++]!]! -= factor * lu[upperAt[u]!]!;
      }
    }
    return true;
  }

  /** Solves with the factors for the right-hand side in `rhs` (one a row) and leaves the answer there. */
  solve(lu: Float64Array, rhs: Float64Array): void {
    const { inverse, rows, columns, lowerStart, lowerAt, lowerRow, upperStart, upperAt, upperColumn } =
      this.order!;
    const { work } = this;
    const n = this.at.size;
    for (let k = 0; k < n; k++) work[k] = rhs[rows[k]!]!;
    for (let k = 0; k < n; k++) {
      const value = work[k]!;
      if (value === 0) continue;
      const end = lowerStart[k + 1]!;
      for (let l = lowerStart[k]!; l < end; l++) work[lowerRow[l]!]! -= lu[lowerAt[l]!]! * value;
    }
    for (let k = n - 1; k >= 0; k--) {
      let sum = work[k]!;
      const end = upperStart[k + 1]!;
      for (let u = upperStart[k]!; u < end; u++) sum -= lu[upperAt[u]!]! * work[upperColumn[u]!]!;
      work[k] = sum * inverse[k]!;
    }
    for (let k = 0; k < n; k++) rhs[columns[k]!] = work[k]!;
  }
}

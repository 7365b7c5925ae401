import type { CapacitorSort } from '../catalogue/capacitors';
import type { Farads, Hertz, Ohms } from '../quantities/units';

/** A resistor and a capacitor that part high tones from low ones. */
export interface FilterChoice {
  readonly ohms: Ohms;
  readonly sort: CapacitorSort;
  /** Where it lets through seven tenths. */
  readonly hertz: Hertz;
}

/** What a filter is chosen from. */
export interface FilterShelf {
  readonly values: readonly Ohms[];
  readonly capacitors: readonly CapacitorSort[];
}

/** Corner of one resistor and one capacitor: 1/(2π·R·C). */
export function cornerOf(ohms: Ohms, farads: Farads): Hertz {
  return 1 / (2 * Math.PI * ohms * farads);
}

/** How far from its usual ohms a resistor may lie before that counts as much as so far from the corner. */
const BY_OHMS = 0.25;
/** Ohms that a filter is given, beside the usual ones. */
const REACH = 3;

/**
 * The resistor and the capacitor of the drawer whose corner comes nearest to the wish, with ohms not far from the usual.
 *
 * @param beside ohms that stand in the way as well, in the same loop
 * @returns undefined where nothing of the drawer comes within a factor of two
 */
export function nearestFilter(
  wished: Hertz,
  usual: Ohms,
  { values, capacitors }: FilterShelf,
  beside: Ohms = 0,
): FilterChoice | undefined {
  let best: { choice: FilterChoice; off: number } | undefined;
  for (const ohms of values) {
    const strange = Math.abs(Math.log(ohms / usual));
    if (strange > Math.log(REACH)) continue;
    for (const sort of capacitors) {
      const hertz = cornerOf(ohms + beside, sort.farads);
      const away = Math.abs(Math.log(hertz / wished));
      if (away > Math.LN2) continue;
      const off = away + BY_OHMS * strange;
      if (!best || off < best.off - 1e-9) best = { choice: { ohms, sort, hertz }, off };
    }
  }
  return best?.choice;
}

import type { Ohms } from '../quantities/units';
import { USUAL_CAPACITORS, type CapacitorSort } from './capacitors';
import { LAMPS, type LampFigures, type LampType } from './lamps';
import { seriesValues, type SeriesName } from './preferred';

/** What values may be chosen from: the educator's own drawer, or a whole preferred series. */
export type ValueSource = 'drawer' | SeriesName;

/** What the educator has: the values in the drawer, and the figures of each lamp sort. */
export interface Shelf {
  readonly drawer: readonly Ohms[];
  readonly lamps: Readonly<Record<LampType, LampFigures>>;
  /** Capacitors to choose from; none at all falls back on the usual ones. */
  readonly capacitors?: readonly CapacitorSort[];
}

export const BARE_SHELF: Shelf = { drawer: seriesValues('E12'), lamps: LAMPS };

/** The capacitors to choose from, ascending. */
export function capacitorsOf({ capacitors }: Shelf): readonly CapacitorSort[] {
  const held = capacitors?.length ? capacitors : USUAL_CAPACITORS;
  return [...held].sort((a, b) => a.farads - b.farads);
}

/** The values to choose from, ascending; an empty drawer falls back on E12. */
export function valuesOf(shelf: Shelf, source: ValueSource): readonly Ohms[] {
  if (source !== 'drawer') return seriesValues(source);
  return shelf.drawer.length ? [...shelf.drawer].sort((a, b) => a - b) : seriesValues('E12');
}

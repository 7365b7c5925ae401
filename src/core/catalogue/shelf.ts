import type { Ohms } from '../quantities/units';
import { LAMPS, type LampFigures, type LampType } from './lamps';
import { seriesValues, type SeriesName } from './preferred';

/** What values may be chosen from: the educator's own drawer, or a whole preferred series. */
export type ValueSource = 'drawer' | SeriesName;

/** What the educator has: the resistor values in the drawer, and the figures of each lamp sort. */
export interface Shelf {
  readonly drawer: readonly Ohms[];
  readonly lamps: Readonly<Record<LampType, LampFigures>>;
}

export const BARE_SHELF: Shelf = { drawer: seriesValues('E12'), lamps: LAMPS };

/** The values to choose from, ascending; an empty drawer falls back on E12. */
export function valuesOf(shelf: Shelf, source: ValueSource): readonly Ohms[] {
  if (source !== 'drawer') return seriesValues(source);
  return shelf.drawer.length ? [...shelf.drawer].sort((a, b) => a - b) : seriesValues('E12');
}

import { formatPlain } from './format';

/** What a column of readings counts in, and how much one of it is: currents in mA, all else in its own unit. */
export function columnUnit(unit: 'V' | 'A' | 'Hz' | 's'): { readonly name: string; readonly scale: number } {
  return unit === 'A' ? { name: 'mA', scale: 1e-3 } : { name: unit, scale: 1 };
}

/** The finest that a hand meter shows, in what a column counts in: a thousandth. */
const FINEST = 1e-3;

/** A figure as a hand meter shows it in such a column: three digits, and none behind a thousandth. */
export function figureShown(value: number, scale: number): string {
  const shown = Math.round(value / scale / FINEST) * FINEST;
  if (shown === 0) return '0';
  const size = Math.abs(shown);
  // From 1 up three digits are coarser than that.
  if (size >= 1) return formatPlain(value, scale, 3);
  return formatPlain(shown, 1, size < 0.0095 ? 1 : size < 0.0995 ? 2 : 3);
}

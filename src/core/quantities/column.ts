/** What a column of readings counts in, and how much one of it is: currents in mA, all else in its own unit. */
export function columnUnit(unit: 'V' | 'A' | 'Hz' | 's'): { readonly name: string; readonly scale: number } {
  return unit === 'A' ? { name: 'mA', scale: 1e-3 } : { name: unit, scale: 1 };
}

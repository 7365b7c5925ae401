import { bandsFor, type BandColour } from '../catalogue/bands';
import { LAMP_TYPES, type LampType } from '../catalogue/lamps';
import type { Shelf } from '../catalogue/shelf';
import { supplyFigures, type SupplyChoice } from '../catalogue/supplies';
import { Junction } from '../devices/junction';
import type { Finding } from '../findings/finding';
import type { StockItem } from '../kits/stock';
import { ampsOf, bankOf } from '../patterns/steady/bank';
import type { HouseStyle } from '../patterns/style';
import type { Amps, Ohms, Watts } from '../quantities/units';

/** One lamp off one supply: the value to take and what it gives; or why there is none. */
export type CheatCell =
  | {
      readonly ohms: Ohms;
      readonly bands: readonly BandColour[] | undefined;
      readonly amps: Amps;
      readonly watts: Watts;
    }
  | { readonly why: Finding };

export interface CheatSheet {
  readonly wanted: Amps;
  readonly supplies: readonly SupplyChoice[];
  readonly lamps: readonly LampType[];
  /** Rows by supply, columns by lamp. */
  readonly cells: readonly (readonly CheatCell[])[];
}

const USUAL: readonly Omit<SupplyChoice, 'age'>[] = [
  { kind: 'aa-alkaline', cells: 2 },
  { kind: 'aa-alkaline', cells: 3 },
  { kind: 'aa-alkaline', cells: 4 },
  { kind: 'aa-nimh', cells: 4 },
  { kind: 'coin-20mm', cells: 1 },
  { kind: 'usb', cells: 1 },
  { kind: 'rail-3v3', cells: 1 },
  { kind: 'block-9v', cells: 1 },
  { kind: 'lead-acid-12v', cells: 1 },
];

/**
 * Supplies by lamps with the resistor for the house's current, from the store's own lamps and values.
 * Lamps that the store counts are taken; where it counts none, all sorts are.
 */
export function cheatSheet(style: HouseStyle, shelf: Shelf, stock: readonly StockItem[]): CheatSheet {
  const held = LAMP_TYPES.filter((lamp) =>
    stock.some(({ spec }) => spec.kind === 'led' && spec.lamp === lamp),
  );
  const lamps = held.length ? held : [...LAMP_TYPES];
  const supplies = USUAL.map((supply): SupplyChoice => ({ ...supply, age: style.age }));
  const cells = supplies.map((supply) => lamps.map((lamp) => cellFor(supply, lamp, style, shelf)));
  return { wanted: style.amps, supplies, lamps, cells };
}

function cellFor(supply: SupplyChoice, lamp: LampType, style: HouseStyle, shelf: Shelf): CheatCell {
  const bank = bankOf({ supply, strings: [[lamp]], amps: style.amps, side: 'plus' }, { shelf, style });
  if (!bank.ok) return { why: bank.findings[0]! };
  const ohms = bank.value.strings[0]!.chosen;
  const { volts, ohms: inside } = supplyFigures(supply);
  const amps = ampsOf([new Junction(shelf.lamps[lamp])], volts, ohms + inside);
  const bands = bandsFor(ohms, style.bands, style.bands === 4 ? 0.05 : 0.01) ?? bandsFor(ohms, 5, 0.01);
  return { ohms, bands, amps, watts: amps * amps * ohms };
}

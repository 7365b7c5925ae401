import {
  BARE_SHELF,
  LAMPS,
  LAMP_TYPES,
  stockKey,
  stockSpecSchema,
  type LampFigures,
  type LampType,
  type Shelf,
  type StockItem,
  type StockSpec,
} from '@/core';
import { database, write } from '../db/connection';
import { Refusal } from '../failures';
import { putVersioned, updateVersioned } from './versioned';

export interface StockRow extends StockItem {
  readonly id: number;
  readonly place: string;
  readonly version: number;
}

interface Stored {
  id: number;
  spec: string;
  have: number;
  pack_size: number;
  pack_cents: number;
  place: string;
  version: number;
}

export async function stockRows(): Promise<StockRow[]> {
  const rows = (await (await database())('stock').orderBy('id')) as Stored[];
  return rows
    .map(({ id, spec, have, pack_size, pack_cents, place, version }) => ({
      id,
      spec: stockSpecSchema.parse(JSON.parse(spec)),
      have,
      packSize: pack_size,
      packCents: pack_cents,
      place,
      version,
    }))
    .sort(byKindAndValue);
}

function byKindAndValue(a: StockRow, b: StockRow): number {
  if (a.spec.kind !== b.spec.kind) return 0;
  return a.spec.kind === 'resistor' && b.spec.kind === 'resistor' ? a.spec.ohms - b.spec.ohms : 0;
}

export type StockValues = Omit<StockItem, 'spec'> & { readonly place: string };

const columns = ({ have, packSize, packCents, place }: StockValues) => ({
  have,
  pack_size: packSize,
  pack_cents: packCents,
  place,
});

export async function addStock(spec: StockSpec, values: StockValues): Promise<number> {
  return write(async (trx) => {
    const key = stockKey(spec);
    if (await trx('stock').where({ key }).first()) {
      throw new Refusal('The store has a row for this part already. Change the number there.');
    }
    const [id] = await trx('stock').insert({ key, spec: JSON.stringify(spec), ...columns(values) });
    return id!;
  });
}

export async function saveStock(id: number, version: number, values: StockValues): Promise<number> {
  return write((trx) => updateVersioned(trx, 'stock', { id }, version, columns(values), 'this stock row'));
}

/** A row that somebody changed meanwhile stays. */
export async function removeStock(id: number, version: number): Promise<void> {
  return write(async (trx) => {
    if (await trx('stock').where({ id, version }).delete()) return;
    if (await trx('stock').where({ id }).first())
      throw new Refusal(
        'Somebody changed this stock row meanwhile. Look at it again before it is taken out.',
      );
  });
}

/** What there is to choose from: resistors and capacitors in stock, and lamps with the educator's own figures. */
export async function shelf(): Promise<Shelf> {
  const rows = await stockRows();
  const drawer = rows.flatMap(({ spec, have }) => (spec.kind === 'resistor' && have > 0 ? [spec.ohms] : []));
  const capacitors = rows.flatMap(({ spec, have }) =>
    spec.kind === 'capacitor' && have > 0 ? [{ farads: spec.farads, polarised: spec.polarised }] : [],
  );
  const figures = (await lamps()).figures;
  return { drawer: drawer.length ? drawer : BARE_SHELF.drawer, lamps: figures, capacitors };
}

export async function lamps(): Promise<{
  figures: Record<LampType, LampFigures>;
  versions: Record<LampType, number>;
}> {
  const rows = (await (await database())('lamps')) as { type: LampType; figures: string; version: number }[];
  const figures = { ...LAMPS };
  const versions = Object.fromEntries(LAMP_TYPES.map((type) => [type, 0])) as Record<LampType, number>;
  for (const row of rows) {
    figures[row.type] = { ...LAMPS[row.type], ...(JSON.parse(row.figures) as Partial<LampFigures>) };
    versions[row.type] = row.version;
  }
  return { figures, versions };
}

export async function saveLamp(figures: LampFigures, version: number): Promise<number> {
  const { type } = figures;
  const json = JSON.stringify(figures);
  return write((trx) => putVersioned(trx, 'lamps', { type }, version, { figures: json }, `the ${type} lamp`));
}

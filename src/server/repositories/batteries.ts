import type { SupplyKind } from '@/core';
import { database, write } from '../db/connection';
import { putAway } from './versioned';

/** A battery that was read, under the name that stands on it. */
export interface Battery {
  readonly id: number;
  readonly name: string;
  readonly kind: SupplyKind;
  readonly cells: number;
  /** Open volts, and its own ohms. */
  readonly volts: number;
  readonly ohms: number;
  readonly measuredAt: string;
}

export type NewBattery = Omit<Battery, 'id'>;

interface Stored extends Omit<Battery, 'measuredAt'> {
  measured_at: string;
}

/** The newest reading of each battery that is still in use, newest first. */
export async function batteries(): Promise<Battery[]> {
  const rows = (await (
    await database()
  )('batteries')
    .whereNull('archived_at')
    .orderBy('id', 'desc')) as Stored[];
  return rows.map(({ id, name, kind, cells, volts, ohms, measured_at }) => ({
    id,
    name,
    kind,
    cells,
    volts,
    ohms,
    measuredAt: measured_at,
  }));
}

/** Keeps a reading; an earlier one of the same name is put away, not lost. */
export async function addBattery(battery: NewBattery): Promise<number> {
  const { measuredAt, ...rest } = battery;
  return write(async (trx) => {
    await trx('batteries')
      .where({ name: battery.name })
      .whereNull('archived_at')
      .update({ archived_at: measuredAt });
    const [id] = await trx('batteries').insert({ ...rest, measured_at: measuredAt });
    return id!;
  });
}

/** Puts a battery away, or takes it out again. */
export async function archiveBattery(id: number, at: string | null): Promise<void> {
  await putAway('batteries', id, at, 'this battery');
}

'use server';

import {
  cleanLine,
  LAMP_TYPES,
  ORIGINS,
  stockSpecSchema,
  SUPPLY_KINDS,
  SUPPLY_LIMIT_VOLTS,
  type LampFigures,
} from '@/core';
import { z } from 'zod';
import { issueSentence } from '@/messages/issues';
import { guarded } from '@/server/access/admit';
import { done, failed, Missing, type Answer } from '@/server/failures';
import { addBattery, archiveBattery } from '@/server/repositories/batteries';
import { addStock, lamps, removeStock, saveLamp, saveStock, stockRows } from '@/server/repositories/stock';

const idSchema = z.number().int().positive();
const versionSchema = z.number().int().min(0);
const count = z.number().int().min(0).max(100_000);
const valuesSchema = z.strictObject({
  have: count,
  packSize: z.number().int().min(1).max(10_000),
  packCents: z.number().int().min(0).max(10_000_000),
  place: z.string().transform(cleanLine).pipe(z.string().max(60)),
});
export type StockFormValues = z.output<typeof valuesSchema>;

export async function changeStock(
  id: number,
  version: number,
  values: StockFormValues,
): Promise<Answer<number, StockFormValues>> {
  return guarded(
    'changeStock',
    async () => {
      const checked = valuesSchema.safeParse(values);
      if (!checked.success) return failed(issueSentence(checked.error, FIELDS, 'A figure'));
      return done(await saveStock(idSchema.parse(id), versionSchema.parse(version), checked.data));
    },
    async () => {
      const now = (await stockRows()).find((row) => row.id === id);
      if (!now) throw new Missing('This stock row is not there any more.');
      const { have, packSize, packCents, place } = now;
      return { version: now.version, value: { have, packSize, packCents, place } };
    },
  );
}

export async function takeOutStock(id: number, version: number): Promise<Answer<null>> {
  return guarded('takeOutStock', async () => {
    await removeStock(idSchema.parse(id), versionSchema.parse(version));
    return done(null);
  });
}

export async function newStock(spec: unknown, values: StockFormValues): Promise<Answer<number>> {
  return guarded('newStock', async () => {
    const part = stockSpecSchema.safeParse(spec);
    if (!part.success) return failed('Say which part it is first: a kind, and its value or colour.');
    const checked = valuesSchema.safeParse(values);
    if (!checked.success) return failed(issueSentence(checked.error, FIELDS, 'A figure'));
    return done(await addStock(part.data, checked.data));
  });
}

const batterySchema = z.strictObject({
  name: z.string().transform(cleanLine).pipe(z.string().min(1).max(40)),
  kind: z.enum(SUPPLY_KINDS),
  cells: z.number().int().min(1).max(10),
  volts: z.number().min(0.1).max(SUPPLY_LIMIT_VOLTS),
  ohms: z.number().min(0).max(200),
});

/** Keeps what a battery was read at, under the name that is written on it. */
export async function keepBattery(battery: z.input<typeof batterySchema>): Promise<Answer<number>> {
  return guarded('keepBattery', async () => {
    const checked = batterySchema.safeParse(battery);
    if (!checked.success) return failed(issueSentence(checked.error, FIELDS, 'A figure'));
    return done(await addBattery({ ...checked.data, measuredAt: new Date().toISOString() }));
  });
}

export async function putAwayBattery(id: number, away: boolean): Promise<Answer<null>> {
  return guarded('putAwayBattery', async () => {
    await archiveBattery(idSchema.parse(id), away ? new Date().toISOString() : null);
    return done(null);
  });
}

const lampSchema = z
  .strictObject({
    type: z.enum(LAMP_TYPES),
    vf: z.number().min(0.8).max(6),
    at: z.number().min(1e-4).max(0.1),
    vfLow: z.number().min(0.5).max(6),
    vfHigh: z.number().min(0.5).max(8),
    maxAmps: z.number().min(1e-3).max(0.2),
    rs: z.number().min(0).max(100),
    origin: z.enum(ORIGINS),
  })
  .refine((l) => l.vfLow <= l.vf && l.vf <= l.vfHigh, {
    path: ['vf'],
    error: 'must lie between the lowest and the highest of the batch',
  });
export type LampFormValues = z.output<typeof lampSchema>;

/** Keeps the educator's own figures of a lamp, with where they come from. */
export async function changeLamp(
  version: number,
  values: LampFormValues,
): Promise<Answer<number, LampFormValues>> {
  return guarded(
    'changeLamp',
    async () => {
      const checked = lampSchema.safeParse(values);
      if (!checked.success) return failed(issueSentence(checked.error, FIELDS, 'A figure'));
      const own = (await lamps()).figures[checked.data.type];
      const figures: LampFigures = { ...own, ...checked.data };
      return done(await saveLamp(figures, versionSchema.parse(version)));
    },
    async () => {
      const { figures, versions } = await lamps();
      const { type, vf, at, vfLow, vfHigh, maxAmps, rs, origin } = figures[values.type];
      return { version: versions[values.type], value: { type, vf, at, vfLow, vfHigh, maxAmps, rs, origin } };
    },
  );
}

const FIELDS: Readonly<Record<string, string>> = {
  name: 'The name of the battery',
  cells: 'The number of cells',
  volts: 'The open voltage',
  ohms: 'The battery’s own resistance',
  have: 'The number in store',
  packSize: 'The pack size',
  packCents: 'The price of a pack',
  place: 'The place',
  vf: 'The forward voltage',
  at: 'The current it was taken at',
  vfLow: 'The lowest forward voltage',
  vfHigh: 'The highest forward voltage',
  maxAmps: 'The continuous maximum',
};

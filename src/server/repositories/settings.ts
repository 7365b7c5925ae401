import {
  DEFAULT_METER,
  DEFAULT_STYLE,
  meterSchema,
  styleSchema,
  type HouseStyle,
  type MeterFigures,
} from '@/core';
import { glossarySchema, type OwnWords } from '@/messages/glossary';
import { z } from 'zod';
import { database, write } from '../db/connection';
import { putVersioned } from './versioned';

export interface Versioned<T> {
  readonly value: T;
  /** 0 until it is saved for the first time. */
  readonly version: number;
}

export const houseStyle = (): Promise<Versioned<HouseStyle>> =>
  setting('house style', styleSchema, DEFAULT_STYLE);

export const meter = (): Promise<Versioned<MeterFigures>> => setting('meter', meterSchema, DEFAULT_METER);

export const glossary = (): Promise<Versioned<OwnWords>> => setting('glossary', glossarySchema, {});

/** For how many days pictures of benches are kept. */
export const pictureRuleSchema = z.strictObject({ days: z.number().int().min(1).max(400) });
export type PictureRule = z.output<typeof pictureRuleSchema>;

export const pictureRule = (): Promise<Versioned<PictureRule>> =>
  setting('pictures', pictureRuleSchema, { days: 30 });

/** The zone that days and hours are reckoned by, by its IANA name; null until somebody has said. */
export const zoneSchema = z.strictObject({
  zone: z.string().max(60).refine(isZone, 'is no zone of the world').nullable(),
});
export type ZoneRule = z.output<typeof zoneSchema>;

export const houseZone = (): Promise<Versioned<ZoneRule>> => setting('zone', zoneSchema, { zone: null });

function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

async function setting<T>(name: string, schema: z.ZodType<T>, fallback: T): Promise<Versioned<T>> {
  const row = (await (await database())('settings').where({ name }).first()) as
    { json: string; version: number } | undefined;
  if (!row) return { value: fallback, version: 0 };
  const read = schema.safeParse(JSON.parse(row.json));
  return { value: read.success ? read.data : fallback, version: row.version };
}

export async function saveSetting(
  name: 'house style' | 'meter' | 'glossary' | 'pictures' | 'zone',
  version: number,
  value: HouseStyle | MeterFigures | OwnWords | PictureRule | ZoneRule,
): Promise<number> {
  const json = JSON.stringify(value);
  return write((trx) => putVersioned(trx, 'settings', { name }, version, { json }, `the ${name}`));
}

'use server';

import { meterSchema, styleSchema, type HouseStyle, type MeterFigures } from '@/core';
import { issueSentence } from '@/messages/issues';
import { guarded } from '@/server/access/admit';
import { backUp } from '@/server/backup/backUp';
import { done, failed, type Answer } from '@/server/failures';
import { letPicturesGo } from '@/server/pictures/retention';
import {
  houseStyle,
  meter as keptMeter,
  pictureRule,
  houseZone,
  pictureRuleSchema,
  zoneSchema,
  saveSetting,
} from '@/server/repositories/settings';
import { reckonBy } from '@/server/zone';
import { startJob } from '@/server/work/jobs';
import { METER_FIELDS, STYLE_FIELDS } from './fields';

export async function keepStyle(version: number, style: unknown): Promise<Answer<number, HouseStyle>> {
  return guarded(
    'keepStyle',
    async () => {
      const checked = styleSchema.safeParse(style);
      if (!checked.success) return failed(issueSentence(checked.error, STYLE_FIELDS, 'The house style'));
      return done(await saveSetting('house style', version, checked.data));
    },
    houseStyle,
  );
}

export async function keepMeter(version: number, meter: unknown): Promise<Answer<number, MeterFigures>> {
  return guarded(
    'keepMeter',
    async () => {
      const checked = meterSchema.safeParse(meter);
      if (!checked.success) return failed(issueSentence(checked.error, METER_FIELDS, 'The meter'));
      return done(await saveSetting('meter', version, checked.data));
    },
    keptMeter,
  );
}

/** Keeps for how many days pictures of benches stay; those that have stayed longer go at once. */
export async function keepPictureDays(version: number, days: number): Promise<Answer<number, number>> {
  return guarded(
    'keepPictureDays',
    async () => {
      const saved = await saveSetting('pictures', version, pictureRuleSchema.parse({ days }));
      await letPicturesGo();
      return done(saved);
    },
    async () => {
      const { version: now, value } = await pictureRule();
      return { version: now, value: value.days };
    },
  );
}

/** Keeps the zone that the house reckons its days and hours by. */
export async function keepZone(version: number, zone: string | null): Promise<Answer<number, string | null>> {
  return guarded(
    'keepZone',
    async () => {
      const rule = zoneSchema.parse({ zone });
      const saved = await saveSetting('zone', version, rule);
      reckonBy(rule.zone ?? undefined);
      return done(saved);
    },
    async () => {
      const { version: now, value } = await houseZone();
      return { version: now, value: value.zone };
    },
  );
}

/** Begins a verified copy of the database beside it. */
export async function backUpNow(): Promise<Answer<string>> {
  return guarded('backUpNow', async () =>
    done(
      startJob<{ file: string; bytes: number; readings: number }>(async () => {
        const { file, bytes, rows } = await backUp();
        return done({ file, bytes, readings: rows['readings'] ?? 0 });
      }),
    ),
  );
}

'use server';

import { meterSchema, styleSchema } from '@/core';
import { done, failed, guarded, type Answer } from '@/server/failures';
import { saveSetting } from '@/server/repositories/settings';

export async function keepStyle(version: number, style: unknown): Promise<Answer<number>> {
  return guarded(async () => {
    const checked = styleSchema.safeParse(style);
    if (!checked.success)
      return failed(
        `House style: ${checked.error.issues[0]!.path.join(' ')} ${checked.error.issues[0]!.message}. Nothing was saved.`,
      );
    return done(await saveSetting('house style', version, checked.data));
  });
}

export async function keepMeter(version: number, meter: unknown): Promise<Answer<number>> {
  return guarded(async () => {
    const checked = meterSchema.safeParse(meter);
    if (!checked.success)
      return failed(
        `Meter: ${checked.error.issues[0]!.path.join(' ')} ${checked.error.issues[0]!.message}. Nothing was saved.`,
      );
    return done(await saveSetting('meter', version, checked.data));
  });
}

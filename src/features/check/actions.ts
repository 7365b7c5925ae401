'use server';

import { z } from 'zod';
import { done, failed, guarded, type Answer } from '@/server/failures';
import { addReading, type NewReading, type Reading } from '@/server/repositories/readings';

const readingSchema = z.strictObject({
  sessionId: z.number().int().positive(),
  studentId: z.number().int().positive(),
  point: z.string().min(1).max(40),
  kind: z.enum(['first', 'correction', 'retest']),
  value: z.number().min(-1000).max(1000),
  step: z.number().min(0).max(1000),
  typed: z.string().min(1).max(40),
  meter: z.string().max(40),
  takenBy: z.string().max(30),
  takenAt: z.iso.datetime(),
  entryKey: z.uuid(),
});

/** Keeps one reading; sent twice, it is kept once. */
export async function keepReading(reading: NewReading): Promise<Answer<Reading>> {
  return guarded(async () => {
    const checked = readingSchema.safeParse(reading);
    if (!checked.success)
      return failed(`The reading “${reading.typed}” cannot be kept: ${checked.error.issues[0]!.message}.`);
    return done(await addReading(checked.data));
  });
}

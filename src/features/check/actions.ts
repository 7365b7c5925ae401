'use server';

import { z } from 'zod';
import { sentences } from '@/messages/findings';
import { renewalChanges, renewedFor, type RenewalChanges } from '@/server/renewal';
import { refreshSession, session, unrefreshSession } from '@/server/repositories/sessions';
import { done, failed, guarded, type Answer } from '@/server/failures';
import { addReading, type NewReading, type Reading } from '@/server/repositories/readings';

const idSchema = z.number().int().positive();
const versionSchema = z.number().int().min(0);

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

/** What would be judged otherwise by the lesson as it is now. */
export async function whatRenewalChanges(sessionId: number): Promise<Answer<RenewalChanges>> {
  return guarded(async () => {
    const changes = await renewalChanges(idSchema.parse(sessionId));
    return changes.ok ? done(changes.value) : failed(sentences(changes.findings));
  });
}

/** Takes the lesson's newest figures into a session that nobody changed since it was asked; its readings stay. */
export async function renewSession(sessionId: number, version: number): Promise<Answer<null>> {
  return guarded(async () => {
    const held = await session(idSchema.parse(sessionId));
    const made = await renewedFor(held);
    if (!made.ok) return failed(sentences(made.findings));
    await refreshSession(held.id, versionSchema.parse(version), made.value.expectation, made.value.summary);
    return done(null);
  });
}

/** Judges a session by what it was judged by before it was renewed. */
export async function takeBackRenewal(sessionId: number): Promise<Answer<null>> {
  return guarded(async () => {
    await unrefreshSession(idSchema.parse(sessionId));
    return done(null);
  });
}

'use server';

import { z } from 'zod';
import { issueSentence } from '@/messages/issues';
import { sentences } from '@/messages/findings';
import { guarded, notTheirs } from '@/server/access/admit';
import { renewalChanges, renewedFor, type RenewalChanges } from '@/server/renewal';
import { addCode, codesOf, endCodesOf, type Code } from '@/server/repositories/codes';
import { refreshSession, session, unrefreshSession } from '@/server/repositories/sessions';
import { done, failed, type Answer } from '@/server/failures';
import { judgeSession, judgeInBackground } from '@/server/judging';
import { addReading, type NewReading, type Reading } from '@/server/repositories/readings';
import { startJob } from '@/server/work/jobs';
import { READING_FIELDS, readingSchema } from './reading';

const idSchema = z.number().int().positive();
const versionSchema = z.number().int().min(0);

/** Keeps one reading; sent twice, it is kept once. */
export async function keepReading(reading: NewReading): Promise<Answer<Reading>> {
  return guarded('keepReading', async (asking) => {
    const checked = readingSchema.safeParse(reading);
    if (!checked.success) return failed(issueSentence(checked.error, READING_FIELDS, 'The reading'));
    const stranger = notTheirs(asking, checked.data.sessionId);
    if (stranger) return failed(stranger);
    const kept = await addReading(checked.data);
    void judgeSession(kept.sessionId).catch(() => undefined);
    return done(kept);
  });
}

/** Begins to look what would be judged otherwise by the lesson as it is now. */
export async function whatRenewalChanges(sessionId: number): Promise<Answer<string>> {
  return guarded('whatRenewalChanges', async () => {
    const id = idSchema.parse(sessionId);
    return done(
      startJob<RenewalChanges>(async (tell, signal) => {
        const changes = await renewalChanges(id, { tell, signal });
        return changes.ok ? done(changes.value) : failed(sentences(changes.findings));
      }),
    );
  });
}

/** Begins to take the lesson's newest figures into a session that nobody changed since it was asked; its readings stay. */
export async function renewSession(sessionId: number, version: number): Promise<Answer<string>> {
  return guarded('renewSession', async () => {
    const held = await session(idSchema.parse(sessionId));
    const known = versionSchema.parse(version);
    return done(
      startJob<null>(async (tell, signal) => {
        const made = await renewedFor(held, { tell, signal });
        if (!made.ok) return failed(sentences(made.findings));
        signal.throwIfAborted();
        await refreshSession(held.id, known, made.value.expectation, made.value.summary);
        void judgeInBackground();
        return done(null);
      }),
    );
  });
}

/** Judges a session by what it was judged by before it was renewed. */
export async function takeBackRenewal(sessionId: number): Promise<Answer<null>> {
  return guarded('takeBackRenewal', async () => {
    await unrefreshSession(idSchema.parse(sessionId));
    return done(null);
  });
}

const roleSchema = z.enum(['helper', 'student']);
const HOURS = 3_600_000;

/** A code by which helpers or students come to this session for so many hours; an earlier one ends. */
export async function makeCode(sessionId: number, role: Code['role'], hours: number): Promise<Answer<Code>> {
  return guarded('makeCode', async () => {
    const lasts = z.number().min(1).max(24).parse(hours);
    const ends = new Date(Date.now() + lasts * HOURS).toISOString();
    return done(await addCode(idSchema.parse(sessionId), roleSchema.parse(role), ends));
  });
}

/** Takes a code back: whoever came in by it is out. */
export async function endCode(sessionId: number, role: Code['role']): Promise<Answer<Code[]>> {
  return guarded('endCode', async () => {
    const id = idSchema.parse(sessionId);
    await endCodesOf(id, roleSchema.parse(role));
    return done(await codesOf(id));
  });
}

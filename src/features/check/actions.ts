'use server';

import { z } from 'zod';
import { benchContextSchema, mistakesIn } from '@/core';
import { causeWords } from '@/messages/causes';
import { issueSentence } from '@/messages/issues';
import { sentences } from '@/messages/findings';
import { guarded, notTheirs } from '@/server/access/admit';
import { contextChoices, keepBenchContexts, withBatch, type ContextChoices } from '@/server/benchContext';
import type { HeldContext } from '@/server/repositories/benchContexts';
import { readHouseMeter, type MeterSays } from '@/server/instruments/meter';
import { renewalChanges, renewedFor, type RenewalChanges } from '@/server/renewal';
import {
  ATTENDANCE,
  attendanceOf,
  noteAttendance,
  type Attendance,
  type NotedAttendance,
} from '@/server/repositories/attendance';
import { addCode, codesOf, endCodesOf, type Code } from '@/server/repositories/codes';
import { addFound, removeFound, type FoundFault, type NewFound } from '@/server/repositories/foundFaults';
import { freeSeat, seatsOf } from '@/server/repositories/seats';
import {
  expectationAt,
  HINTS,
  refreshSession,
  session,
  setSessionHints,
  unrefreshSession,
  type Hints,
} from '@/server/repositories/sessions';
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
    const stranger = notTheirs(asking, checked.data.sessionId, checked.data.studentId);
    if (stranger) return failed(stranger);
    const kept = await addReading(asking?.role === 'student' ? byStudent(checked.data) : checked.data);
    void judgeSession(kept.sessionId).catch(() => undefined);
    return done(kept);
  });
}

/** What a student sends is the student's own. */
function byStudent(reading: NewReading): NewReading {
  return { ...reading, takenBy: 'student' };
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
        const { expectation, summary, asFound, sheet } = made.value;
        await refreshSession(held.id, known, expectation, summary, asFound, sheet);
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

const foundSchema = z.strictObject({
  sessionId: idSchema,
  studentId: idSchema,
  cause: z.object({ code: z.string().max(40), data: z.record(z.string(), z.unknown()) }),
  words: z.string().trim().min(1).max(120).optional(),
  foundBy: z.string().max(30),
  foundAt: z.iso.datetime(),
  entryKey: z.uuid(),
});

/** Keeps what was really wrong with a bench: the logbook counts it, and the next class's causes are weighed by that. */
export async function faultFound(
  found: Omit<NewFound, 'words'> & { readonly words?: string },
): Promise<Answer<FoundFault>> {
  return guarded('faultFound', async (asking) => {
    const { words, ...known } = foundSchema.parse(found);
    const stranger = notTheirs(asking, known.sessionId, known.studentId);
    if (stranger) return failed(stranger);
    const { dictionary } = await expectationAt(known.sessionId, known.studentId);
    if (words !== undefined && known.cause.code === 'something-else')
      return done(await addFound({ ...known, cause: { code: 'something-else', data: {} }, words }));
    // Only what the session knows of is counted.
    const told = JSON.stringify(known.cause.data);
    const cause = mistakesIn({ dictionary }).find(
      ({ code, data }) => code === known.cause.code && JSON.stringify(data) === told,
    );
    if (!cause) return failed('This session knows of no such fault. Load the page again.');
    const { code, data } = cause;
    return done(
      await addFound({ ...known, cause: { code, data }, words: causeWords(cause, dictionary.points) }),
    );
  });
}

/** Reads the house's meter, its probes held where a checkpoint wants them. */
export async function readMeterAt(sessionId: number, point: string): Promise<Answer<MeterSays>> {
  return guarded('readMeterAt', async (asking) => {
    const id = idSchema.parse(sessionId);
    const stranger = notTheirs(asking, id);
    if (stranger) return failed(stranger);
    return done(await readHouseMeter(id, z.string().max(40).parse(point)));
  });
}

/** What may be said to be different on a bench of a session. */
export async function contextChoicesOf(sessionId: number): Promise<Answer<ContextChoices>> {
  return guarded('contextChoicesOf', async () => done(await contextChoices(idSchema.parse(sessionId))));
}

const contextSchema = z.strictObject({
  studentId: idSchema,
  version: versionSchema,
  context: benchContextSchema,
});

/**
 * Begins to work out what a bench is judged by for what is different there.
 *
 * @param batch its lamps are of the box that the whole class has: what was measured of them counts on every bench
 */
export async function keepContext(
  sessionId: number,
  bench: HeldContext,
  batch: boolean,
): Promise<Answer<string>> {
  return guarded('keepContext', async () => {
    const id = idSchema.parse(sessionId);
    const own = contextSchema.parse(bench);
    const all = z.boolean().parse(batch) ? await withBatch(id, own) : [own];
    return done(
      startJob<null>(async (tell, signal) => {
        const made = await keepBenchContexts(id, all, { tell, signal });
        if (!made.ok) return failed(sentences(made.findings));
        void judgeInBackground();
        return done(null);
      }),
    );
  });
}

/** Takes back what was noted as found. */
export async function faultNotFound(sessionId: number, id: number): Promise<Answer<null>> {
  return guarded('faultNotFound', async (asking) => {
    const own = idSchema.parse(sessionId);
    const stranger = notTheirs(asking, own);
    if (stranger) return failed(stranger);
    await removeFound(own, idSchema.parse(id));
    return done(null);
  });
}

/** Frees a bench that a student has taken on another machine. */
export async function freeBench(sessionId: number, studentId: number): Promise<Answer<number[]>> {
  return guarded('freeBench', async () => {
    const id = idSchema.parse(sessionId);
    await freeSeat(id, idSchema.parse(studentId));
    return done(await seatsOf(id));
  });
}

/** How much students are told at their bench when something is off. */
export async function setHints(sessionId: number, hints: Hints): Promise<Answer<Hints>> {
  return guarded('setHints', async () => {
    const known = z.enum(HINTS).parse(hints);
    await setSessionHints(idSchema.parse(sessionId), known);
    return done(known);
  });
}

const attendanceSchema = z.strictObject({
  studentId: idSchema,
  state: z.enum(ATTENDANCE),
  withStudent: idSchema.nullable(),
});

/** Notes who is there, who is late, and who works at whose bench. */
export async function noteWhoIsThere(
  sessionId: number,
  noted: NotedAttendance,
): Promise<Answer<Attendance[]>> {
  return guarded('noteWhoIsThere', async (asking) => {
    const id = idSchema.parse(sessionId);
    const stranger = notTheirs(asking, id);
    if (stranger) return failed(stranger);
    await noteAttendance(id, attendanceSchema.parse(noted));
    return done(await attendanceOf(id));
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

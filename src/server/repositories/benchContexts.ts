import type { Knex } from 'knex';
import { benchContextSchema, isEmptyContext, type BenchContext, type SessionExpectation } from '@/core';
import { database, write } from '../db/connection';
import { tellSession } from '../live';
import { refuseStranger } from './belongs';
import { toBeJudged } from './judgements';
import { expectationFrom } from './keptExpectation';
import { putVersioned } from './versioned';

/** What is different on a bench of a session. */
export interface HeldContext {
  readonly studentId: number;
  readonly context: BenchContext;
  readonly version: number;
}

/** One bench's context, and what it is judged by for that; nothing where nothing is different. */
export interface NewContext extends HeldContext {
  readonly expectation: SessionExpectation | undefined;
}

interface Stored {
  student_id: number;
  context: string;
  version: number;
}

function fromRow({ student_id, context, version }: Stored): HeldContext {
  return { studentId: student_id, context: benchContextSchema.parse(JSON.parse(context)), version };
}

/** Benches of a session on which something is different, or was. */
export async function contextsOf(sessionId: number): Promise<HeldContext[]> {
  const rows = (await database())('bench_contexts').where({ session_id: sessionId });
  return ((await rows) as Stored[]).map(fromRow);
}

/** What benches of a session are judged by besides the session's own figures, by student. */
export async function expectationsOf(sessionId: number): Promise<Map<number, SessionExpectation>> {
  const texts = await ownExpectationTexts(sessionId);
  return new Map([...texts].map(([studentId, text]) => [studentId, expectationFrom(text)]));
}

/** The same as they are kept, of all benches or of some. */
export async function ownExpectationTexts(
  sessionId: number,
  studentIds?: readonly number[],
): Promise<Map<number, string>> {
  const rows = (await database())('bench_expectations')
    .where({ session_id: sessionId, lesson_version: await judgedVersion(sessionId) })
    .select('student_id', 'expectation');
  if (studentIds) void rows.whereIn('student_id', [...studentIds]);
  const found = (await rows) as { student_id: number; expectation: string }[];
  return new Map(found.map(({ student_id, expectation }) => [student_id, expectation]));
}

/** The version of its lesson that a session is judged by; 0 where there is no such session. */
export async function judgedVersion(sessionId: number): Promise<number> {
  const row = (await (await database())('sessions').where({ id: sessionId }).first('summary')) as
    { summary: string } | undefined;
  return row ? (JSON.parse(row.summary) as { lessonVersion: number }).lessonVersion : 0;
}

/**
 * Keeps what is different on some benches; each is judged anew by it.
 *
 * @param lessonVersion the lesson's version that the expectations were worked out from
 * @throws VersionConflict where somebody else has changed one since; none is kept then
 */
export async function keepContexts(
  sessionId: number,
  lessonVersion: number,
  contexts: readonly NewContext[],
): Promise<void> {
  await write(async (trx) => {
    for (const { studentId, context, version, expectation } of contexts) {
      await refuseStranger(trx, sessionId, studentId);
      const bench = { session_id: sessionId, student_id: studentId };
      const values = { context: JSON.stringify(context) };
      await putVersioned(trx, 'bench_contexts', bench, version, values, 'what is different on this bench');
      await trx('bench_expectations').where(bench).delete();
      if (expectation && !isEmptyContext(context))
        await keepExpectation(trx, bench, lessonVersion, expectation);
      await toBeJudged(trx, sessionId, studentId);
    }
  });
  tellSession(sessionId);
}

/** Keeps what benches are judged by when their session takes a newer version of its lesson; those of the earlier one stay. */
export async function keepExpectations(
  trx: Knex.Transaction,
  sessionId: number,
  lessonVersion: number,
  expectations: ReadonlyMap<number, SessionExpectation>,
): Promise<void> {
  for (const [studentId, expectation] of expectations)
    await keepExpectation(trx, { session_id: sessionId, student_id: studentId }, lessonVersion, expectation);
}

async function keepExpectation(
  trx: Knex.Transaction,
  bench: { readonly session_id: number; readonly student_id: number },
  lessonVersion: number,
  expectation: SessionExpectation,
): Promise<void> {
  await trx('bench_expectations')
    .insert({ ...bench, lesson_version: lessonVersion, expectation: JSON.stringify(expectation) })
    .onConflict(['session_id', 'student_id', 'lesson_version'])
    .merge(['expectation']);
}

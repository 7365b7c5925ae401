import type { Knex } from 'knex';
import { JUDGING_RULE, type JudgedBench, type Verdict } from '@/core';
import { database, write } from '../db/connection';

/** How a bench stands in a session by its readings, as it was judged last. */
export interface BenchJudgement {
  readonly sessionId: number;
  readonly studentId: number;
  readonly judged: JudgedBench;
  /** The likeliest cause in words, and what would settle it; empty where there is nothing to say. */
  readonly cause: string;
  readonly next: string;
}

export interface Bench {
  readonly sessionId: number;
  readonly studentId: number;
}

interface Stored {
  session_id: number;
  student_id: number;
  cause: string;
  next: string;
  judged: string;
}

/** Notes within a write that a bench is to be judged anew; how it stood is shown until then. */
export async function toBeJudged(trx: Knex.Transaction, sessionId: number, studentId: number): Promise<void> {
  await trx('judgements')
    .insert({ session_id: sessionId, student_id: studentId, rule: 0 })
    .onConflict(['session_id', 'student_id'])
    .merge(['rule']);
}

export async function judgementsOf(sessionId: number): Promise<BenchJudgement[]> {
  const rows = (await (await database())('judgements').where({ session_id: sessionId })) as Stored[];
  return rows.map(({ session_id, student_id, cause, next, judged }) => ({
    sessionId: session_id,
    studentId: student_id,
    cause,
    next,
    judged: JSON.parse(judged) as JudgedBench,
  }));
}

/** Benches that wait to be judged, of one session or of all, the newest sessions first. */
export async function benchesWaiting(sessionId?: number, most = 200): Promise<Bench[]> {
  const rows = (await database())('judgements')
    .whereNot({ rule: JUDGING_RULE })
    .orderBy('session_id', 'desc')
    .limit(most);
  if (sessionId !== undefined) void rows.where({ session_id: sessionId });
  return ((await rows.select('session_id', 'student_id')) as Stored[]).map(({ session_id, student_id }) => ({
    sessionId: session_id,
    studentId: student_id,
  }));
}

/** The verdict on one reading, by its number. */
export interface ReadingVerdict {
  readonly id: number;
  readonly verdict: Verdict | undefined;
}

/**
 * Keeps how a bench stands, unless a newer reading has come in since.
 *
 * @param newest the newest reading that was judged
 */
export async function keepJudgement(
  { sessionId, studentId, judged, cause, next }: BenchJudgement,
  newest: number,
  verdicts: readonly ReadingVerdict[],
): Promise<void> {
  const bench = { session_id: sessionId, student_id: studentId };
  await write(async (trx) => {
    const row = (await trx('readings').where(bench).max({ id: 'id' }).first()) as { id: number | null };
    if ((row.id ?? 0) !== newest) return;
    await trx('judgements')
      .where(bench)
      .update({ rule: JUDGING_RULE, state: judged.state, cause, next, judged: JSON.stringify(judged) });
    for (const { id, verdict } of verdicts) {
      await trx('readings')
        .where({ id })
        .update({
          verdict: verdict?.verdict ?? 'none',
          uncertainty: verdict?.uncertainty ?? null,
          meter_range: verdict?.range ?? null,
        });
    }
  });
}

/** A bench that wants a retest. */
export interface OpenBench {
  readonly sessionId: number;
  readonly studentId: number;
  readonly bench: number;
  readonly nickname: string;
  readonly state: 'off' | 'close';
  readonly cause: string;
  readonly next: string;
}

/**
 * Benches that are off or too close to call in any session up to a day, the newest sessions first, by bench. A bench is
 * open until it is right or somebody closes it; whoever was absent, or at the bench of another, has none.
 */
export async function openBenches(until: string, most: number): Promise<OpenBench[]> {
  const db = await database();
  const rows = (await db('judgements')
    .join('students', 'students.id', 'judgements.student_id')
    .join('sessions', 'sessions.id', 'judgements.session_id')
    .whereNull('sessions.archived_at')
    .where('sessions.on_date', '<=', until)
    .whereIn('judgements.state', ['off', 'close'])
    .whereNotExists(
      db('attendance')
        .whereRaw('attendance.session_id = judgements.session_id')
        .whereRaw('attendance.student_id = judgements.student_id')
        .whereIn('attendance.state', ['absent', 'with']),
    )
    .whereNotExists(
      db('closed_retests')
        .whereRaw('closed_retests.session_id = judgements.session_id')
        .whereRaw('closed_retests.student_id = judgements.student_id')
        .whereNotExists(
          db('readings')
            .whereRaw('readings.session_id = judgements.session_id')
            .whereRaw('readings.student_id = judgements.student_id')
            .whereRaw('readings.id > closed_retests.after_reading'),
        ),
    )
    .orderBy([
      { column: 'sessions.on_date', order: 'desc' },
      { column: 'sessions.id', order: 'desc' },
      { column: 'bench' },
    ])
    .limit(most)
    .select(
      'judgements.session_id',
      'judgements.student_id',
      'bench',
      'nickname',
      'judgements.state',
      'cause',
      'next',
    )) as (Stored & OpenBench)[];
  return rows.map(({ session_id, student_id, bench, nickname, state, cause, next }) => ({
    sessionId: session_id,
    studentId: student_id,
    bench,
    nickname,
    state,
    cause,
    next,
  }));
}

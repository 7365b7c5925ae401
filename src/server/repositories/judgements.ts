import type { Knex } from 'knex';
import { JUDGING_RULE, type JudgedBench, type Verdict } from '@/core';
import { database, write } from '../db/connection';
import type { Judgement } from '../judging/bench';

/** How a bench stands in a session by its readings, as it was judged last. */
export interface BenchJudgement extends Omit<Judgement, 'verdicts'> {
  readonly sessionId: number;
  readonly studentId: number;
  /** Something changed there since: it is to be judged anew. */
  readonly waits: boolean;
}

/** A bench that is to be judged, with a mark that is another whenever something changes there. */
export interface WaitingBench {
  readonly studentId: number;
  readonly mark: number;
}

export interface KeptJudgement extends WaitingBench, Judgement {}

interface Stored {
  session_id: number;
  student_id: number;
  /** By which rule it was judged; what was judged by another, or is below one, waits. */
  rule: number;
  cause: string;
  next: string;
  judged: string;
}

/** A mark that no change before had, but for one chance in a thousand million. */
const MARKED_ANEW = '-1 - abs(random() % 1000000000)';

/** Notes within a write that a bench is to be judged anew; how it stood is shown until then. */
export async function toBeJudged(trx: Knex.Transaction, sessionId: number, studentId: number): Promise<void> {
  await trx('judgements')
    .insert({ session_id: sessionId, student_id: studentId, rule: trx.raw(MARKED_ANEW) })
    .onConflict(['session_id', 'student_id'])
    .merge(['rule']);
}

/** The same of all benches of a session. */
export async function allToBeJudged(trx: Knex.Transaction, sessionId: number): Promise<void> {
  await trx('judgements')
    .where({ session_id: sessionId })
    .update({ rule: trx.raw(MARKED_ANEW) });
}

export async function judgementsOf(sessionId: number): Promise<BenchJudgement[]> {
  const rows = (await database())('judgements').where({ session_id: sessionId });
  return ((await rows) as Stored[]).map(fromRow);
}

/** How one bench stands; undefined where nothing was ever read there. */
export async function judgementAt(sessionId: number, studentId: number): Promise<BenchJudgement | undefined> {
  const bench = { session_id: sessionId, student_id: studentId };
  const row = (await (await database())('judgements').where(bench).first()) as Stored | undefined;
  return row && fromRow(row);
}

function fromRow({ session_id, student_id, rule, cause, next, judged }: Stored): BenchJudgement {
  return {
    sessionId: session_id,
    studentId: student_id,
    cause,
    next,
    judged: JSON.parse(judged) as JudgedBench,
    waits: rule !== JUDGING_RULE,
  };
}

/** Benches of a session that wait to be judged. */
export async function benchesWaiting(sessionId: number): Promise<WaitingBench[]> {
  const rows = (await database())('judgements')
    .where({ session_id: sessionId })
    .whereNot({ rule: JUDGING_RULE })
    .orderBy('student_id')
    .select('student_id', 'rule');
  return ((await rows) as Stored[]).map(({ student_id, rule }) => ({ studentId: student_id, mark: rule }));
}

/** Sessions with benches that wait to be judged, the newest first. */
export async function sessionsWaiting(): Promise<number[]> {
  const rows = (await database())('judgements')
    .whereNot({ rule: JUDGING_RULE })
    .orderBy('session_id', 'desc')
    .distinct('session_id');
  return ((await rows) as Stored[]).map(({ session_id }) => session_id);
}

/**
 * Keeps how benches stand, but for those at which something changed since they were looked up.
 *
 * @returns how many were kept
 */
export async function keepJudgements(sessionId: number, all: readonly KeptJudgement[]): Promise<number> {
  return write(async (trx) => {
    let kept = 0;
    for (const { studentId, mark, judged, cause, next, verdicts } of all) {
      const { state } = judged;
      const taken = await trx('judgements')
        .where({ session_id: sessionId, student_id: studentId, rule: mark })
        .update({ rule: JUDGING_RULE, state, cause, next, judged: JSON.stringify(judged) });
      if (taken === 0) continue;
      kept++;
      for (const { id, verdict } of verdicts) await keepVerdict(trx, id, verdict);
    }
    return kept;
  });
}

async function keepVerdict(trx: Knex.Transaction, id: number, found: Verdict | undefined): Promise<void> {
  const [verdict, uncertainty, meter_range] = [
    found?.verdict ?? 'none',
    found?.uncertainty ?? null,
    found?.range ?? null,
  ];
  // Of a bench with many readings one is new: the others stand.
  await trx('readings')
    .where({ id })
    .whereRaw('(verdict IS NOT ? OR uncertainty IS NOT ? OR meter_range IS NOT ?)', [
      verdict,
      uncertainty,
      meter_range,
    ])
    .update({ verdict, uncertainty, meter_range });
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
    .join('lessons', 'lessons.id', 'sessions.lesson_id')
    .join('study_groups', 'study_groups.id', 'sessions.group_id')
    // Whoever puts a group or a lesson away is done with it.
    .whereNull('sessions.archived_at')
    .whereNull('lessons.archived_at')
    .whereNull('study_groups.archived_at')
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

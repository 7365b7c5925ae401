import type { Knex } from 'knex';
import type { Cause, FaultCounts } from '@/core';
import { database, write } from '../db/connection';
import { tellSession } from '../live';
import { refuseStranger } from './belongs';
import { toBeJudged } from './judgements';
import { recount } from './readings';

/** What was really wrong with a bench, as somebody found who looked. */
export interface FoundFault {
  readonly id: number;
  readonly sessionId: number;
  readonly studentId: number;
  readonly cause: Pick<Cause, 'code' | 'data'>;
  readonly words: string;
  readonly foundBy: string;
  readonly foundAt: string;
  /** Number of the bench's last reading before it; 0 where there was none. */
  readonly after: number;
}

export interface NewFound extends Omit<FoundFault, 'id' | 'after'> {
  readonly entryKey: string;
}

interface Stored {
  id: number;
  session_id: number;
  student_id: number;
  code: Cause['code'];
  data: string;
  words: string;
  found_by: string;
  found_at: string;
  after_reading: number;
}

function fromRow(row: Stored): FoundFault {
  const { id, session_id, student_id, code, data, words, found_by, found_at, after_reading } = row;
  return {
    id,
    sessionId: session_id,
    studentId: student_id,
    cause: { code, data: JSON.parse(data) as Cause['data'] },
    words,
    foundBy: found_by,
    foundAt: found_at,
    after: after_reading,
  };
}

/** Keeps what was found; sent twice, it is kept once. */
export async function addFound(found: NewFound): Promise<FoundFault> {
  const kept = await write(async (trx) => {
    const known = (await trx('found_faults').where({ entry_key: found.entryKey }).first()) as
      Stored | undefined;
    if (known) return fromRow(known);
    await refuseStranger(trx, found.sessionId, found.studentId);
    const after = await newestReading(trx, found);
    const [id] = await trx('found_faults').insert({
      session_id: found.sessionId,
      student_id: found.studentId,
      code: found.cause.code,
      data: JSON.stringify(found.cause.data),
      words: found.words,
      found_by: found.foundBy,
      found_at: found.foundAt,
      after_reading: after,
      entry_key: found.entryKey,
    });
    const { entryKey: _sent, ...added } = found;
    return { ...added, id: id!, after };
  });
  tellSession(kept.sessionId);
  return kept;
}

async function newestReading(
  trx: Knex.Transaction,
  { sessionId, studentId }: Pick<NewFound, 'sessionId' | 'studentId'>,
): Promise<number> {
  const row = (await trx('readings')
    .where({ session_id: sessionId, student_id: studentId })
    .max({ id: 'id' })
    .first()) as { id: number | null };
  return row.id ?? 0;
}

/** By student, the last reading before something was mended at their bench. */
export async function mendedIn(sessionId: number): Promise<ReadonlyMap<number, number>> {
  return new Map((await foundIn(sessionId)).map(({ studentId, after }) => [studentId, after]));
}

/** Takes back what was noted by a slip: it counts no more. */
export async function removeFound(sessionId: number, id: number): Promise<void> {
  await write(async (trx) => {
    const row = (await trx('found_faults').where({ id, session_id: sessionId }).first()) as
      Stored | undefined;
    if (!row) return;
    await trx('found_faults').where({ id }).delete();
    await recount(trx, { sessionId, studentId: row.student_id });
    await toBeJudged(trx, sessionId, row.student_id);
  });
  tellSession(sessionId);
}

export async function foundIn(sessionId: number): Promise<FoundFault[]> {
  const rows = (await database())('found_faults').where({ session_id: sessionId }).orderBy('id');
  return ((await rows) as Stored[]).map(fromRow);
}

/** How often each mistake was found, over all sessions. */
export async function faultCounts(): Promise<FaultCounts> {
  const rows = (await (
    await database()
  )('found_faults')
    .groupBy('code')
    .select('code')
    .count({ n: '*' })) as {
    code: Cause['code'];
    n: number;
  }[];
  return Object.fromEntries(rows.map(({ code, n }) => [code, n]));
}

import type { Knex } from 'knex';
import { countingReadings, GLANCE, PREDICTED, standingReadings, type ReadingKind } from '@/core';
import { database, write } from '../db/connection';
import { Refusal } from '../failures';
import { tellSession } from '../live';
import { refuseStranger } from './belongs';
import { toBeJudged } from './judgements';

/** One figure as noted. Rows are only ever added: a correction, a retest or a taking back leaves the earlier one in place. */
export interface Reading {
  readonly id: number;
  readonly sessionId: number;
  readonly studentId: number;
  readonly point: string;
  readonly kind: ReadingKind;
  readonly value: number;
  readonly step: number;
  readonly typed: string;
  readonly meter: string;
  /** Who read it: a helper's name or initials. */
  readonly takenBy: string;
  /** By the clock of whoever sent it. */
  readonly takenAt: string;
  /** By the clock of this machine; empty until it has arrived. */
  readonly arrivedAt: string;
}

export interface NewReading extends Omit<Reading, 'id' | 'arrivedAt'> {
  /** Made by the screen that sent it, so that sending it twice keeps it once. */
  readonly entryKey: string;
}

/** A reading as those who follow a session hear of it: who sent it knows it by its key. */
export interface LiveReading extends Reading {
  readonly entryKey: string;
}

interface Stored {
  id: number;
  session_id: number;
  student_id: number;
  point: string;
  kind: ReadingKind;
  value: number;
  step: number;
  typed: string;
  meter: string;
  taken_by: string;
  taken_at: string;
  arrived_at: string;
}

function fromRow(row: Stored): Reading {
  const { id, point, kind, value, step, typed, meter } = row;
  return {
    id,
    point,
    kind,
    value,
    step,
    typed,
    meter,
    sessionId: row.session_id,
    studentId: row.student_id,
    takenBy: row.taken_by,
    takenAt: row.taken_at,
    arrivedAt: row.arrived_at,
  };
}

/** All readings of the given sessions (or of all), oldest first. */
export async function readings(sessionIds?: readonly number[]): Promise<Reading[]> {
  const rows = (await database())('readings').orderBy('id');
  if (sessionIds) void rows.whereIn('session_id', [...sessionIds]);
  return ((await rows) as Stored[]).map(fromRow);
}

/** All readings at some benches of a session, oldest first. */
export async function readingsAt(sessionId: number, studentIds: readonly number[]): Promise<Reading[]> {
  const rows = (await database())('readings')
    .where({ session_id: sessionId })
    .whereIn('student_id', [...studentIds])
    .orderBy('id');
  return ((await rows) as Stored[]).map(fromRow);
}

/** Readings of a session that came after one, oldest first: for who follows it as it grows. */
export async function readingsAfter(sessionId: number, last: number): Promise<LiveReading[]> {
  const rows = (await database())('readings')
    .where({ session_id: sessionId })
    .where('id', '>', last)
    .orderBy('id');
  return ((await rows) as (Stored & { entry_key: string })[]).map((row) => ({
    ...fromRow(row),
    entryKey: row.entry_key,
  }));
}

/**
 * Keeps a reading; one with the same entry key is kept only once.
 *
 * @param arrivedAt by the clock of this machine: of those who send, some are years off
 * @throws Refusal where student, checkpoint and session do not belong together
 */
export async function addReading(
  reading: NewReading,
  arrivedAt = new Date().toISOString(),
): Promise<Reading> {
  const kept = await write(async (trx) => {
    const known = (await trx('readings').where({ entry_key: reading.entryKey }).first()) as
      Stored | undefined;
    if (known) return fromRow(known);
    await refuseStray(trx, reading);
    const place = { session_id: reading.sessionId, student_id: reading.studentId, point: reading.point };
    const [id] = await trx('readings').insert({
      ...place,
      kind: reading.kind,
      value: reading.value,
      step: reading.step,
      typed: reading.typed,
      meter: reading.meter,
      taken_by: reading.takenBy,
      taken_at: reading.takenAt,
      arrived_at: arrivedAt,
      entry_key: reading.entryKey,
    });
    await recount(trx, reading);
    await toBeJudged(trx, reading.sessionId, reading.studentId);
    const { entryKey: _sent, ...added } = reading;
    return { ...added, arrivedAt, id: id! };
  });
  tellSession(kept.sessionId);
  return kept;
}

/** Notes which readings of a bench count: the newest at each checkpoint, and none from before it was mended. */
export async function recount(
  trx: Knex.Transaction,
  { sessionId, studentId }: Pick<NewReading, 'sessionId' | 'studentId'>,
): Promise<void> {
  const bench = { session_id: sessionId, student_id: studentId };
  const all = (await trx('readings')
    .where(bench)
    .orderBy('id')
    .select('id', 'point', 'typed', 'kind')) as Pick<Stored, 'id' | 'point' | 'typed' | 'kind'>[];
  const { mended } = (await trx('found_faults').where(bench).max({ mended: 'after_reading' }).first()) as {
    mended: number | null;
  };
  const measured = countingReadings(
    all.filter(({ point }) => point !== PREDICTED),
    mended ?? 0,
  );
  const guesses = standingReadings(all.filter(({ point }) => point === PREDICTED));
  const counting = [
    ...new Map([...guesses, ...measured].map(({ id, point }) => [point, id] as const)).values(),
  ];
  await trx('readings').where(bench).whereNotIn('id', counting).update({ counts: 0 });
  await trx('readings').where(bench).whereIn('id', counting).update({ counts: 1 });
}

async function refuseStray(
  trx: Knex.Transaction,
  { sessionId, studentId, point }: NewReading,
): Promise<void> {
  await refuseStranger(trx, sessionId, studentId);
  if (point === PREDICTED || point === GLANCE) return;
  if (!(await trx('session_points').where({ session_id: sessionId, point }).first()))
    throw new Refusal(
      'This session has no such checkpoint any more: its lesson’s newest figures were taken. Load the page again.',
    );
}

import { database, write } from '../db/connection';

/** `first` at a checkpoint, `correction` of a figure misread or mistyped, `retest` after something was changed. */
export type ReadingKind = 'first' | 'correction' | 'retest';

/** One figure as noted. Readings are only ever added: a correction or retest leaves the earlier one in place. */
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
  readonly takenAt: string;
}

export interface NewReading extends Omit<Reading, 'id'> {
  /** Made by the screen that sent it, so that sending it twice keeps it once. */
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
  };
}

/** All readings of the given sessions (or of all), oldest first. */
export async function readings(sessionIds?: readonly number[]): Promise<Reading[]> {
  const rows = (await database())('readings').orderBy('id');
  if (sessionIds) void rows.whereIn('session_id', [...sessionIds]);
  return ((await rows) as Stored[]).map(fromRow);
}

/** Keeps a reading; one with the same entry key is kept only once. */
export async function addReading(reading: NewReading): Promise<Reading> {
  return write(async (trx) => {
    await trx('readings')
      .insert({
        session_id: reading.sessionId,
        student_id: reading.studentId,
        point: reading.point,
        kind: reading.kind,
        value: reading.value,
        step: reading.step,
        typed: reading.typed,
        meter: reading.meter,
        taken_by: reading.takenBy,
        taken_at: reading.takenAt,
        entry_key: reading.entryKey,
      })
      .onConflict('entry_key')
      .ignore();
    const row = (await trx('readings').where({ entry_key: reading.entryKey }).first()) as Stored;
    return fromRow(row);
  });
}

/** The reading that counts at each checkpoint of each student: the newest. Keyed `student point`. */
export function currentReadings(all: readonly Reading[]): Map<string, Reading> {
  return new Map(all.map((reading) => [`${reading.studentId} ${reading.point}`, reading]));
}

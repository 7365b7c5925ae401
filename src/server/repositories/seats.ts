import { randomUUID } from 'node:crypto';
import { database, write } from '../db/connection';
import { Refusal } from '../failures';
import { tellSession } from '../live';

/** A student's own machine at a bench of a session. */
export interface Seat {
  readonly sessionId: number;
  readonly studentId: number;
  readonly token: string;
}

interface Stored {
  session_id: number;
  student_id: number;
  token: string;
}

/**
 * Takes a bench for one machine.
 *
 * @throws Refusal where another machine has it, or the student is not in this session's group
 */
export async function takeSeat(sessionId: number, studentId: number): Promise<Seat> {
  const seat = await write(async (trx) => {
    const own = await trx('students')
      .join('sessions', 'sessions.group_id', 'students.group_id')
      .where({ 'students.id': studentId, 'sessions.id': sessionId })
      .whereNull('students.archived_at')
      .first('students.id');
    if (!own) throw new Refusal('This bench is not in this session.');
    const place = { session_id: sessionId, student_id: studentId };
    if (await trx('seats').where(place).first())
      throw new Refusal('Somebody has this bench on another machine. The educator can free it at Check.');
    const token = randomUUID();
    await trx('seats').insert({ ...place, token, taken_at: new Date().toISOString() });
    return { sessionId, studentId, token };
  });
  tellSession(sessionId);
  return seat;
}

export async function seatStands({ sessionId, studentId, token }: Seat): Promise<boolean> {
  const row = await (
    await database()
  )('seats')
    .where({ session_id: sessionId, student_id: studentId, token })
    .first('token');
  return row !== undefined;
}

/**
 * Frees a bench, for whoever comes next. What still waits on the machine that had it comes in all the same: its token is
 * known as one that was there.
 */
export async function freeSeat(sessionId: number, studentId: number): Promise<void> {
  const place = { session_id: sessionId, student_id: studentId };
  await write(async (trx) => {
    const row = (await trx('seats').where(place).first()) as Stored | undefined;
    if (!row) return;
    await trx('seats').where(place).delete();
    await trx('freed_seats').insert({ ...place, token: row.token });
  });
  tellSession(sessionId);
}

/** Whether a machine had that bench before it was freed. */
export async function seatWasFreed({ sessionId, studentId, token }: Seat): Promise<boolean> {
  const row = await (
    await database()
  )('freed_seats')
    .where({ session_id: sessionId, student_id: studentId, token })
    .first('token');
  return row !== undefined;
}

/** Students of a session who sit at their bench with a machine of their own. */
export async function seatsOf(sessionId: number): Promise<number[]> {
  const rows = (await (await database())('seats').where({ session_id: sessionId })) as Stored[];
  return rows.map(({ student_id }) => student_id);
}

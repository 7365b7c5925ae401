import { randomUUID } from 'node:crypto';
import { database, write } from '../db/connection';
import { Refusal } from '../failures';

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
  return write(async (trx) => {
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
}

export async function seatStands({ sessionId, studentId, token }: Seat): Promise<boolean> {
  const row = await (
    await database()
  )('seats')
    .where({ session_id: sessionId, student_id: studentId, token })
    .first('token');
  return row !== undefined;
}

/** Frees a bench, for whoever comes next. */
export async function freeSeat(sessionId: number, studentId: number): Promise<void> {
  await write((trx) => trx('seats').where({ session_id: sessionId, student_id: studentId }).delete());
}

/** Students of a session who sit at their bench with a machine of their own. */
export async function seatsOf(sessionId: number): Promise<number[]> {
  const rows = (await (await database())('seats').where({ session_id: sessionId })) as Stored[];
  return rows.map(({ student_id }) => student_id);
}

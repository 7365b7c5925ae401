import { database, write } from '../db/connection';
import { Refusal } from '../failures';
import { tellSession } from '../live';
import { refuseStranger } from './belongs';

/** Whoever has no entry is there, at a bench of their own. */
export const ATTENDANCE = ['here', 'absent', 'late', 'with'] as const;

/** Of one student in a session: away, not there yet, or at the bench of another as one of a pair. */
export interface Attendance {
  readonly studentId: number;
  readonly state: Exclude<(typeof ATTENDANCE)[number], 'here'>;
  /** Whose bench it is, for one of a pair. */
  readonly withStudent: number | null;
}

export interface NotedAttendance {
  readonly studentId: number;
  readonly state: (typeof ATTENDANCE)[number];
  readonly withStudent: number | null;
}

interface Stored {
  student_id: number;
  state: Attendance['state'];
  with_student: number | null;
}

export async function attendanceOf(sessionId: number): Promise<Attendance[]> {
  const rows = (await (
    await database()
  )('attendance')
    .where({ session_id: sessionId })
    .orderBy('student_id')) as Stored[];
  return rows.map((row) => ({
    studentId: row.student_id,
    state: row.state,
    withStudent: row.with_student,
  }));
}

/**
 * Notes who is there.
 *
 * @throws Refusal where the bench of a pair is nobody's own
 */
export async function noteAttendance(sessionId: number, noted: NotedAttendance): Promise<void> {
  const { studentId, state, withStudent } = noted;
  const place = { session_id: sessionId, student_id: studentId };
  await write(async (trx) => {
    await refuseStranger(trx, sessionId, studentId);
    if (state === 'with') {
      if (withStudent === null || withStudent === studentId)
        throw new Refusal('Say at whose bench this student works.');
      await refuseStranger(trx, sessionId, withStudent);
      const host = await trx('attendance').where({ session_id: sessionId, student_id: withStudent }).first();
      if (host) throw new Refusal('Nobody is at that bench: choose one whose student is there.');
      const guests = await trx('attendance')
        .where({ session_id: sessionId, with_student: studentId })
        .first();
      if (guests)
        throw new Refusal('Somebody works at this student’s bench already: pair them the other way round.');
    }
    await trx('attendance').where(place).delete();
    if (state !== 'here')
      await trx('attendance').insert({
        ...place,
        state,
        with_student: state === 'with' ? withStudent : null,
      });
    // Whoever shared the bench of somebody who is away has it to themselves.
    if (state === 'absent' || state === 'late')
      await trx('attendance').where({ session_id: sessionId, with_student: studentId }).delete();
  });
  tellSession(sessionId);
}

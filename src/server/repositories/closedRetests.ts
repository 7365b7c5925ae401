import { write } from '../db/connection';
import { refuseStranger } from './belongs';

/** Closes a retest that is due, with a word why; a reading that comes later opens it again. */
export async function closeRetest(
  sessionId: number,
  studentId: number,
  word: string,
  at: string,
): Promise<void> {
  const bench = { session_id: sessionId, student_id: studentId };
  await write(async (trx) => {
    await refuseStranger(trx, sessionId, studentId);
    const row = (await trx('readings').where(bench).max({ id: 'id' }).first()) as { id: number | null };
    await trx('closed_retests')
      .insert({ ...bench, word, closed_at: at, after_reading: row.id ?? 0 })
      .onConflict(['session_id', 'student_id'])
      .merge();
  });
}

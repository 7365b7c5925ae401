import type { Knex } from 'knex';
import { Missing, Refusal } from '../failures';

/**
 * Refuses what is to be kept of a student in a session that is not theirs.
 *
 * @throws Missing where either is gone, Refusal where they do not belong together
 */
export async function refuseStranger(
  trx: Knex.Transaction,
  sessionId: number,
  studentId: number,
): Promise<void> {
  const session = (await trx('sessions').where({ id: sessionId }).first('group_id')) as
    { group_id: number } | undefined;
  if (!session) throw new Missing('This session is not there any more.');
  const student = (await trx('students').where({ id: studentId }).first('group_id', 'nickname')) as
    { group_id: number; nickname: string } | undefined;
  if (!student) throw new Missing('This student is not there any more.');
  if (student.group_id !== session.group_id)
    throw new Refusal(`“${student.nickname}” is not in the group that this session is for.`);
}

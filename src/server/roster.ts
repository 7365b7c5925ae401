import { database } from './db/connection';
import { seatsOf } from './repositories/seats';

/** Tag of who is in a session and who sits there by an own machine: another one, and a page is to be loaded anew. */
export async function rosterTag(sessionId: number): Promise<string> {
  const [students, seated] = await Promise.all([
    (await database())('students')
      .join('sessions', 'sessions.group_id', 'students.group_id')
      .where({ 'sessions.id': sessionId })
      .whereNull('students.archived_at')
      .orderBy('students.id')
      .select('students.id', 'students.version') as Promise<{ id: number; version: number }[]>,
    seatsOf(sessionId),
  ]);
  const names = students.map(({ id, version }) => `${id}.${version}`).join(' ');
  return `${names} / ${[...seated].sort((a, b) => a - b).join(' ')}`;
}

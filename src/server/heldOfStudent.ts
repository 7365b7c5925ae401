import { database } from './db/connection';
import { group, student } from './repositories/groups';

/** Everything that the house holds of one student, in words and figures: for whoever asks what is kept of them. */
export async function heldOfStudent(id: number) {
  const own = await student(id);
  const { name } = await group(own.groupId);
  const db = await database();
  const readings = (await db('readings')
    .join('sessions', 'sessions.id', 'session_id')
    .join('lessons', 'lessons.id', 'lesson_id')
    .where({ student_id: id })
    .orderBy('readings.id')
    .select(
      'title as lesson',
      'on_date as day',
      'point as checkpoint',
      'kind',
      'typed',
      'value',
      'verdict',
      'meter',
      'taken_by as takenBy',
      'taken_at as takenAt',
      'arrived_at as arrivedAt',
    )) as Readonly<Record<string, unknown>>[];
  const judged = (await db('judgements')
    .join('sessions', 'sessions.id', 'session_id')
    .join('lessons', 'lessons.id', 'lesson_id')
    .where({ student_id: id })
    .select('title as lesson', 'on_date as day', 'state', 'cause', 'next')) as Readonly<
    Record<string, unknown>
  >[];
  const found = (await db('found_faults')
    .join('sessions', 'sessions.id', 'session_id')
    .join('lessons', 'lessons.id', 'lesson_id')
    .where({ student_id: id })
    .orderBy('found_faults.id')
    .select(
      'title as lesson',
      'on_date as day',
      'words as found',
      'found_by as foundBy',
      'found_at as foundAt',
    )) as Readonly<Record<string, unknown>>[];
  const seats = (await db('seats')
    .join('sessions', 'sessions.id', 'session_id')
    .where({ student_id: id })
    .select('on_date as day', 'taken_at as takenAt')) as Readonly<Record<string, unknown>>[];
  const different = (await db('bench_contexts')
    .join('sessions', 'sessions.id', 'session_id')
    .where({ student_id: id })
    .select('on_date as day', 'context')) as Readonly<Record<string, unknown>>[];
  const pictures = (await db('photos')
    .join('sessions', 'sessions.id', 'session_id')
    .where({ student_id: id })
    .select(
      'on_date as day',
      'taken_at as takenAt',
      'arrived_at as arrivedAt',
      'width',
      'height',
    )) as Readonly<Record<string, unknown>>[];
  const attendance = (await db('attendance')
    .join('sessions', 'sessions.id', 'session_id')
    .where({ student_id: id })
    .select('on_date as day', 'state')) as Readonly<Record<string, unknown>>[];
  const closed = (await db('closed_retests')
    .join('sessions', 'sessions.id', 'session_id')
    .where({ student_id: id })
    .select('on_date as day', 'word', 'closed_at as closedAt')) as Readonly<Record<string, unknown>>[];
  const { bench, nickname, archivedAt } = own;
  return {
    nickname,
    bench,
    group: name,
    left: archivedAt,
    readings,
    judged,
    found,
    seats,
    different,
    pictures,
    attendance,
    closed,
  };
}

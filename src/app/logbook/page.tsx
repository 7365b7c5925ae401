import { z } from 'zod';
import '@/features/store/store.css';
import { LogTable } from '@/features/logbook/LogTable';
import { admit } from '@/server/access/admit';
import { logbook, loggedGroups, loggedLessons, loggedStudents } from '@/server/logbook';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Logbook' };

/** So many readings a page; older ones follow on the next. */
const A_PAGE = 200;

const number = z.coerce.number().int().positive().optional().catch(undefined);
const text = z.string().optional().catch(undefined);
const askedSchema = z.object({
  lesson: text,
  student: number,
  group: text,
  day: z.iso.date().optional().catch(undefined),
  session: number,
  off: text,
  /** Where the page before ended: `2026-11-20.4.87`, day, session and reading. */
  before: z
    .string()
    .regex(/^\d{4}-\d\d-\d\d\.\d{1,9}\.\d{1,12}$/u)
    .optional()
    .catch(undefined),
});

export default async function LogbookPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  await admit('/logbook');
  const {
    lesson = '',
    group = '',
    day = '',
    session,
    student,
    off,
    before,
  } = askedSchema.parse(await searchParams);
  const choice = { lesson, group, day, session, student, off: off !== undefined };
  const [onDate = '', sessionId, id] = (before ?? '').split('.');
  const [rows, lessons, groups, students] = await Promise.all([
    logbook({
      ...choice,
      most: A_PAGE,
      ...(before ? { before: { onDate, sessionId: Number(sessionId), id: Number(id) } } : {}),
    }),
    loggedLessons(),
    loggedGroups(),
    loggedStudents(lesson, group),
  ]);
  const last = rows[rows.length - 1];
  return (
    <div className="page">
      <div className="page-head">
        <h1>Logbook</h1>
        <a className="btn btn-quiet" href="/logbook/export.csv">
          Save as CSV
        </a>
      </div>
      {lessons.length === 0 ? (
        <p>No reading yet. They arrive here from Check as they are typed.</p>
      ) : (
        <LogTable
          rows={rows}
          choice={choice}
          lessons={lessons}
          groups={groups}
          students={students}
          older={rows.length === A_PAGE && last ? `${last.onDate}.${last.sessionId}.${last.id}` : undefined}
          newest={before === undefined}
        />
      )}
    </div>
  );
}

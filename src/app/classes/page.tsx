import Link from 'next/link';
import { admit } from '@/server/access/admit';
import { NewGroup } from '@/features/classes/NewGroup';
import { groups, type Group } from '@/server/repositories/groups';
import { sessionLines } from '@/server/repositories/sessions';
import { dayName, dayOf } from '@/ui/dates';

export const dynamic = 'force-dynamic';
/** The calendar shows so many sessions ahead. */
const CALENDAR_MOST = 200;

export const metadata = { title: 'Classes' };

export default async function ClassesPage() {
  await admit('/classes');
  const today = dayOf(new Date());
  const [all, live] = await Promise.all([groups(), sessionLines({ from: today, most: CALENDAR_MOST })]);
  const row = (group: Group) => {
    const next = live.find((s) => s.groupId === group.id);
    return (
      <li key={group.id}>
        <Link prefetch={false} href={`/classes/${group.id}`} className="strong">
          {group.name}
        </Link>{' '}
        <span className="soft">
          {group.students.filter((s) => s.archivedAt === null).length} students
          {group.meets && `, ${group.meets}`}
        </span>
        {next && (
          <div className="small-print">
            next: {next.lessonTitle}, {dayName(next.onDate)}
          </div>
        )}
      </li>
    );
  };
  const present = all.filter((g) => g.archivedAt === null);
  const away = all.filter((g) => g.archivedAt !== null);
  return (
    <div className="page">
      <div className="page-head">
        <h1>Classes</h1>
      </div>
      <div className="page-columns">
        <div>
          <section className="ruled">
            <h2>Groups</h2>
            <ul>
              {present.map(row)}
              {present.length === 0 && <li className="soft">No group yet. Make one beside this.</li>}
            </ul>
            {away.length > 0 && (
              <details className="pt-2">
                <summary>Put away ({away.length})</summary>
                <ul>{away.map(row)}</ul>
              </details>
            )}
          </section>
          <section className="ruled">
            <h2>Calendar</h2>
            <ul>
              {live.map((s) => (
                <li key={s.id}>
                  <span className="soft">{dayName(s.onDate)}</span> {s.groupName}:{' '}
                  <Link prefetch={false} href={`/check/${s.id}`}>
                    {s.lessonTitle}
                  </Link>
                </li>
              ))}
              {live.length === 0 && (
                <li className="soft">No session ahead: open a lesson and give it to a group.</li>
              )}
            </ul>
          </section>
        </div>
        <div>
          <NewGroup />
        </div>
      </div>
    </div>
  );
}

import { admit } from '@/server/access/admit';
import { CalendarList } from '@/features/classes/CalendarList';
import { GroupList } from '@/features/classes/GroupList';
import { NewGroup } from '@/features/classes/NewGroup';
import { groups, type Group } from '@/server/repositories/groups';
import { sessionLines } from '@/server/repositories/sessions';
import { dayOf } from '@/ui/dates';

export const dynamic = 'force-dynamic';
/** The calendar shows so many sessions ahead. */
const CALENDAR_MOST = 200;

export const metadata = { title: 'Classes' };

export default async function ClassesPage() {
  await admit('/classes');
  const today = dayOf(new Date());
  const [all, live] = await Promise.all([groups(), sessionLines({ from: today, most: CALENDAR_MOST })]);
  const listed = ({ id, name, meets, students }: Group) => {
    const next = live.find((s) => s.groupId === id);
    return {
      id,
      name,
      meets,
      students: students.filter((s) => s.archivedAt === null).length,
      next: next && { lesson: next.lessonTitle, day: next.onDate },
    };
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
            <GroupList groups={present.map(listed)} none="No group yet. Make one beside this." />
            {away.length > 0 && (
              <details className="pt-2">
                <summary>Put away ({away.length})</summary>
                <GroupList groups={away.map(listed)} none="" />
              </details>
            )}
          </section>
          <section className="ruled">
            <h2>Calendar</h2>
            <CalendarList
              sessions={live.map(({ id, onDate, groupName, lessonTitle }) => ({
                id,
                day: onDate,
                group: groupName,
                lesson: lessonTitle,
              }))}
            />
          </section>
        </div>
        <div>
          <NewGroup />
        </div>
      </div>
    </div>
  );
}

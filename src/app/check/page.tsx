import Link from 'next/link';
import { admit } from '@/server/access/admit';
import { sessions, type SessionHead } from '@/server/repositories/sessions';
import { addDays, subDays } from 'date-fns';
import { dayName, dayOf } from '@/ui/dates';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Check' };

/** A list opens with so many. */
const LISTED_MOST = 40;

export default async function CheckListPage({ searchParams }: { searchParams: Promise<{ all?: string }> }) {
  await admit('/check');
  const today = dayOf(new Date());
  const all = (await searchParams).all !== undefined;
  const [now, ahead, done] = await Promise.all([
    sessions({ from: today, to: today }),
    sessions({ from: dayOf(addDays(new Date(), 1)), most: LISTED_MOST }),
    sessions({ to: dayOf(subDays(new Date(), 1)), newest: true, ...(all ? {} : { most: LISTED_MOST }) }),
  ]);
  return (
    <div className="page">
      <div className="page-head">
        <h1>Check</h1>
      </div>
      <List title="Today" rows={now} empty="No session today." />
      <List
        title="To come"
        rows={ahead}
        empty="Nothing planned: open a lesson and give it to a group at its Class stage."
      />
      <List title="Done" rows={done} empty="None yet." />
      {!all && done.length === LISTED_MOST && (
        <p className="pt-3">
          These are the latest. <Link href="/check?all">Show all of them.</Link>
        </p>
      )}
    </div>
  );
}

function List({ title, rows, empty }: { title: string; rows: readonly SessionHead[]; empty: string }) {
  return (
    <section className="ruled">
      <h2>{title}</h2>
      <ul>
        {rows.map((s) => (
          <li key={s.id}>
            <Link prefetch={false} href={`/check/${s.id}`} className="strong">
              {s.lessonTitle}
            </Link>
            , {s.groupName} <span className="soft">{dayName(s.onDate)}</span>
            <div className="small-print">{s.summary.sentence}</div>
          </li>
        ))}
        {rows.length === 0 && <li className="soft">{empty}</li>}
      </ul>
    </section>
  );
}

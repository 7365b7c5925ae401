import Link from 'next/link';
import { sessions, type SessionHead } from '@/server/repositories/sessions';
import { dayName, dayOf } from '@/ui/dates';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Check' };

export default async function CheckListPage() {
  const live = (await sessions()).filter((s) => s.archivedAt === null);
  const today = dayOf(new Date());
  return (
    <div className="page">
      <div className="page-head">
        <h1>Check</h1>
      </div>
      <List title="Today" rows={live.filter((s) => s.onDate === today)} empty="No session today." />
      <List
        title="To come"
        rows={live.filter((s) => s.onDate > today)}
        empty="Nothing planned: open a lesson and give it to a group at its Class stage."
      />
      <List title="Done" rows={live.filter((s) => s.onDate < today).reverse()} empty="None yet." />
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

import { subHours } from 'date-fns';
import Link from 'next/link';
import { admit } from '@/server/access/admit';
import '@/features/today/today.css';
import { PackingList } from '@/features/today/PackingList';
import { RetestList } from '@/features/today/RetestList';
import { stockName } from '@/messages/names';
import { WrongTries } from '@/features/access/WrongTries';
import { wrongTries } from '@/server/access/attempts';
import { clockProblem } from '@/server/clock';
import { todayFor, type Today } from '@/server/today';
import { Note } from '@/ui/Note';
import { dayName, dayOf, longDayName } from '@/ui/dates';
import { StatusMark } from '@/ui/StatusMark';

export const dynamic = 'force-dynamic';

/** Who tried to come in is told here for so long, and in House style until the program is started anew. */
const LATELY_HOURS = 24;

export default async function TodayPage() {
  await admit('/');
  const day = dayOf(new Date());
  const [today, wrongClock] = await Promise.all([todayFor(day), clockProblem()]);
  const tries = wrongTries(subHours(new Date(), LATELY_HOURS));
  return (
    <div className="page">
      <div className="page-head">
        <h1>{longDayName(day)}</h1>
      </div>
      {wrongClock && <Note kind="refusal">{wrongClock}</Note>}
      {tries.length > 0 && (
        <Note kind="refusal">
          Somebody has tried to come in:
          <WrongTries tries={tries} />
        </Note>
      )}
      <div className="page-columns">
        <div>
          <Next today={today} day={day} />
          {today.next && <PackingList key={today.next.id} session={today.next} />}
        </div>
        <div>
          <section className="ruled">
            <h2>Needs a retest</h2>
            {today.retests.map((retest) => (
              <RetestList key={retest.session.id} retest={retest} />
            ))}
            {today.retests.length === 0 && <p className="soft pt-2">Every bench measured so far is right.</p>}
          </section>
          <section className="ruled">
            <h2>Short in the store</h2>
            <ul>
              {today.short.map(({ line, short }) => (
                <li key={line.key}>
                  <StatusMark status="off" size={10} /> <strong>{short}</strong> more {stockName(line.spec)}
                </li>
              ))}
              {today.short.length === 0 && <li className="soft">Nothing for the sessions ahead.</li>}
            </ul>
          </section>
          {today.after.length > 0 && (
            <section className="ruled">
              <h2>After that</h2>
              <ul>
                {today.after.map((s) => (
                  <li key={s.id}>
                    <span className="soft">{dayName(s.onDate)}</span>{' '}
                    <Link prefetch={false} href={`/check/${s.id}`}>
                      {s.lessonTitle}
                    </Link>
                    , {s.groupName}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

function Next({ today, day }: { today: Today; day: string }) {
  const { next } = today;
  if (!next) {
    return (
      <div className="next-session">
        <h2>No session ahead.</h2>
        <p>
          <Link prefetch={false} href="/lessons">
            Open or start a lesson
          </Link>{' '}
          and give it to a group at its Class stage;{' '}
          <Link prefetch={false} href="/classes">
            make the group
          </Link>{' '}
          first if there is none.
        </p>
      </div>
    );
  }
  return (
    <div className="next-session">
      <div className="small-print">
        {next.onDate === day ? 'Next session: today' : `Next session: ${dayName(next.onDate)}`}
      </div>
      <h2>
        {next.lessonTitle}, {next.groupName}
      </h2>
      <p>{next.summary.sentence}</p>
      <Link prefetch={false} className="btn btn-primary" href={`/check/${next.id}`}>
        Check the benches
      </Link>{' '}
      <Link prefetch={false} className="btn btn-quiet" href={`/lessons/${next.lessonId}`}>
        Open the lesson
      </Link>{' '}
      <Link prefetch={false} className="btn btn-quiet" href={`/print/${next.lessonId}/card`} target="_blank">
        Print the card
      </Link>
    </div>
  );
}

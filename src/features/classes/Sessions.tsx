'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { dayName } from '@/ui/dates';
import { useAnswer } from '@/ui/useAnswer';
import { Overtaken } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { Problem } from '@/ui/Problem';
import { changeDay, putAwaySession } from './actions';

export interface GroupSession {
  readonly id: number;
  readonly title: string;
  readonly onDate: string;
  readonly version: number;
  readonly archived: boolean;
}

/** When a group meets, and for what. */
export function Sessions({ sessions }: { sessions: readonly GroupSession[] }) {
  return (
    <section className="ruled">
      <h2>Sessions</h2>
      <ul>
        {sessions
          .filter((s) => !s.archived)
          .map((session) => (
            <SessionRow key={session.id} session={session} />
          ))}
        {sessions.length === 0 && (
          <li className="soft">None yet: open a lesson and give it to this group at its Class stage.</li>
        )}
      </ul>
      {sessions.some((s) => s.archived) && (
        <details>
          <summary>Put away</summary>
          <ul>
            {sessions
              .filter((s) => s.archived)
              .map((session) => (
                <SessionRow key={session.id} session={session} />
              ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function SessionRow({ session }: { session: GroupSession }) {
  const { problem, run } = useAnswer();
  const [day, setDay] = useState(session.onDate);
  /** A day that was asked about: moved to once more, it is meant. */
  const [asks, setAsks] = useState('');
  const saving = useSaving<string>({
    version: session.version,
    send: async (version, onDate) => {
      const answer = await changeDay(session.id, version, onDate, asks === onDate);
      setAsks(!answer.ok && answer.ask ? onDate : '');
      return answer;
    },
    onTheirs: setDay,
  });
  return (
    <li>
      <Link prefetch={false} href={`/check/${session.id}`}>
        {session.title}
      </Link>
      , {dayName(session.onDate)}
      <div className="button-row mt-1">
        <Form.Control
          size="sm"
          type="date"
          className="w-auto"
          aria-label={`Day of ${session.title}`}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        {day !== session.onDate && (
          <Button size="sm" onClick={() => saving.save(day)}>
            {asks === day ? 'Move it all the same' : 'Move'}
          </Button>
        )}
        <Button
          size="sm"
          variant="quiet"
          onClick={() => run(() => putAwaySession(session.id, !session.archived))}
        >
          {session.archived ? 'Take out again' : 'Put away'}
        </Button>
      </div>
      <Overtaken saving={saving} shown={(onDate: string) => [['day', onDate]]} />
      <Problem>{problem}</Problem>
    </li>
  );
}

'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Retest } from '@/server/today';
import { dayName } from '@/ui/dates';
import { Problem } from '@/ui/Problem';
import { StatusMark } from '@/ui/StatusMark';
import { useAnswer } from '@/ui/useAnswer';
import { closeRetestAt } from './actions';

/** Benches of one session that want a retest: each stays until it is right, or is closed with a word. */
export function RetestList({ retest: { session, benches } }: { retest: Retest }) {
  const [closing, setClosing] = useState<number>();
  return (
    <>
      <p className="small-print pt-2 mb-0">
        <Link prefetch={false} href={`/check/${session.id}`}>
          {session.lessonTitle}
        </Link>
        , {session.groupName}, {dayName(session.onDate)}
      </p>
      <ul>
        {benches.map(({ studentId, bench, nickname, state, cause, next }) => (
          <li key={studentId}>
            <StatusMark status={state} size={11} />{' '}
            <strong>
              {bench} {nickname}
            </strong>
            : {cause}{' '}
            <Button
              variant="text"
              className="btn-text small-print"
              aria-expanded={closing === studentId}
              aria-label={`Close the retest of bench ${bench} ${nickname}`}
              onClick={() => setClosing(closing === studentId ? undefined : studentId)}
            >
              close it
            </Button>
            {next && <div className="small-print">{next}</div>}
            {closing === studentId && (
              <CloseRetest sessionId={session.id} studentId={studentId} name={`${bench} ${nickname}`} />
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

function CloseRetest({ sessionId, studentId, name }: { sessionId: number; studentId: number; name: string }) {
  const router = useRouter();
  const [word, setWord] = useState('');
  const { problem, pending, run } = useAnswer();
  return (
    <Form
      className="pt-1"
      onSubmit={(event) => {
        event.preventDefault();
        run(async () => {
          const answer = await closeRetestAt(sessionId, studentId, word);
          if (answer.ok) router.refresh();
          return answer;
        });
      }}
    >
      <Form.Group controlId={`close-${sessionId}-${studentId}`}>
        <Form.Label>Why is the retest of {name} closed?</Form.Label>
        <div className="button-row">
          <Form.Control
            size="sm"
            maxLength={120}
            placeholder="taken apart, mended at home …"
            value={word}
            onChange={(event) => setWord(event.target.value)}
          />
          <Button size="sm" type="submit" disabled={pending || word.trim() === ''}>
            Close it
          </Button>
        </div>
      </Form.Group>
      <Problem>{problem}</Problem>
    </Form>
  );
}

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useJob } from '@/features/asking/useJob';
import { Working } from '@/features/asking/Working';
import { dayName } from '@/ui/dates';
import { Note } from '@/ui/Note';
import { StayButton } from '@/ui/StayButton';
import { heard } from '@/ui/heard';
import { giveLesson, shortFor } from '../actions';
import type { GivenSession, GroupChoice } from '../given';

interface Props {
  readonly lessonId: number;
  readonly groups: readonly GroupChoice[];
  readonly sessions: readonly GivenSession[];
  readonly today: string;
}

/** Giving the lesson to a group on a day, and the sessions it has been given so far. */
export function ClassStage({ lessonId, groups, sessions, today }: Props) {
  const router = useRouter();
  const [groupId, setGroupId] = useState(groups[0]?.id ?? 0);
  const [day, setDay] = useState(today);
  const [problem, setProblem] = useState('');
  const [asks, setAsks] = useState(false);
  const [given, setGiven] = useState<{ readonly name: string; readonly short: readonly string[] }>();
  const job = useJob<number>();
  /** What was said is of another group or day. */
  const unsay = () => {
    setAsks(false);
    setProblem('');
    setGiven(undefined);
  };
  const tellShort = async (sessionId: number) => {
    const answer = await heard(shortFor(sessionId, today));
    const name = groups.find(({ id }) => id === groupId)?.name ?? '';
    if (answer.ok) setGiven({ name, short: answer.value });
  };
  const give = (sure: boolean) =>
    job.run(
      () => giveLesson(lessonId, groupId, day, sure),
      (answer) => {
        setAsks(!answer.ok && answer.ask === true);
        setProblem(answer.ok ? '' : answer.message);
        if (!answer.ok) return;
        void tellShort(answer.value);
        router.refresh();
      },
    );
  return (
    <>
      <section className="ruled">
        <h2>Give this lesson to a group</h2>
        {groups.length === 0 ? (
          <p className="pt-3">
            There is no group yet.{' '}
            <Link prefetch={false} href="/classes">
              Make one first.
            </Link>
          </p>
        ) : (
          <div className="give-row">
            <Form.Group controlId="give-group">
              <Form.Label>Group</Form.Label>
              <Form.Select
                value={groupId}
                onChange={(event) => {
                  setGroupId(Number(event.target.value));
                  unsay();
                }}
              >
                {groups.map(({ id, name, students }) => (
                  <option key={id} value={id}>{`${name} (${students})`}</option>
                ))}
              </Form.Select>
            </Form.Group>
            <Form.Group controlId="give-day">
              <Form.Label>Day</Form.Label>
              <Form.Control
                type="date"
                value={day}
                onChange={(event) => {
                  setDay(event.target.value);
                  unsay();
                }}
              />
            </Form.Group>
            <StayButton variant="primary" act={job.share === undefined ? () => give(false) : undefined}>
              {job.share === undefined ? 'Give it' : 'Working out the bands…'}
            </StayButton>
            {job.share !== undefined && (
              <Working label="Working out the bands" share={job.share} onStop={job.stop} />
            )}
          </div>
        )}
        {problem && (
          <Note kind="refusal" live>
            {problem}{' '}
            {asks && (
              <>
                <Button size="sm" variant="quiet" onClick={() => give(true)}>
                  Give it all the same
                </Button>{' '}
                <Button size="sm" variant="quiet" onClick={unsay}>
                  Leave it
                </Button>
              </>
            )}
          </Note>
        )}
      </section>
      {given && <Given {...given} />}
      <section className="ruled">
        <h2>Given so far</h2>
        <ul>
          {sessions.map(({ id, groupName, onDate }) => (
            <li key={id}>
              <Link prefetch={false} href={`/check/${id}`}>
                {groupName}, {dayName(onDate)}
              </Link>
            </li>
          ))}
          {sessions.length === 0 && <li className="soft">Not yet.</li>}
        </ul>
      </section>
    </>
  );
}

/** What the store has too little of, for this session and those ahead of it. */
function Given({ name, short }: { name: string; short: readonly string[] }) {
  return (
    <div role="status" className="pt-2">
      {short.length === 0 ? (
        <p>Given to {name}. The store has enough for all sessions ahead.</p>
      ) : (
        <>
          <p>Given to {name}. With all sessions ahead the store is short of:</p>
          <ul>
            {short.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

'use client';

import Link from 'next/link';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Group, Student } from '@/server/repositories/groups';
import { dayName } from '@/ui/dates';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import {
  changeDay,
  changeStudent,
  enrol,
  letLeave,
  putAwayGroup,
  putAwaySession,
  renameGroup,
} from './actions';

export interface GroupSession {
  readonly id: number;
  readonly title: string;
  readonly onDate: string;
  readonly version: number;
  readonly archived: boolean;
}

/** One group: who is in it at which bench, and when it meets for what. */
export function GroupPage({ group, sessions }: { group: Group; sessions: readonly GroupSession[] }) {
  const present = group.students.filter((s) => s.archivedAt === null);
  const gone = group.students.filter((s) => s.archivedAt !== null);
  return (
    <div className="page">
      <GroupHead group={group} />
      <div className="page-columns">
        <div>
          <section className="ruled">
            <h2>{present.length} students</h2>
            {present.length > 0 && (
              <table className="table">
                <thead>
                  <tr>
                    <th scope="col">bench</th>
                    <th scope="col">nickname</th>
                    <th>
                      <span className="visually-hidden">change</span>
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {present.map((student) => (
                    <StudentRow key={student.id} student={student} />
                  ))}
                </tbody>
              </table>
            )}
            {present.length === 0 && <p className="pt-3">Nobody yet. Type or paste nicknames beside this.</p>}
            {gone.length > 0 && (
              <details className="pt-2">
                <summary>Left ({gone.length})</summary>
                <ul>
                  {gone.map((student) => (
                    <GoneRow key={student.id} student={student} />
                  ))}
                </ul>
              </details>
            )}
          </section>
        </div>
        <div>
          <Enrol groupId={group.id} />
          <Sessions sessions={sessions} />
        </div>
      </div>
    </div>
  );
}

function GroupHead({ group }: { group: Group }) {
  const [name, setName] = useState(group.name);
  const [meets, setMeets] = useState(group.meets);
  const { problem, run } = useAnswer();
  const changed = name !== group.name || meets !== group.meets;
  return (
    <div className="page-head">
      <h1>{group.name}</h1>
      <div className="button-row">
        <Form.Group controlId="head-name">
          <Form.Label>Name</Form.Label>
          <Form.Control value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
        </Form.Group>
        <Form.Group controlId="head-meets">
          <Form.Label>Meets</Form.Label>
          <Form.Control value={meets} maxLength={80} onChange={(event) => setMeets(event.target.value)} />
        </Form.Group>
        {changed && (
          <Button onClick={() => run(() => renameGroup(group.id, group.version, name, meets))}>Save</Button>
        )}
        <Button variant="quiet" onClick={() => run(() => putAwayGroup(group.id, group.archivedAt === null))}>
          {group.archivedAt === null ? 'Put away' : 'Take out again'}
        </Button>
      </div>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
    </div>
  );
}

function StudentRow({ student }: { student: Student }) {
  const [open, setOpen] = useState(false);
  const [bench, setBench] = useState(String(student.bench));
  const [nickname, setNickname] = useState(student.nickname);
  const { problem, run } = useAnswer();
  if (!open) {
    return (
      <tr>
        <td>{student.bench}</td>
        <td>{student.nickname}</td>
        <td className="amount">
          <Button
            variant="text"
            className="btn-text"
            aria-label={`Change ${student.nickname}`}
            onClick={() => setOpen(true)}
          >
            change
          </Button>
        </td>
      </tr>
    );
  }
  return (
    <tr className="edit-row">
      <td>
        <Form.Control
          size="sm"
          type="number"
          aria-label="Bench"
          value={bench}
          onChange={(event) => setBench(event.target.value)}
        />
      </td>
      <td>
        <Form.Control
          size="sm"
          aria-label="Nickname"
          value={nickname}
          onChange={(event) => setNickname(event.target.value)}
        />
        {problem && (
          <div role="alert" className="problem">
            {problem}
          </div>
        )}
      </td>
      <td className="amount">
        <Button
          size="sm"
          onClick={() =>
            run(
              () => changeStudent(student.id, Number(bench), nickname),
              () => setOpen(false),
            )
          }
        >
          Save
        </Button>{' '}
        <Button size="sm" variant="quiet" onClick={() => run(() => letLeave(student.id, true))}>
          Leaves the group
        </Button>{' '}
        <Button size="sm" variant="quiet" onClick={() => setOpen(false)}>
          Close
        </Button>
      </td>
    </tr>
  );
}

function GoneRow({ student }: { student: Student }) {
  const { problem, run } = useAnswer();
  return (
    <li>
      {student.nickname} <span className="soft">(bench {student.bench})</span>{' '}
      <Button variant="text" className="btn-text" onClick={() => run(() => letLeave(student.id, false))}>
        comes back
      </Button>
      {problem && (
        <div role="alert" className="problem">
          {problem}
        </div>
      )}
    </li>
  );
}

function Enrol({ groupId }: { groupId: number }) {
  const [text, setText] = useState('');
  const [note, setNote] = useState('');
  const { problem, pending, run } = useAnswer();
  return (
    <section className="ruled">
      <h2>Add students</h2>
      <Form.Group controlId="enrol" className="pt-3">
        <Form.Label>One nickname a line, or CSV with bench,nickname</Form.Label>
        <Form.Control as="textarea" rows={6} value={text} onChange={(event) => setText(event.target.value)} />
      </Form.Group>
      <Button
        className="mt-2"
        disabled={pending}
        onClick={() =>
          run(
            () => enrol(groupId, text),
            (made) => {
              setText('');
              setNote(`${made.added} added. ${made.note}`);
            },
          )
        }
      >
        Add them
      </Button>
      {problem ? (
        <Note kind="refusal" live>
          {problem}
        </Note>
      ) : (
        note && <Note live>{note}</Note>
      )}
      <p className="small-print mt-2">
        Nicknames or bench numbers only: no surnames are needed, and nothing leaves this machine.
      </p>
    </section>
  );
}

function Sessions({ sessions }: { sessions: readonly GroupSession[] }) {
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
          <Button size="sm" onClick={() => run(() => changeDay(session.id, session.version, day))}>
            Move
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
      {problem && (
        <div role="alert" className="problem">
          {problem}
        </div>
      )}
    </li>
  );
}

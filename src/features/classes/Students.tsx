'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Student } from '@/server/repositories/groups';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { Overtaken } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { useTyped } from '@/ui/useTyped';
import { Problem } from '@/ui/Problem';
import { changeStudent, enrol, eraseStudent, letLeave, type StudentWords } from './actions';

/** A student at a bench, to be changed in place. */
export function StudentRow({ student }: { student: Student }) {
  const [open, setOpen] = useState(false);
  const [bench, setBench] = useState(String(student.bench));
  const [nickname, setNickname] = useState(student.nickname);
  const { problem, run } = useAnswer();
  const saving = useSaving<StudentWords>({
    version: student.version,
    send: (version, words) => changeStudent(student.id, version, words),
    onSaved: () => setOpen(false),
    onTheirs: (theirs) => {
      setBench(String(theirs.bench));
      setNickname(theirs.nickname);
    },
  });
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
    <>
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
        </td>
        <td className="amount">
          <Button size="sm" onClick={() => saving.save({ bench: Number(bench), nickname })}>
            Save
          </Button>{' '}
          <Button size="sm" variant="quiet" onClick={() => setOpen(false)}>
            Close
          </Button>
        </td>
      </tr>
      <tr className="edit-row">
        <td colSpan={3}>
          <Overtaken
            saving={saving}
            shown={(words: StudentWords) => [
              ['bench', String(words.bench)],
              ['nickname', words.nickname],
            ]}
          />
          <Button size="sm" variant="quiet" onClick={() => run(() => letLeave(student.id, true))}>
            Leaves the group
          </Button>{' '}
          <a className="btn btn-quiet btn-sm" href={`/classes/student/${student.id}`} download>
            Export what is held
          </a>{' '}
          <Erase student={student} />
          <Problem>{problem}</Problem>
        </td>
      </tr>
    </>
  );
}

/** Takes a student's name away for good, once it has been asked whether that is meant. */
function Erase({ student }: { student: Student }) {
  const [sure, setSure] = useState(false);
  const { problem, run } = useAnswer();
  return (
    <>
      <Button
        size="sm"
        variant="quiet"
        aria-label={sure ? undefined : `Erase ${student.nickname}`}
        onClick={() => (sure ? run(() => eraseStudent(student.id)) : setSure(true))}
      >
        {sure ? 'Yes, erase the name for good' : 'Erase'}
      </Button>
      {sure && <span className="small-print"> Backups from before keep it for up to eight weeks.</span>}
      {problem && (
        <span role="alert" className="problem">
          {problem}
        </span>
      )}
    </>
  );
}

/** A student who left, and may come back. */
export function GoneRow({ student }: { student: Student }) {
  const { problem, run } = useAnswer();
  const erased = student.nickname === ERASED;
  return (
    <li>
      {erased ? 'name erased' : student.nickname} <span className="soft">(bench {student.bench})</span>{' '}
      {!erased && (
        <>
          <Button variant="text" className="btn-text" onClick={() => run(() => letLeave(student.id, false))}>
            comes back
          </Button>{' '}
          <Erase student={student} />
        </>
      )}
      <Problem>{problem}</Problem>
    </li>
  );
}

/** What stands where the name of an erased student was. */
const ERASED = '–';

/** Nicknames typed or pasted. */
export function Enrol({ groupId }: { groupId: number }) {
  const [text, setText] = useTyped('enrol', '');
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
              setText(undefined);
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

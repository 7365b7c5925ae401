'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Group } from '@/server/repositories/groups';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { Overtaken } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { putAwayGroup, renameGroup, type GroupWords } from './actions';
import { Sessions, type GroupSession } from './Sessions';
import { Enrol, GoneRow, StudentRow } from './Students';

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
  const saving = useSaving<GroupWords>({
    version: group.version,
    send: (version, words) => renameGroup(group.id, version, words),
    onTheirs: (theirs) => {
      setName(theirs.name);
      setMeets(theirs.meets);
    },
  });
  const changed = name !== group.name || meets !== group.meets;
  return (
    <div className="page-head">
      <h1>{group.name}</h1>
      <div className="button-row">
        <Form.Group controlId="head-name">
          <Form.Label>Name</Form.Label>
          <Form.Control value={name} maxLength={40} onChange={(event) => setName(event.target.value)} />
        </Form.Group>
        <Form.Group controlId="head-meets">
          <Form.Label>Meets</Form.Label>
          <Form.Control value={meets} maxLength={60} onChange={(event) => setMeets(event.target.value)} />
        </Form.Group>
        {changed && <Button onClick={() => saving.save({ name, meets })}>Save</Button>}
        <Button variant="quiet" onClick={() => run(() => putAwayGroup(group.id, group.archivedAt === null))}>
          {group.archivedAt === null ? 'Put away' : 'Take out again'}
        </Button>
      </div>
      <Overtaken
        saving={saving}
        shown={(words: GroupWords) => [
          ['name', words.name],
          ['meets', words.meets],
        ]}
      />
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
    </div>
  );
}

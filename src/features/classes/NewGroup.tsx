'use client';

import { useRouter } from 'next/navigation';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { useTyped } from '@/ui/useTyped';
import { newGroup } from './actions';

export function NewGroup() {
  const router = useRouter();
  const [name, setName] = useTyped('group-name', '');
  const [meets, setMeets] = useTyped('group-meets', '');
  const { problem, pending, run } = useAnswer();
  return (
    <section className="ruled">
      <h2>New group</h2>
      <form
        className="button-row pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          run(
            () => newGroup(name, meets),
            (id) => {
              setName(undefined);
              setMeets(undefined);
              router.push(`/classes/${id}`);
            },
          );
        }}
      >
        <Form.Group controlId="group-name">
          <Form.Label>Name</Form.Label>
          <Form.Control value={name} maxLength={40} onChange={(event) => setName(event.target.value)} />
        </Form.Group>
        <Form.Group controlId="group-meets">
          <Form.Label>Meets</Form.Label>
          <Form.Control
            value={meets}
            placeholder="Tuesdays at six"
            onChange={(event) => setMeets(event.target.value)}
          />
        </Form.Group>
        <Button type="submit" disabled={pending}>
          Make it
        </Button>
      </form>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
    </section>
  );
}

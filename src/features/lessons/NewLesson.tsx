'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState, useTransition } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Note } from '@/ui/Note';
import { importLesson, startLesson } from './actions';

/** Starting from a pattern, or from a file. */
export function NewLesson() {
  const router = useRouter();
  const [title, setTitle] = useState('');
  const [problem, setProblem] = useState('');
  const [taken, setTaken] = useState<{ id: number; note: string } | undefined>();
  const [pending, start] = useTransition();
  const file = useRef<HTMLInputElement>(null);
  const begin = () =>
    start(async () => {
      const answer = await startLesson('single', title);
      if (answer.ok) router.push(`/lessons/${answer.value}`);
      else setProblem(answer.message);
    });
  const take = (chosen: File | undefined) =>
    chosen &&
    start(async () => {
      setTaken(undefined);
      const answer =
        chosen.size > 1024 * 1024
          ? {
              ok: false as const,
              message: `“${chosen.name}” holds more than 1 MiB; a lesson file is far smaller. Nothing was imported.`,
            }
          : await importLesson(await chosen.text());
      if (file.current) file.current.value = '';
      if (!answer.ok) return setProblem(answer.message);
      setProblem('');
      if (answer.value.note) setTaken(answer.value);
      else router.push(`/lessons/${answer.value.id}`);
    });
  return (
    <>
      <section className="ruled">
        <h2>Start from a pattern</h2>
        <div className="pattern">
          <SingleLoop />
          <div>
            <strong>One lamp</strong>
            <p>
              One LED, one series resistor on either side, any supply. Sums, plan, build card, checks and kit
              follow from what you wish for.
            </p>
            <form
              className="button-row"
              onSubmit={(event) => {
                event.preventDefault();
                begin();
              }}
            >
              <Form.Group controlId="new-title">
                <Form.Label>Title</Form.Label>
                <Form.Control
                  value={title}
                  maxLength={80}
                  placeholder="Pier lamp"
                  onChange={(event) => setTitle(event.target.value)}
                />
              </Form.Group>
              <Button type="submit" disabled={pending}>
                Start
              </Button>
            </form>
          </div>
        </div>
      </section>
      <section className="ruled">
        <h2>Bring a lesson from another machine</h2>
        <Form.Group controlId="lesson-file" className="pt-3">
          <Form.Label>Lesson file (JSON)</Form.Label>
          <Form.Control
            ref={file}
            type="file"
            accept=".json,application/json"
            onChange={(event) => take((event.target as HTMLInputElement).files?.[0])}
          />
        </Form.Group>
      </section>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
      {taken && (
        <Note live>
          Imported. {taken.note}{' '}
          <Button variant="text" className="btn-text" onClick={() => router.push(`/lessons/${taken.id}`)}>
            Open it
          </Button>
        </Note>
      )}
    </>
  );
}

/** The loop of the pattern, as a sign for it. */
function SingleLoop() {
  return (
    <svg
      viewBox="0 0 120 90"
      width="120"
      height="90"
      role="img"
      aria-label="One loop: supply, resistor, lamp"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.6"
    >
      <path d="M20 40 V14 H44 M76 14 H100 V36 M100 56 V76 H20 V50" />
      <rect x="44" y="8" width="32" height="12" fill="var(--sheet)" />
      <path d="M10 40 H30 M15 50 H25" strokeWidth="2.4" />
      <path d="M92 38 H108 L100 52 Z" fill="var(--copper)" />
      <path d="M92 54 H108" strokeWidth="2.2" />
    </svg>
  );
}

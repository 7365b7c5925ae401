'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState, useTransition } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { PatternId } from '@/core';
import { PATTERN_WORDS } from '@/messages/patterns';
import { TAUGHT } from '@/messages/patterns/taught';
import { heard } from '@/ui/heard';
import { Note } from '@/ui/Note';
import { importLesson, startLesson, type Imported } from './actions';
import { PatternSign } from './PatternSign';
import type { PatternSigns } from '@/server/work/patternSigns';

/** Starting from a pattern, or from a file. */
export function NewLesson({ signs }: { signs: PatternSigns }) {
  const router = useRouter();
  const [title, setTitle] = useState('');
  const [pattern, setPattern] = useState<PatternId>('single');
  const [problem, setProblem] = useState('');
  const [taken, setTaken] = useState<Imported | undefined>();
  const [pending, start] = useTransition();
  const file = useRef<HTMLInputElement>(null);
  const begin = () => {
    if (pending) return;
    start(async () => {
      const answer = await heard(startLesson(pattern, title));
      if (answer.ok) router.push(`/lessons/${answer.value}`);
      else setProblem(answer.message);
    });
  };
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
          : await heard(importLesson(await chosen.text()));
      if (file.current) file.current.value = '';
      if (!answer.ok) return setProblem(answer.message);
      setProblem('');
      if (answer.value.differences.length > 0) setTaken(answer.value);
      else router.push(`/lessons/${answer.value.id}`);
    });
  return (
    <>
      <section className="ruled">
        <h2>Start from a pattern</h2>
        <form
          className="button-row new-lesson"
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
              placeholder={PATTERN_WORDS[pattern].name}
              onChange={(event) => setTitle(event.target.value)}
            />
          </Form.Group>
          <Button type="submit" disabled={pending}>
            Start
          </Button>
        </form>
        <div
          role="radiogroup"
          aria-label="Pattern"
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            begin();
          }}
        >
          {TAUGHT.map(({ teaches, patterns }) => (
            <div key={teaches} role="group" aria-label={teaches}>
              <h3 className="pattern-group">{teaches}</h3>
              <div className="pattern-list">
                {patterns.map((id) => (
                  <label
                    key={id}
                    className={id === pattern ? 'pattern-choice chosen' : 'pattern-choice'}
                    onDoubleClick={begin}
                  >
                    <input
                      type="radio"
                      name="pattern"
                      value={id}
                      checked={id === pattern}
                      onChange={() => setPattern(id)}
                    />
                    <PatternSign diagram={signs[id]} />
                    <span>
                      <strong>{PATTERN_WORDS[id].name}</strong>
                      <span className="small-print">{PATTERN_WORDS[id].about}</span>
                    </span>
                  </label>
                ))}
              </div>
            </div>
          ))}
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
          Imported. Worked out with this house’s parts it is not quite the sender’s lesson:
          <ul className="mb-1">
            {taken.differences.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <Button variant="text" className="btn-text" onClick={() => router.push(`/lessons/${taken.id}`)}>
            Open it
          </Button>
        </Note>
      )}
    </>
  );
}

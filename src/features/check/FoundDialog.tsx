import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import type { Cause } from '@/core';
import type { NamedMistake } from '@/server/ownBench';

interface Props {
  readonly title: string;
  readonly mistakes: readonly NamedMistake[];
  onFound(cause: Pick<Cause, 'code' | 'data'>, words?: string): void;
  onHide(): void;
}

const OTHER = 'wires, board and meter';
/** Words of one's own are a note, not an essay. */
export const FOUND_WORDS_MOST = 120;

/** What was really wrong: any mistake of the lesson by its part, or words of one's own. */
export function FoundDialog({ title, mistakes, onFound, onHide }: Props) {
  const parts = byPart(mistakes);
  const [part, setPart] = useState(parts.keys().next().value ?? OTHER);
  const [words, setWords] = useState('');
  const own = words.trim();
  return (
    <Modal show onHide={onHide} aria-labelledby="found-title" scrollable>
      <Modal.Header closeButton>
        <Modal.Title id="found-title">{title}</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <Form.Group controlId="found-part">
          <Form.Label>At</Form.Label>
          <Form.Select value={part} onChange={(event) => setPart(event.target.value)}>
            {[...parts.keys()].map((name) => (
              <option key={name}>{name}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <ul className="found-list">
          {[...(parts.get(part) ?? [])].map(([text, cause]) => (
            <li key={text}>
              <Button variant="quiet" size="sm" onClick={() => onFound(cause)}>
                {text}
              </Button>
            </li>
          ))}
        </ul>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            if (own) onFound({ code: 'something-else', data: {} }, own);
          }}
        >
          <Form.Group controlId="found-words">
            <Form.Label>or in your own words</Form.Label>
            <Form.Control
              maxLength={FOUND_WORDS_MOST}
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
          </Form.Group>
          <Button className="mt-2" size="sm" type="submit" disabled={!own}>
            It was this
          </Button>
        </Form>
      </Modal.Body>
    </Modal>
  );
}

/** Mistakes by part and by their words: what is said alike stands once. */
function byPart(
  mistakes: readonly NamedMistake[],
): ReadonlyMap<string, ReadonlyMap<string, NamedMistake['cause']>> {
  const parts = new Map<string, Map<string, NamedMistake['cause']>>();
  for (const { words, cause } of mistakes) {
    const part = cause.data.part ?? OTHER;
    const own = parts.get(part) ?? new Map<string, NamedMistake['cause']>();
    if (!own.has(words)) own.set(words, cause);
    parts.set(part, own);
  }
  return new Map(
    [...parts].sort(([a], [b]) => Number(a === OTHER) - Number(b === OTHER) || a.localeCompare(b)),
  );
}

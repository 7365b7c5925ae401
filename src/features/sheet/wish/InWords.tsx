import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Finding } from '@/core';
import { sentences } from '@/messages/findings';
import { Note } from '@/ui/Note';

interface Props {
  readonly summary: string;
  readonly label: string;
  readonly placeholder: string;
  readonly rows: number;
  /** What stays as it is where the words are not understood. */
  readonly stays: string;
  /** What else may be typed. */
  readonly hint?: string;
  /** @returns why the words are not taken; nothing where they are */
  onTake(words: string): readonly Finding[];
}

/** A wish said all at once, in words; what is typed stays, whether it is understood or not. */
export function InWords({ summary, label, placeholder, rows, stays, hint, onTake }: Props) {
  const [typed, setTyped] = useState('');
  const [findings, setFindings] = useState<readonly Finding[]>([]);
  return (
    <details className="no-print">
      <summary>{summary}</summary>
      <Form
        className="in-words"
        onSubmit={(event) => {
          event.preventDefault();
          setFindings(onTake(typed));
        }}
      >
        <Form.Control
          as="textarea"
          rows={rows}
          aria-label={label}
          placeholder={placeholder}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" variant="quiet" size="sm">
          Take it
        </Button>
      </Form>
      {findings.length > 0 && (
        <Note kind="refusal" live>
          {sentences(findings)} {stays}
        </Note>
      )}
      {hint && <p className="small-print">{hint}</p>}
    </details>
  );
}

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { spokenChannels, type Finding, type ParamsOf } from '@/core';
import { sentences } from '@/messages/findings';
import { Note } from '@/ui/Note';

type Params = ParamsOf<'sound-lights'>;

/** Which lamps follow what, all at once, as it is said. */
export function SoundInWords({ params, onChange }: { params: Params; onChange(params: Params): void }) {
  const [typed, setTyped] = useState('');
  const [findings, setFindings] = useState<readonly Finding[]>([]);
  const take = () => {
    const next = spokenChannels(typed, params.lamps);
    setFindings(next.findings);
    if (next.ok) onChange({ ...params, lamps: next.value });
  };
  return (
    <details className="no-print">
      <summary>The lamps in words</summary>
      <Form
        className="in-words"
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <Form.Control
          as="textarea"
          rows={1}
          aria-label="The lamps in words"
          placeholder="bass red, voice yellow, cymbals blue"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" variant="quiet" size="sm">
          Take it
        </Button>
      </Form>
      {findings.length > 0 && (
        <Note kind="refusal" live>
          {sentences(findings)} The lamps stay as they are.
        </Note>
      )}
    </details>
  );
}

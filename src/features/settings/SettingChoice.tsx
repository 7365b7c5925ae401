'use client';

import { useState, type ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import type { Answer } from '@/server/failures';
import { Overtaken, type Shown } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';

interface Props<T> {
  readonly id: string;
  readonly title: string;
  readonly label: string;
  readonly value: T;
  readonly version: number;
  readonly choices: readonly (readonly [value: T, words: string])[];
  keep(version: number, value: T): Promise<Answer<number, T>>;
  shown(value: T): Shown;
  /** What hangs on it. */
  readonly children: ReactNode;
}

/** One setting with a few choices: it is saved as soon as one is chosen. */
export function SettingChoice<T extends string | number | null>(props: Props<T>) {
  const { id, title, label, value, version, choices, keep, shown, children } = props;
  const [chosen, setChosen] = useState(value);
  const [isSaved, setIsSaved] = useState(false);
  const saving = useSaving<T>({
    version,
    send: keep,
    onSaved: () => setIsSaved(true),
    onTheirs: setChosen,
  });
  return (
    <div>
      <h2>{title}</h2>
      <Form.Group controlId={id} className="pt-2">
        <Form.Label>{label}</Form.Label>
        <Form.Select
          value={String(chosen ?? '')}
          disabled={saving.pending}
          onChange={(event) => {
            const next = choices.find(([one]) => String(one ?? '') === event.target.value)![0];
            setChosen(next);
            setIsSaved(false);
            saving.save(next);
          }}
        >
          {choices.map(([one, words]) => (
            <option key={words} value={String(one ?? '')}>
              {words}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <p className="small-print">{children}</p>
      {isSaved && <p role="status">Saved.</p>}
      <Overtaken saving={saving} shown={shown} />
    </div>
  );
}

'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { Overtaken } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { keepPictureRule } from './actions';

const CHOICES = [1, 7, 30, 90, 365];

/** For how long pictures of benches are kept. */
export function Pictures({ days, version }: { days: number; version: number }) {
  const [chosen, setChosen] = useState(days);
  const [kept, setKept] = useState(false);
  const saving = useSaving<{ days: number }>({
    version,
    send: keepPictureRule,
    onSaved: () => setKept(true),
    onTheirs: (theirs) => setChosen(theirs.days),
  });
  const choices = CHOICES.includes(chosen) ? CHOICES : [...CHOICES, chosen].sort((a, b) => a - b);
  return (
    <div>
      <h2>Pictures of benches</h2>
      <Form.Group controlId="picture-days" className="pt-2">
        <Form.Label>are kept for</Form.Label>
        <Form.Select
          value={chosen}
          disabled={saving.pending}
          onChange={(event) => {
            const next = Number(event.target.value);
            setChosen(next);
            setKept(false);
            saving.save({ days: next });
          }}
        >
          {choices.map((many) => (
            <option key={many} value={many}>
              {many === 1 ? 'a day' : `${many} days`}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <p className="small-print">
        They stay on this machine, shrunk and without place or device. Then they go by themselves; in backups
        they stay until those are let go.
      </p>
      {kept && <p role="status">Saved.</p>}
      <Overtaken saving={saving} shown={(rule) => [['Pictures are kept for, days', String(rule.days)]]} />
    </div>
  );
}

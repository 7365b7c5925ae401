'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { Overtaken } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { keepZone } from './actions';

interface Props {
  readonly zone: string | null;
  readonly version: number;
  /** All zones of the world by name. */
  readonly zones: readonly string[];
}

/** The zone that days and hours are reckoned by, on every screen and in every file. */
export function Zone({ zone, version, zones }: Props) {
  const [chosen, setChosen] = useState(zone);
  const [kept, setKept] = useState(false);
  const saving = useSaving<{ zone: string | null }>({
    version,
    send: keepZone,
    onSaved: () => setKept(true),
    onTheirs: (theirs) => setChosen(theirs.zone),
  });
  return (
    <div>
      <h2>Days and hours</h2>
      <Form.Group controlId="house-zone" className="pt-2">
        <Form.Label>are those of</Form.Label>
        <Form.Select
          value={chosen ?? ''}
          disabled={saving.pending}
          onChange={(event) => {
            setChosen(event.target.value);
            setKept(false);
            saving.save({ zone: event.target.value });
          }}
        >
          {chosen === null && <option value="">the machine that the program runs on</option>}
          {zones.map((name) => (
            <option key={name} value={name}>
              {name.replaceAll('_', ' ')}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <p className="small-print">
        Sessions, readings, ends of codes and backups stand under the days and hours of this zone for
        everybody, wherever they look from.
      </p>
      {kept && <p role="status">Saved.</p>}
      <Overtaken
        saving={saving}
        shown={(rule: { zone: string | null }) => [['Days and hours of', rule.zone ?? 'the machine']]}
      />
    </div>
  );
}

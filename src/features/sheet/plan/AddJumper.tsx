import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { addJumper, JUMPER_COLOURS, type JumperColour, type Plan } from '@/core';
import type { Trial } from '../useTrial';

/** One more wire between two holes. */
export function AddJumper({ plan, trial }: { plan: Plan; trial: Trial }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [colour, setColour] = useState<JumperColour>('green');
  const tidy = (hole: string) =>
    hole
      .trim()
      .replace('−', '-')
      .replace(/^[lr](?=[+-])/u, (c) => c.toUpperCase());
  return (
    <form
      className="button-row"
      onSubmit={(event) => {
        event.preventDefault();
        const added = addJumper(plan, tidy(from), tidy(to), colour);
        trial.edit(added);
        if (!added.ok) return;
        setFrom('');
        setTo('');
      }}
    >
      <Form.Control
        size="sm"
        className="hole-entry"
        aria-label="New jumper from"
        placeholder="from"
        required
        value={from}
        onChange={(event) => setFrom(event.target.value)}
      />
      <Form.Control
        size="sm"
        className="hole-entry"
        aria-label="New jumper to"
        placeholder="to"
        required
        value={to}
        onChange={(event) => setTo(event.target.value)}
      />
      <Form.Select
        size="sm"
        className="w-auto"
        aria-label="Colour of the new jumper"
        value={colour}
        onChange={(event) => setColour(event.target.value as JumperColour)}
      >
        {JUMPER_COLOURS.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </Form.Select>
      <Button variant="quiet" size="sm" type="submit">
        Add a jumper
      </Button>
    </form>
  );
}

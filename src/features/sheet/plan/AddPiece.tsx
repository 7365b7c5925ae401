import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  addJumper,
  addPart,
  formatOhms,
  JUMPER_COLOURS,
  LAMP_TYPES,
  type JumperColour,
  type LampType,
  type Outcome,
  type Plan,
} from '@/core';
import { lampName } from '@/messages/names';
import type { Trial } from '../useTrial';

interface Props {
  readonly plan: Plan;
  readonly trial: Trial;
  /** Resistors that the drawer holds. */
  readonly values: readonly number[];
}

/** One more wire between two holes, or a part from the store that the lesson does not ask for. */
export function AddPiece({ plan, trial, values }: Props) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [what, setWhat] = useState('green');
  const add = () => {
    const added = withPiece(plan, what, tidy(from), tidy(to));
    trial.edit(added);
    if (!added.ok) return;
    setFrom('');
    setTo('');
  };
  const hole = (label: string, hint: string, value: string, onValue: (value: string) => void) => (
    <Form.Control
      size="sm"
      className="hole-entry"
      aria-label={label}
      placeholder={hint}
      required
      value={value}
      onChange={(event) => onValue(event.target.value)}
    />
  );
  return (
    <form
      className="button-row"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <Form.Select
        size="sm"
        className="w-auto"
        aria-label="Piece to add"
        value={what}
        onChange={(event) => setWhat(event.target.value)}
      >
        <optgroup label="jumper">
          {JUMPER_COLOURS.map((colour) => (
            <option key={colour} value={colour}>
              {colour} jumper
            </option>
          ))}
        </optgroup>
        <optgroup label="resistor">
          {values.map((ohms) => (
            <option key={ohms} value={`R ${ohms}`}>
              {formatOhms(ohms)}
            </option>
          ))}
        </optgroup>
        <optgroup label="lamp, long leg first">
          {LAMP_TYPES.map((type) => (
            <option key={type} value={`D ${type}`}>
              {lampName(type)} lamp
            </option>
          ))}
        </optgroup>
      </Form.Select>
      {hole('New piece from', 'from', from, setFrom)}
      {hole('New piece to', 'to', to, setTo)}
      <Button variant="quiet" size="sm" type="submit">
        Add it
      </Button>
    </form>
  );
}

function withPiece(plan: Plan, what: string, from: string, to: string): Outcome<Plan> {
  const [kind, value] = what.split(' ');
  if (kind === 'R') return addPart(plan, { kind: 'resistor', ohms: Number(value) }, from, to);
  if (kind === 'D') return addPart(plan, { kind: 'led', type: value as LampType }, from, to);
  return addJumper(plan, from, to, what as JumperColour);
}

function tidy(hole: string): string {
  return hole
    .trim()
    .replace('−', '-')
    .replace(/^[lr](?=[+-])/u, (c) => c.toUpperCase());
}

'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  formatPercent,
  formatQuantity,
  measuredBattery,
  parseQuantity,
  SUPPLIES,
  SUPPLY_KINDS,
  type SupplyKind,
  type Unit,
} from '@/core';
import { sentences } from '@/messages/findings';
import { SUPPLY_NAMES } from '@/messages/names';
import type { Battery } from '@/server/repositories/batteries';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { Problem } from '@/ui/Problem';
import { keepBattery } from './actions';
import { BatteryTable } from './BatteryTable';

const BATTERIES = SUPPLY_KINDS.filter((kind) => SUPPLIES[kind].capacity !== undefined);

/** A battery judged by two readings: open, and across a known load. */
export function BatteryReader({ batteries }: { batteries: readonly Battery[] }) {
  const { problem, pending, run } = useAnswer();
  const [name, setName] = useState('');
  const [kind, setKind] = useState<SupplyKind>('aa-alkaline');
  const [cells, setCells] = useState('3');
  const [typed, setTyped] = useState({ open: '', loaded: '', load: '33' });
  const read = (text: string, unit: Unit) => parseQuantity(text, unit);
  const figures = [read(typed.open, 'V'), read(typed.loaded, 'V'), read(typed.load, 'Ω')];
  const begun = typed.open !== '' && typed.loaded !== '';
  const wrong = figures.flatMap((figure) => (figure.ok ? [] : figure.findings));
  const [open, loaded, load] = figures.map((figure) => (figure.ok ? figure.value : 0)) as [
    number,
    number,
    number,
  ];
  const count = Math.max(1, Math.min(SUPPLIES[kind].cellsMost, Math.round(Number(cells)) || 1));
  const battery =
    begun && !wrong.length
      ? measuredBattery({ kind, cells: count, age: 'nominal' }, open, loaded, load)
      : undefined;
  const kept = () => {
    setName('');
    setTyped({ ...typed, open: '', loaded: '' });
  };
  const field = (name: keyof typeof typed, label: string) => (
    <label>
      <span className="form-label d-block">{label}</span>
      <Form.Control
        size="sm"
        value={typed[name]}
        onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      />
    </label>
  );
  return (
    <section className="ruled">
      <h2>Read a battery</h2>
      <div className="add-stock">
        <label>
          <span className="form-label d-block">battery</span>
          <Form.Select size="sm" value={kind} onChange={(event) => setKind(event.target.value as SupplyKind)}>
            {BATTERIES.map((name) => (
              <option key={name} value={name}>
                {SUPPLY_NAMES[name].one}
              </option>
            ))}
          </Form.Select>
        </label>
        <label>
          <span className="form-label d-block">cells</span>
          <Form.Control size="sm" value={cells} onChange={(event) => setCells(event.target.value)} />
        </label>
        {field('open', 'volts, nothing on it')}
        {field('loaded', 'volts, loaded')}
        {field('load', 'load in ohms')}
      </div>
      {begun && wrong.length > 0 && <Problem>{sentences(wrong)}</Problem>}
      {battery && loaded > open && <p>Loaded it cannot show more than open: read both again.</p>}
      {battery && loaded <= open && (
        <>
          <p role="status">
            {formatQuantity(battery.volts, 'V')} behind {formatQuantity(battery.ohms, 'Ω')} of its own
            {battery.spent !== undefined && `, about ${formatPercent(battery.spent)} spent`}.
          </p>
          <form
            className="button-row"
            onSubmit={(event) => {
              event.preventDefault();
              const { volts, ohms } = battery;
              run(() => keepBattery({ name, kind, cells: count, volts, ohms }), kept);
            }}
          >
            <Form.Control
              size="sm"
              className="w-auto"
              aria-label="Name on the battery"
              placeholder="name on it, such as box 3"
              maxLength={40}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
            <Button type="submit" size="sm" disabled={pending || name.trim() === ''}>
              Keep this reading
            </Button>
          </form>
        </>
      )}
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
      <BatteryTable batteries={batteries} />
    </section>
  );
}

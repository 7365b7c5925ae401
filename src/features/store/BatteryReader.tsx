'use client';

import { useState } from 'react';
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

const BATTERIES = SUPPLY_KINDS.filter((kind) => SUPPLIES[kind].capacity !== undefined);

/** A battery judged by two readings: open, and across a known load. */
export function BatteryReader() {
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
      {begun && wrong.length > 0 && (
        <div role="alert" className="problem">
          {sentences(wrong)}
        </div>
      )}
      {battery && loaded > open && <p>Loaded it cannot show more than open: read both again.</p>}
      {battery && loaded <= open && (
        <p role="status">
          {formatQuantity(battery.volts, 'V')} behind {formatQuantity(battery.ohms, 'Ω')} of its own
          {battery.spent !== undefined && `, about ${formatPercent(battery.spent)} spent`}. In a lesson’s
          sentence, choose “measured” for the supply and type these two figures.
        </p>
      )}
    </section>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  BOARD_CHOICES,
  LAMP_TYPES,
  parseQuantity,
  SUPPLIES,
  SUPPLY_KINDS,
  type BoardChoice,
  type StockSpec,
} from '@/core';
import { sentences } from '@/messages/findings';
import { BOARD_NAMES, lampName, SUPPLY_NAMES } from '@/messages/names';
import { newStock } from './actions';

interface Fields {
  kind: StockSpec['kind'];
  ohms: string;
  volts: string;
  name: string;
  board: BoardChoice;
  common: 'cathode' | 'anode';
  lamp: (typeof LAMP_TYPES)[number];
  supply: (typeof SUPPLY_KINDS)[number];
  cells: number;
  have: number;
  packSize: number;
  price: string;
}

const KINDS: Readonly<Record<StockSpec['kind'], string>> = {
  resistor: 'resistor',
  led: 'lamp',
  'rgb-lamp': 'three-colour lamp',
  potentiometer: 'potentiometer',
  zener: 'zener',
  button: 'push button',
  cell: 'cell or battery',
  holder: 'holder with leads',
  supply: 'port or bench lead',
  board: 'board',
  jumper: 'jumper wire',
  tape: 'copper tape, pieces',
  'tinned-wire': 'tinned wire, pieces',
  thing: 'something else',
};

/** A part that the store does not hold yet. */
export function AddStock() {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const { register, handleSubmit, control, reset } = useForm<Fields>({
    defaultValues: {
      kind: 'resistor',
      ohms: '',
      volts: '',
      name: '',
      board: 'half',
      common: 'cathode',
      lamp: 'red',
      supply: 'aa-alkaline',
      cells: 3,
      have: 0,
      packSize: 10,
      price: '0.00',
    },
  });
  const kind = useWatch({ control, name: 'kind' });
  const add = handleSubmit(async (fields) => {
    const spec = specOf(fields);
    if (typeof spec === 'string') return setProblem(spec);
    const packCents = Math.round(Number(fields.price.replace(',', '.')) * 100);
    const answer = await newStock(spec, {
      have: fields.have,
      packSize: fields.packSize,
      packCents,
      place: '',
    });
    if (!answer.ok) return setProblem(answer.message);
    setProblem('');
    reset();
    router.refresh();
  });
  return (
    <details>
      <summary>Add a part</summary>
      <form className="add-stock" onSubmit={(event) => void add(event)}>
        <Field label="Kind">
          <Form.Select {...register('kind')}>
            {Object.entries(KINDS).map(([name, words]) => (
              <option key={name} value={name}>
                {words}
              </option>
            ))}
          </Form.Select>
        </Field>
        {(kind === 'resistor' || kind === 'potentiometer') && (
          <Field label="Value">
            <Form.Control placeholder="4k7" {...register('ohms')} />
          </Field>
        )}
        {kind === 'led' && (
          <Field label="Colour">
            <Form.Select {...register('lamp')}>
              {LAMP_TYPES.map((type) => (
                <option key={type} value={type}>
                  {lampName(type)}
                </option>
              ))}
            </Form.Select>
          </Field>
        )}
        {(kind === 'cell' || kind === 'holder' || kind === 'supply') && (
          <Field label="Of">
            <Form.Select {...register('supply')}>
              {SUPPLY_KINDS.filter((s) => (SUPPLIES[s].style === 'cell') === (kind !== 'supply')).map((s) => (
                <option key={s} value={s}>
                  {SUPPLY_NAMES[s].one}
                </option>
              ))}
            </Form.Select>
          </Field>
        )}
        {kind === 'holder' && (
          <Field label="Cells">
            <Form.Control type="number" {...register('cells', { valueAsNumber: true })} />
          </Field>
        )}
        {kind === 'zener' && (
          <Field label="Its volts">
            <Form.Control placeholder="8V2" {...register('volts')} />
          </Field>
        )}
        {kind === 'board' && (
          <Field label="Which">
            <Form.Select {...register('board')}>
              {BOARD_CHOICES.map((board) => (
                <option key={board} value={board}>
                  {BOARD_NAMES[board]}
                </option>
              ))}
            </Form.Select>
          </Field>
        )}
        {kind === 'rgb-lamp' && (
          <Field label="Common leg">
            <Form.Select {...register('common')}>
              <option>cathode</option>
              <option>anode</option>
            </Form.Select>
          </Field>
        )}
        {kind === 'thing' && (
          <Field label="What it is">
            <Form.Control maxLength={40} placeholder="jam jar" {...register('name')} />
          </Field>
        )}
        <Field label="In store">
          <Form.Control type="number" {...register('have', { valueAsNumber: true })} />
        </Field>
        <Field label="Pack of">
          <Form.Control type="number" {...register('packSize', { valueAsNumber: true })} />
        </Field>
        <Field label="Price of a pack">
          <Form.Control inputMode="decimal" {...register('price')} />
        </Field>
        <Button type="submit">Add</Button>
      </form>
      {problem && (
        <div role="alert" className="problem">
          {problem}
        </div>
      )}
    </details>
  );
}

function Field({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <label>
      <span className="form-label d-block">{label}</span>
      {children}
    </label>
  );
}

function specOf(fields: Fields): StockSpec | string {
  const { kind, lamp, supply, cells, board, common, name } = fields;
  switch (kind) {
    case 'resistor':
    case 'potentiometer': {
      const ohms = parseQuantity(fields.ohms, 'Ω');
      return ohms.ok ? { kind, ohms: ohms.value } : sentences(ohms.findings);
    }
    case 'zener': {
      const volts = parseQuantity(fields.volts, 'V');
      return volts.ok ? { kind, volts: volts.value } : sentences(volts.findings);
    }
    case 'led':
      return { kind, lamp };
    case 'cell':
    case 'supply':
      return { kind, supply };
    case 'holder':
      return { kind, supply, cells };
    case 'board':
      return { kind, board };
    case 'rgb-lamp':
      return { kind, common };
    case 'thing':
      return { kind, name: name.trim() };
    default:
      return { kind };
  }
}

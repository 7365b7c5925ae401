'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  formatQuantity,
  LAMP_TYPES,
  ORIGINS,
  parseQuantity,
  type LampFigures,
  type LampType,
  type Origin,
  type Unit,
} from '@/core';
import { sentences } from '@/messages/findings';
import { lampName } from '@/messages/names';
import { changeLamp } from './actions';

interface Props {
  readonly figures: Readonly<Record<LampType, LampFigures>>;
  readonly versions: Readonly<Record<LampType, number>>;
}

/** What each lamp sort does, and where that figure comes from. */
export function LampTable({ figures, versions }: Props) {
  const [open, setOpen] = useState<LampType | undefined>();
  return (
    <table className="table">
      <thead>
        <tr>
          <th scope="col">lamp</th>
          <th scope="col">chip</th>
          <th scope="col" className="amount">
            forward voltage
          </th>
          <th scope="col" className="amount">
            a batch spreads
          </th>
          <th scope="col" className="amount">
            maximum
          </th>
          <th scope="col" className="ps-3">
            figure from
          </th>
          <th>
            <span className="visually-hidden">change</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {LAMP_TYPES.map((type) => {
          const lamp = figures[type];
          if (open === type) {
            return (
              <tr key={type} className="edit-row">
                <td colSpan={7}>
                  <LampForm lamp={lamp} version={versions[type]} onDone={() => setOpen(undefined)} />
                </td>
              </tr>
            );
          }
          return (
            <tr key={type}>
              <th scope="row">{lampName(type)}</th>
              <td className="soft">{lamp.technology}</td>
              <td className="amount">
                {formatQuantity(lamp.vf, 'V')}{' '}
                <span className="soft">at {formatQuantity(lamp.at, 'A', 2)}</span>
              </td>
              <td className="amount">
                {formatQuantity(lamp.vfLow, 'V')} – {formatQuantity(lamp.vfHigh, 'V')}
              </td>
              <td className="amount">{formatQuantity(lamp.maxAmps, 'A', 2)}</td>
              <td className="ps-3">{lamp.origin}</td>
              <td className="amount">
                <Button
                  variant="text"
                  className="btn-text"
                  aria-label={`Change the ${lampName(type)} lamp`}
                  onClick={() => setOpen(type)}
                >
                  change
                </Button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface Fields {
  vf: string;
  at: string;
  vfLow: string;
  vfHigh: string;
  maxAmps: string;
  origin: Origin;
}

function LampForm({ lamp, version, onDone }: { lamp: LampFigures; version: number; onDone: () => void }) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const volts = (v: number) => formatQuantity(v, 'V');
  const amps = (a: number) => formatQuantity(a, 'A', 2);
  const { register, handleSubmit } = useForm<Fields>({
    defaultValues: {
      vf: volts(lamp.vf),
      at: amps(lamp.at),
      vfLow: volts(lamp.vfLow),
      vfHigh: volts(lamp.vfHigh),
      maxAmps: amps(lamp.maxAmps),
      origin: lamp.origin,
    },
  });
  const save = handleSubmit(async (fields) => {
    const read = (['vf', 'at', 'vfLow', 'vfHigh', 'maxAmps'] as const).map((name) => {
      const unit: Unit = name === 'at' || name === 'maxAmps' ? 'A' : 'V';
      return [name, parseQuantity(fields[name], unit, unit === 'A' ? 1e-3 : 1)] as const;
    });
    const wrong = read.flatMap(([, figure]) => (figure.ok ? [] : figure.findings));
    if (wrong.length) return setProblem(sentences(wrong));
    const figures = Object.fromEntries(
      read.map(([name, figure]) => [name, figure.ok ? figure.value : 0]),
    ) as Record<'vf' | 'at' | 'vfLow' | 'vfHigh' | 'maxAmps', number>;
    const answer = await changeLamp(version, {
      type: lamp.type,
      rs: lamp.rs,
      origin: fields.origin,
      ...figures,
    });
    if (!answer.ok) return setProblem(answer.message);
    router.refresh();
    onDone();
  });
  const field = (name: keyof Fields, label: string) => (
    <label>
      <span className="form-label d-block">{label}</span>
      <Form.Control size="sm" {...register(name)} />
    </label>
  );
  return (
    <form
      className="add-stock"
      onSubmit={(event) => void save(event)}
      aria-label={`Figures of the ${lampName(lamp.type)} lamp`}
    >
      <strong>{lampName(lamp.type)}</strong>
      {field('vf', 'Forward voltage')}
      {field('at', 'taken at')}
      {field('vfLow', 'lowest of the batch')}
      {field('vfHigh', 'highest of the batch')}
      {field('maxAmps', 'continuous maximum')}
      <label>
        <span className="form-label d-block">from</span>
        <Form.Select size="sm" {...register('origin')}>
          {ORIGINS.map((origin) => (
            <option key={origin}>{origin}</option>
          ))}
        </Form.Select>
      </label>
      <Button size="sm" type="submit">
        Save
      </Button>
      <Button size="sm" variant="quiet" onClick={onDone}>
        Leave
      </Button>
      {problem && (
        <div role="alert" className="problem">
          {problem}
        </div>
      )}
    </form>
  );
}

'use client';

import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  accepted,
  areFalling,
  fitLamp,
  fitMiss,
  formatQuantity,
  LAMP_TYPES,
  ORIGINS,
  parseQuantity,
  type LampFigures,
  type LampType,
  type MeasuredPoint,
  type Origin,
  type Outcome,
  type Unit,
} from '@/core';
import { sentences } from '@/messages/findings';
import { lampName } from '@/messages/names';
import { Overtaken, type Shown } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { changeLamp, type LampFormValues } from './actions';

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

const FALLING =
  'Fewer volts at more current cannot be one lamp: read both points again, or measure when it has cooled.';

function missWords(miss: number): string {
  return `No lamp’s curve goes through both points: this fit misses one by ${formatQuantity(miss, 'V', 2)}.`;
}

const FIGURES = ['vf', 'at', 'vfLow', 'vfHigh', 'maxAmps'] as const;

interface Fields {
  vf: string;
  at: string;
  vfLow: string;
  vfHigh: string;
  maxAmps: string;
  origin: Origin;
  firstVolts: string;
  firstAmps: string;
  secondVolts: string;
  secondAmps: string;
}

const volts = (v: number) => formatQuantity(v, 'V');
const amps = (a: number) => formatQuantity(a, 'A', 2);

function fieldsOf(lamp: LampFormValues): Fields {
  return {
    vf: volts(lamp.vf),
    at: amps(lamp.at),
    vfLow: volts(lamp.vfLow),
    vfHigh: volts(lamp.vfHigh),
    maxAmps: amps(lamp.maxAmps),
    origin: lamp.origin,
    firstVolts: '',
    firstAmps: '',
    secondVolts: '',
    secondAmps: '',
  };
}

function shownLamp(lamp: LampFormValues): Shown {
  return [
    ['forward voltage', volts(lamp.vf)],
    ['taken at', amps(lamp.at)],
    ['lowest of the batch', volts(lamp.vfLow)],
    ['highest of the batch', volts(lamp.vfHigh)],
    ['continuous maximum', amps(lamp.maxAmps)],
    ['inner ohms', formatQuantity(lamp.rs, 'Ω')],
    ['from', lamp.origin],
  ];
}

function LampForm({ lamp, version, onDone }: { lamp: LampFigures; version: number; onDone: () => void }) {
  const [rs, setRs] = useState(lamp.rs);
  /** The figures that the fields show, unrounded. */
  const [exact, setExact] = useState<LampFormValues>(lamp);
  const { register, handleSubmit, getValues, setValue, reset } = useForm<Fields>({
    defaultValues: fieldsOf(lamp),
  });
  const saving = useSaving<LampFormValues>({
    version,
    send: changeLamp,
    onSaved: onDone,
    onTheirs: (theirs) => {
      setRs(theirs.rs);
      setExact(theirs);
      reset(fieldsOf(theirs));
    },
  });
  const setProblem = saving.say;
  const fit = () => {
    const points = pointsOf(getValues());
    if (!points.ok) return setProblem(sentences(points.findings));
    if (points.value.length === 0) return setProblem('Type at least one measured point: volts and current.');
    if (areFalling(points.value)) return setProblem(FALLING);
    const fitted = fitLamp(lamp, points.value);
    const miss = fitMiss(fitted, points.value);
    setProblem(miss > 0.005 ? missWords(miss) : '');
    setRs(fitted.rs);
    setExact({ ...exact, ...fitted });
    for (const name of ['vf', 'vfLow', 'vfHigh'] as const) setValue(name, volts(fitted[name]));
    setValue('at', amps(fitted.at));
    setValue('origin', 'measured');
  };
  const save = handleSubmit((fields) => {
    const shown = fieldsOf(exact);
    const read = FIGURES.map((name) => {
      const unit: Unit = name === 'at' || name === 'maxAmps' ? 'A' : 'V';
      // What was not touched is saved as it is stored, not as it is rounded to be read.
      const figure =
        fields[name] === shown[name]
          ? accepted(exact[name])
          : parseQuantity(fields[name], unit, unit === 'A' ? 1e-3 : 1);
      return [name, figure] as const;
    });
    const wrong = read.flatMap(([, figure]) => (figure.ok ? [] : figure.findings));
    if (wrong.length) return setProblem(sentences(wrong));
    const figures = Object.fromEntries(
      read.map(([name, figure]) => [name, figure.ok ? figure.value : 0]),
    ) as Record<(typeof FIGURES)[number], number>;
    saving.save({ type: lamp.type, rs, origin: fields.origin, ...figures });
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
      <fieldset className="measured-points">
        <legend className="form-label">measured: one point moves the curve, two give its inner ohms</legend>
        {field('firstVolts', 'volts')}
        {field('firstAmps', 'at')}
        {field('secondVolts', 'volts, second')}
        {field('secondAmps', 'at, second')}
        <Button size="sm" variant="quiet" onClick={fit}>
          Fit the curve
        </Button>
        <span className="small-print">inner ohms {formatQuantity(rs, 'Ω')}</span>
      </fieldset>
      <Button size="sm" type="submit">
        Save
      </Button>
      <Button size="sm" variant="quiet" onClick={onDone}>
        Leave
      </Button>
      <Overtaken saving={saving} shown={shownLamp} />
    </form>
  );
}

/** The measured points as typed: empty pairs are left out. */
function pointsOf(fields: Fields): Outcome<MeasuredPoint[]> {
  const points: MeasuredPoint[] = [];
  for (const [v, a] of [
    [fields.firstVolts, fields.firstAmps],
    [fields.secondVolts, fields.secondAmps],
  ] as const) {
    if (v.trim() === '' && a.trim() === '') continue;
    const [volts, amps] = [parseQuantity(v, 'V'), parseQuantity(a, 'A', 1e-3)];
    if (!volts.ok) return volts;
    if (!amps.ok) return amps;
    points.push({ volts: volts.value, amps: amps.value });
  }
  return { ok: true, value: points, findings: [] };
}

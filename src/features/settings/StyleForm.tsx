'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { z } from 'zod';
import {
  AGES,
  formatEntered,
  RAIL_HABITS,
  readLampAmps,
  ROUNDINGS,
  SERIES_NAMES,
  styleSchema,
  type HouseStyle,
} from '@/core';
import { sentences } from '@/messages/findings';
import { AGE_NAMES } from '@/messages/names';
import { RAIL_WORDS } from '@/messages/schools';
import { formProblem } from '@/ui/formProblem';
import { Note } from '@/ui/Note';
import { Overtaken, type Shown } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { useTyped } from '@/ui/useTyped';
import { issueWords } from '@/messages/issues';
import { STYLE_FIELDS } from './fields';
import { keepStyle } from './actions';

interface Fields extends Omit<HouseStyle, 'amps' | 'bands' | 'ratingShare' | 'spareRisk'> {
  amps: string;
  bands: '4' | '5';
  ratingPercent: number;
  riskPercent: number;
}

/** What is typed, in the schema that the house style is kept by. */
const fieldsSchema = z
  .custom<Fields>()
  .transform(({ amps, bands, ratingPercent, riskPercent, ...rest }, context): z.input<typeof styleSchema> => {
    const current = readLampAmps(amps);
    if (!current.ok)
      context.addIssue({ code: 'custom', path: ['typed'], message: sentences(current.findings) });
    return {
      ...rest,
      amps: current.ok ? current.value : NaN,
      bands: bands === '4' ? 4 : 5,
      ratingShare: ratingPercent / 100,
      spareRisk: riskPercent / 100,
    };
  })
  .pipe(styleSchema);

const QUESTIONS = {
  rounding: {
    label: 'After the sum, take',
    why: 'Up never goes above the design current. Every school’s current stands beside it on each sheet.',
  },
  amps: {
    label: 'Design current',
    why: '10 mA looks like 20 mA to the eye, and halves the battery’s drain.',
  },
  age: {
    label: 'Design for a supply that is',
    why: 'Fresh, so that new cells never push the lamp over its limit.',
  },
  side: { label: 'Resistor on the', why: 'Either side carries the same current.' },
  values: { label: 'Choose values from', why: 'The drawer is what the store holds.' },
  bands: { label: 'Resistors with', why: '4 bands: ±5 %. 5 bands: ±1 %.' },
  symbol: { label: 'Resistor in diagrams', why: 'Both are standard; show what the students know.' },
  wires: { label: 'Jumpers', why: 'Red for plus and black for minus, or any colour at hand.' },
  lamps: {
    label: 'Lamps on the board lie',
    why: 'The same way: a turned one is seen at a glance. Either way: now and then a shorter wire.',
  },
  rails: {
    label: 'Rails are used with',
    why: 'Legs in them: fewer wires that fall out. Wires only: every part stands in rows.',
  },
  ratingPercent: {
    label: 'Resistors stay below, % of their rating',
    why: 'Half load is cool enough to touch.',
  },
  riskPercent: {
    label: 'Risk of running out of a part, %',
    why: 'Spares are counted so that the chance stays below this.',
  },
  currency: { label: 'Currency', why: 'Shown beside prices.' },
  causes: {
    label: 'Weigh causes at Check by',
    why: 'The logbook: each fault that was found counts beside thirty of the starting figures, in sessions given from then on.',
  },
  tiredPack: {
    label: 'A right build with a tired pack is',
    why: 'As long as it works; its row says so either way. For sessions given from then on.',
  },
  tables: {
    label: 'Tables (CSV) are written with',
    why: 'As this house’s spreadsheet opens them. Either is read when a table is brought in.',
  },
} as const;

/** The educator's choice wherever practitioners differ; every sheet follows it. */
export function StyleForm({ style, version }: { style: HouseStyle; version: number }) {
  const [kept, setKept] = useState(false);
  const [typed, setTyped] = useTyped<Fields | undefined>('house-style', undefined);
  const { register, handleSubmit, formState, reset, subscribe, getValues } = useForm<
    Fields,
    unknown,
    HouseStyle
  >({
    resolver: zodResolver(fieldsSchema, { error: issueWords }),
    defaultValues: fieldsOf(style),
  });
  /** The fields as they were sent last, as JSON. */
  const sent = useRef('');
  const saving = useSaving<HouseStyle>({
    version,
    send: keepStyle,
    onSaved: (saved) => {
      // What was typed while it was being saved stays, and is not saved.
      if (JSON.stringify(getValues()) !== sent.current) return;
      setKept(true);
      setTyped(undefined);
      reset(fieldsOf(saved));
    },
    onTheirs: (theirs) => {
      setTyped(undefined);
      reset(fieldsOf(theirs));
    },
  });
  // What was typed before a reload is in the fields again, and not saved yet.
  const isBack = useRef(false);
  useEffect(() => {
    if (!typed || isBack.current) return;
    isBack.current = true;
    if (!formState.isDirty) reset(typed, { keepDefaultValues: true });
  }, [typed, formState.isDirty, reset]);
  useEffect(() => {
    return subscribe({
      formState: { values: true, isDirty: true },
      callback: ({ values, isDirty }) => {
        if (isDirty) setTyped(values);
      },
    });
  }, [subscribe, setTyped]);
  const wrong = formProblem(formState.errors);
  const save = handleSubmit(saving.save);
  const select = (
    name:
      | 'rounding'
      | 'age'
      | 'side'
      | 'values'
      | 'bands'
      | 'wires'
      | 'lamps'
      | 'rails'
      | 'symbol'
      | 'tables'
      | 'causes'
      | 'tiredPack',
    options: readonly (readonly [string, string])[],
  ) => (
    <Row name={name}>
      <Form.Select id={name} {...register(name)}>
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Row>
  );
  return (
    <form
      onSubmit={(event) => {
        sent.current = JSON.stringify(getValues());
        void save(event);
      }}
      onChange={() => setKept(false)}
    >
      {select(
        'rounding',
        ROUNDINGS.map((r) => [
          r,
          { up: 'the next value up', nearest: 'the nearest value', walk: 'walk down until bright enough' }[r],
        ]),
      )}
      <Row name="amps">
        <Form.Control id="amps" {...register('amps')} />
      </Row>
      {select(
        'age',
        AGES.map((a) => [a, AGE_NAMES[a]]),
      )}
      {select('side', [
        ['plus', 'plus side'],
        ['minus', 'minus side'],
      ])}
      {select('values', [
        ['drawer', 'the drawer'],
        ...SERIES_NAMES.map((s) => [s, `the ${s} series`] as const),
      ])}
      {select('causes', [
        ['logbook', 'the faults this house has found'],
        ['starting figures', 'the starting figures alone'],
      ])}
      {select('tiredPack', [
        ['right', 'right'],
        ['off', 'off, until it has a fresh one'],
      ])}
      {select('bands', [
        ['4', '4 bands'],
        ['5', '5 bands'],
      ])}
      {select('wires', [
        ['red and black', 'red and black'],
        ['as the lamp', 'red and black, others as their lamp'],
        ['any', 'any colour'],
      ])}
      {select('lamps', [
        ['the same way', 'all the same way'],
        ['either way', 'either way'],
      ])}
      {select(
        'rails',
        RAIL_HABITS.map((habit) => [habit, RAIL_WORDS[habit]] as const),
      )}
      {select('symbol', [
        ['box', 'a box'],
        ['zigzag', 'a zigzag'],
      ])}
      <Row name="ratingPercent">
        <Form.Control
          id="ratingPercent"
          type="number"
          {...register('ratingPercent', { valueAsNumber: true })}
        />
      </Row>
      <Row name="riskPercent">
        <Form.Control
          id="riskPercent"
          type="number"
          step="0.1"
          {...register('riskPercent', { valueAsNumber: true })}
        />
      </Row>
      <Row name="currency">
        <Form.Control id="currency" maxLength={3} {...register('currency')} />
      </Row>
      {select('tables', [
        ['comma', 'commas, and points in figures'],
        ['semicolon', 'semicolons, and commas in figures'],
      ])}
      <div className="button-row pt-3">
        <Button type="submit" disabled={saving.pending}>
          Save the house style
        </Button>
        {kept && <span role="status">Saved. Every sheet follows it from now on.</span>}
      </div>
      {wrong ? (
        <Note kind="refusal" live>
          {styleProblem(wrong)}
        </Note>
      ) : (
        <Overtaken saving={saving} shown={shownStyle} />
      )}
    </form>
  );
}

function styleProblem({ path, message }: { path: string; message: string }): string {
  return path === 'typed'
    ? message
    : `${STYLE_FIELDS[path] ?? 'The house style'} ${message}. Nothing was saved.`;
}

function fieldsOf(style: HouseStyle): Fields {
  const { amps, bands, ratingShare, spareRisk, ...rest } = style;
  return {
    ...rest,
    amps: formatEntered(amps, 'A'),
    bands: bands === 4 ? '4' : '5',
    ratingPercent: Math.round(ratingShare * 100),
    riskPercent: Number((spareRisk * 100).toFixed(1)),
  };
}

function shownStyle(style: HouseStyle): Shown {
  const fields = fieldsOf(style);
  return (Object.keys(QUESTIONS) as (keyof typeof QUESTIONS)[]).map((name) => [
    QUESTIONS[name].label,
    String(fields[name]),
  ]);
}

function Row({ name, children }: { name: keyof typeof QUESTIONS; children: React.ReactNode }) {
  return (
    <div className="setting-row">
      <label htmlFor={name}>{QUESTIONS[name].label}</label>
      <div>{children}</div>
      <div className="small-print">{QUESTIONS[name].why}</div>
    </div>
  );
}

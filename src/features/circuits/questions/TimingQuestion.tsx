'use client';

import { useMemo, useState } from 'react';
import Table from 'react-bootstrap/Table';
import {
  formatEntered,
  formatOhms,
  formatPercent,
  formatQuantity,
  seriesValues,
  TIMER_FAMILIES,
  TIMING_FORMS,
  timingChoices,
  type TimerFamily,
  type TimingChoice,
  type TimingForm,
  readFigure,
  readList,
  readWithin,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { cautionWords } from '@/messages/timing';
import { Scroll } from '@/ui/Scroll';
import { Question } from './Question';

const FORM_NAMES: Readonly<Record<TimingForm, string>> = {
  standard: 'a standard blinker',
  'output-driven': 'an output-driven blinker',
  'one-shot': 'a one-shot',
};
const FAMILY_NAMES: Readonly<Record<TimerFamily, string>> = { bipolar: 'bipolar', cmos: 'CMOS' };
const OHMS = seriesValues('E12').filter((ohms) => ohms >= 1e3 && ohms <= 1e6);

/** Which resistors and capacitors give a time; worked out while it is typed, as there is nothing to solve. */
export function TimingQuestion() {
  const [form, setForm] = useState<TimingForm>('standard');
  const [family, setFamily] = useState<TimerFamily>('bipolar');
  const [volts, setVolts] = useState(9);
  const [seconds, setSeconds] = useState(1.2);
  const [duty, setDuty] = useState(0.6);
  const [drawer, setDrawer] = useState('10n, 100n, 1u, 10u, 100u');
  const [problem, setProblem] = useState('');
  const capacitors = useMemo(() => readList(drawer, 'F'), [drawer]);
  const outcome = useMemo(
    () =>
      timingChoices(
        { form, family, volts, seconds, ...(form === 'standard' ? { duty } : {}) },
        {
          ohms: OHMS,
          capacitors: (capacitors.ok ? capacitors.value : []).map((farads) => ({
            farads,
            tolerance: farads >= 1e-6 ? 0.2 : 0.1,
          })),
          tolerance: 0.05,
        },
      ),
    [form, family, volts, seconds, duty, capacitors],
  );
  const asked = { reply: capacitors.ok ? outcome : capacitors, waiting: false, failure: '' };
  return (
    <Question
      asked={asked}
      problem={problem}
      words={
        <>
          Which resistors of E12 and which of the capacitors{' '}
          <input
            className="word"
            aria-label="Capacitors in the drawer"
            aria-invalid={!capacitors.ok}
            autoComplete="off"
            spellCheck={false}
            size={Math.max(12, drawer.length)}
            value={drawer}
            onChange={(event) => setDrawer(event.target.value)}
          />{' '}
          make{' '}
          <Choice
            label="Form of the timer"
            value={form}
            names={TIMING_FORMS.map((name) => [name, FORM_NAMES[name]])}
            onChoose={setForm}
          />{' '}
          on a{' '}
          <Choice
            label="Family of the chip"
            value={family}
            names={TIMER_FAMILIES.map((name) => [name, FAMILY_NAMES[name]])}
            onChoose={setFamily}
          />{' '}
          chip at{' '}
          <Typed
            label="Supply of the chip"
            value={formatEntered(volts, 'V')}
            read={readWithin('The supply of a timer', 'V', 1, 18)}
            onValue={setVolts}
            onProblem={setProblem}
            width={4}
          />{' '}
          take{' '}
          <Typed
            label="Time it is to take"
            value={formatEntered(seconds, 's')}
            read={readWithin('A time', 's', 1e-5, 3600)}
            onValue={setSeconds}
            onProblem={setProblem}
            width={5}
          />
          {form === 'standard' && (
            <>
              , high for{' '}
              <Typed
                label="Share of the period that it is high"
                value={String(duty)}
                read={(typed) => readFigure(typed, undefined)}
                onValue={setDuty}
                onProblem={setProblem}
                width={4}
              />{' '}
              of it
            </>
          )}
          ?
        </>
      }
    >
      {(choices) => <Choices choices={choices} form={form} />}
    </Question>
  );
}

function Choices({ choices, form }: { choices: readonly TimingChoice[]; form: TimingForm }) {
  const heads = [
    ...(form === 'standard' ? ['RA'] : []),
    form === 'standard' ? 'RB' : 'R',
    'C',
    form === 'one-shot' ? 'Pulse' : 'Period',
    'Off by',
    ...(form === 'one-shot' ? [] : ['High', 'Duty', 'Pitch']),
    'With any parts',
  ];
  return (
    <Scroll label="Pairs of resistor and capacitor">
      <Table>
        <thead>
          <tr>
            {heads.map((head) => (
              <th key={head} scope="col" className="amount">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {choices.slice(0, 6).map((choice) => (
            <tr key={`${choice.ra ?? 0} ${choice.r} ${choice.farads}`}>
              {choice.ra !== undefined && <td className="amount">{formatOhms(choice.ra)}</td>}
              <td className="amount">{formatOhms(choice.r)}</td>
              <td className="amount">{formatEntered(choice.farads, 'F')}</td>
              <td className="amount strong">{formatQuantity(choice.period, 's')}</td>
              <td className="amount">{formatPercent(choice.error)}</td>
              {form !== 'one-shot' && (
                <>
                  <td className="amount">{formatQuantity(choice.high, 's')}</td>
                  <td className="amount">{formatPercent(choice.duty)}</td>
                  <td className="amount">{formatQuantity(choice.hertz, 'Hz')}</td>
                </>
              )}
              <td className="amount">
                {formatQuantity(choice.shortest, 's', 2)} to {formatQuantity(choice.longest, 's', 2)}
                {choice.cautions.map((caution) => (
                  <span key={caution} className="small-print d-block">
                    {cautionWords(caution, choice.leaks)}
                  </span>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroll>
  );
}

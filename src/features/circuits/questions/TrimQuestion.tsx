'use client';

import { useState } from 'react';
import type { Remote } from 'comlink';
import type { trimRange } from '@/core';
import {
  formatEntered,
  formatOhms,
  formatPercent,
  formatQuantity,
  type Circuit,
  type Outcome,
  type TrimRange,
  readFigure,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import type { CoreApi } from '@/workers/coreApi';
import { useAsked } from '@/features/asking/useAsked';
import { Question, same } from './Question';

type Asking = Parameters<typeof trimRange>;

/** Potentiometers that shops hold. */
const POTENTIOMETERS = [1e3, 4.7e3, 10e3, 22e3, 47e3, 100e3, 220e3, 470e3, 1e6];
const ask = (core: Remote<CoreApi>, asking: Asking): Promise<Outcome<TrimRange>> => core.trimRange(...asking);

interface Props {
  readonly circuit: Circuit;
  readonly sensors: readonly string[];
  readonly resistors: readonly string[];
}

export function TrimQuestion({ circuit, sensors, resistors }: Props) {
  const [sensor, setSensor] = useState(sensors[0]!);
  const [trim, setTrim] = useState(resistors[0]!);
  const [checkId, setCheck] = useState(circuit.checks[0]!.id);
  const check = circuit.checks.find(({ id }) => id === checkId) ?? circuit.checks[0]!;
  const unit = check.measure === 'amps' ? 'A' : 'V';
  const [targets, setTargets] = useState<Readonly<Record<'A' | 'V', number>>>({ A: 0.001, V: 0.65 });
  const [problem, setProblem] = useState('');
  const asked = useAsked<Asking, Outcome<TrimRange>>(
    'quick',
    [circuit, sensor, trim, check, targets[unit], POTENTIOMETERS],
    ask,
  );
  return (
    <Question
      asked={asked}
      problem={problem}
      words={
        <>
          How far must{' '}
          <Choice label="Resistor that is trimmed" value={trim} names={same(resistors)} onChoose={setTrim} />{' '}
          go so that{' '}
          <Choice
            label="Reading that switches"
            value={check.id}
            names={same(circuit.checks.map(({ id }) => id))}
            onChoose={setCheck}
          />{' '}
          reads{' '}
          <Typed
            key={unit}
            label="Reading at the switching point"
            value={formatEntered(targets[unit], unit)}
            read={(typed) => readFigure(typed, unit)}
            onValue={(value) => setTargets({ ...targets, [unit]: value })}
            onProblem={setProblem}
            width={6}
          />{' '}
          in this light with any{' '}
          <Choice label="Sensor" value={sensor} names={same(sensors)} onChoose={setSensor} /> of its sort?
        </>
      }
    >
      {({ low, typical, high, potentiometer }) => (
        <p className="mb-0">
          From <strong>{formatQuantity(low, 'Ω')}</strong> to <strong>{formatQuantity(high, 'Ω')}</strong>,{' '}
          {formatQuantity(typical, 'Ω')} for a typical one.{' '}
          {potentiometer
            ? `A ${formatOhms(potentiometer.ohms)} potentiometer covers it, from ${formatPercent(potentiometer.from)} to ${formatPercent(potentiometer.to)} of its turn.`
            : 'No usual potentiometer is large enough.'}
        </p>
      )}
    </Question>
  );
}

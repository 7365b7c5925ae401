'use client';

import { useState } from 'react';
import type { Remote } from 'comlink';
import type { resistorForCurrent } from '@/core';
import {
  formatEntered,
  formatOhms,
  formatPercent,
  formatQuantity,
  partOf,
  readLampAmps,
  seriesValues,
  type Circuit,
  type Outcome,
  type ResistorAnswer,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import type { CoreApi } from '@/workers/coreApi';
import { useAsked } from '@/features/asking/useAsked';
import { Question, same } from './Question';

type Asking = Parameters<typeof resistorForCurrent>;

const ask = (core: Remote<CoreApi>, asking: Asking): Promise<Outcome<ResistorAnswer>> =>
  core.resistorForCurrent(...asking);

interface Props {
  readonly circuit: Circuit;
  readonly resistors: readonly string[];
  readonly lamps: readonly string[];
}

export function ResistorQuestion({ circuit, resistors, lamps }: Props) {
  const [resistor, setResistor] = useState(() => likelyResistor(circuit, resistors, lamps[0]!));
  const [lamp, setLamp] = useState(lamps[0]!);
  const [amps, setAmps] = useState(0.008);
  const [problem, setProblem] = useState('');
  const asked = useAsked<Asking, Outcome<ResistorAnswer>>(
    'quick',
    [circuit, resistor, lamp, amps, [...seriesValues('E12')]],
    ask,
  );
  return (
    <Question
      asked={asked}
      problem={problem}
      words={
        <>
          Which value of{' '}
          <Choice
            label="Resistor to choose"
            value={resistor}
            names={same(resistors)}
            onChoose={setResistor}
          />{' '}
          gives <Choice label="Lamp that counts" value={lamp} names={same(lamps)} onChoose={setLamp} />{' '}
          <Typed
            label="Current it is to have"
            value={formatEntered(amps, 'A')}
            read={readLampAmps}
            onValue={setAmps}
            onProblem={setProblem}
            width={6}
          />
          ?
        </>
      }
    >
      {({ ohms, choices }) => (
        <p className="mb-0">
          <strong>{formatQuantity(ohms, 'Ω')}</strong>, by the solver. Stocked in E12:{' '}
          {choices
            .map(
              (choice) =>
                `${formatOhms(choice.ohms)} gives ${formatQuantity(choice.amps, 'A')} (${formatPercent(choice.share)})`,
            )
            .join(', ')}
          .
        </p>
      )}
    </Question>
  );
}

/** The resistor that hangs on the lamp itself, if there is one. */
function likelyResistor(circuit: Circuit, resistors: readonly string[], lamp: string): string {
  const nodes = (id: string) =>
    Object.values(partOf(circuit, id)?.pins ?? {}).filter((name) => name !== circuit.ground);
  const own = nodes(lamp);
  return resistors.find((id) => nodes(id).some((name) => own.includes(name))) ?? resistors[0]!;
}

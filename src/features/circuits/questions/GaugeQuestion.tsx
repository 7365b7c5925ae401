'use client';

import { useState } from 'react';
import type { Remote } from 'comlink';
import type { thresholds } from '@/core';
import {
  formatEntered,
  formatQuantity,
  readLampAmps,
  type Circuit,
  type Outcome,
  type Threshold,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import type { CoreApi } from '@/workers/coreApi';
import { useAsked } from '@/features/asking/useAsked';
import { Question, same } from './Question';

type Asking = Parameters<typeof thresholds>;

const MOST_VOLTS = 24;
const ask = (core: Remote<CoreApi>, asking: Asking): Promise<Outcome<Threshold[]>> =>
  core.thresholds(...asking);

export function GaugeQuestion({ circuit, supplies }: { circuit: Circuit; supplies: readonly string[] }) {
  const [supply, setSupply] = useState(supplies[0]!);
  const [amps, setAmps] = useState(0.001);
  const [problem, setProblem] = useState('');
  const asked = useAsked<Asking, Outcome<Threshold[]>>('quick', [circuit, supply, amps, 0, MOST_VOLTS], ask);
  return (
    <Question
      asked={asked}
      problem={problem}
      words={
        <>
          From how many volts of{' '}
          <Choice label="Supply that rises" value={supply} names={same(supplies)} onChoose={setSupply} /> on
          does each lamp carry{' '}
          <Typed
            label="Current that counts as lit"
            value={formatEntered(amps, 'A')}
            read={readLampAmps}
            onValue={setAmps}
            onProblem={setProblem}
            width={5}
          />
          ?
        </>
      }
    >
      {(found) => (
        <p className="mb-0">
          {found.map(({ lamp, volts }, i) => (
            <span key={lamp}>
              {i > 0 && ', '}
              {lamp}{' '}
              {volts === undefined ? (
                `not up to ${formatQuantity(MOST_VOLTS, 'V', 2)}`
              ) : (
                <strong>{formatQuantity(volts, 'V')}</strong>
              )}
            </span>
          ))}
          .
        </p>
      )}
    </Question>
  );
}

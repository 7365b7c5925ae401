'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useOutbox } from '@/features/check/useOutbox';
import type { BenchChoice } from '@/server/ownBench';
import { useAnswer } from '@/ui/useAnswer';
import { Problem } from '@/ui/Problem';
import { takeBench } from './actions';

interface Props {
  readonly sessionId: number;
  readonly benches: readonly BenchChoice[];
}

/** A student says which bench is theirs. */
export function ChooseBench({ sessionId, benches }: Props) {
  const { problem, pending, run } = useAnswer();
  const [refused, setRefused] = useState('');
  // What was entered at a bench that was freed since goes out from here.
  const outbox = useOutbox(sessionId, {
    onKept: () => undefined,
    onRefused: (_reading, message) => setRefused(message),
  });
  return (
    <section>
      {outbox.waiting.length > 0 && (
        <p role="status">
          {outbox.waiting.length} {outbox.waiting.length === 1 ? 'reading waits' : 'readings wait'} in this
          phone and goes out by itself. {outbox.problem}
        </p>
      )}
      <Problem>{refused}</Problem>
      <h2>Which bench is yours?</h2>
      <ul className="bench-choice">
        {benches.map(({ studentId, bench, nickname, taken }) => (
          <li key={studentId}>
            <Button
              variant="quiet"
              disabled={pending || taken}
              onClick={() => run(() => takeBench(studentId))}
            >
              <strong>{bench}</strong> {nickname}
              {taken && <span className="small-print"> has a machine already</span>}
            </Button>
          </li>
        ))}
      </ul>
      <Problem>{problem}</Problem>
    </section>
  );
}

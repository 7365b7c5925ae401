'use client';

import Button from 'react-bootstrap/Button';
import type { BenchChoice } from '@/server/ownBench';
import { useAnswer } from '@/ui/useAnswer';
import { Problem } from '@/ui/Problem';
import { takeBench } from './actions';

/** A student says which bench is theirs. */
export function ChooseBench({ benches }: { benches: readonly BenchChoice[] }) {
  const { problem, pending, run } = useAnswer();
  return (
    <section>
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

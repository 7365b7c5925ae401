'use client';

import { useEffect, useRef, useState } from 'react';
import type { BenchRead, JudgedBench, SessionExpectation } from '@/core';
import { coreWorker } from '@/workers/client';
import { LatestOnly } from '@/workers/latestOnly';

/** The readings of one bench, and by which of the expectations it is judged. */
export interface ReadBench extends BenchRead {
  readonly by: number;
}

/**
 * Verdicts and causes of all benches, worked out in a worker; benches whose readings stand keep their answer. What could not be worked
 * out is asked again with the next reading, and said until then.
 *
 * @param expectations the session's own, and those of benches on which something is different
 */
export function useJudged(
  expectations: readonly SessionExpectation[],
  benches: readonly ReadBench[],
  first: readonly JudgedBench[],
): { readonly judged: readonly JudgedBench[]; readonly problem: string } {
  const [judged, setJudged] = useState(first);
  const [problem, setProblem] = useState('');
  const solver = useRef<LatestOnly<readonly ReadBench[], JudgedBench[]>>(undefined);
  const key = JSON.stringify(benches);
  const asked = useRef(key);
  useEffect(() => {
    solver.current = new LatestOnly(
      (question) => judgeAll(expectations, question),
      (answer) => {
        setJudged(answer);
        setProblem('');
      },
      (error) => {
        asked.current = '';
        setProblem(error instanceof Error ? error.message : String(error));
      },
    );
  }, [expectations]);
  useEffect(() => {
    if (asked.current === key) return;
    asked.current = key;
    solver.current?.ask(JSON.parse(key) as ReadBench[]);
  }, [key]);
  return { judged, problem };
}

async function judgeAll(
  expectations: readonly SessionExpectation[],
  benches: readonly ReadBench[],
): Promise<JudgedBench[]> {
  const judged = await Promise.all(
    expectations.map((expectation, i) => {
      const own = benches.filter(({ by }) => by === i);
      return own.length === 0 ? [] : coreWorker('quick').judge(expectation, own);
    }),
  );
  const taken = expectations.map(() => 0);
  return benches.map(({ by }) => judged[by]![taken[by]!++]!);
}

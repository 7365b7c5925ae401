'use client';

import { useEffect, useRef, useState } from 'react';
import type { BenchRead, JudgedBench, SessionExpectation } from '@/core';
import { coreWorker } from '@/workers/client';
import { LatestOnly } from '@/workers/latestOnly';

/** The readings of one bench, and by which of the expectations it is judged. */
export interface ReadBench extends BenchRead {
  readonly id: number;
  readonly by: number;
}

type ById = ReadonlyMap<number, JudgedBench>;

/**
 * Verdicts and causes of all benches, worked out in a worker; benches whose readings stand keep their answer. What could not be worked
 * out is asked again with the next reading, and said until then.
 *
 * @param expectations the session's own, and those of benches on which something is different
 * @param first how they stood when the page was made, by student
 */
export function useJudged(
  expectations: readonly SessionExpectation[],
  benches: readonly ReadBench[],
  first: ById,
): { readonly judged: ById; readonly problem: string } {
  const [since, setSince] = useState<ById>();
  const [problem, setProblem] = useState('');
  const solver = useRef<LatestOnly<readonly ReadBench[], ById>>(undefined);
  const key = JSON.stringify(benches);
  const asked = useRef(key);
  useEffect(() => {
    solver.current = new LatestOnly(
      (question) => judgeAll(expectations, question),
      (answer) => {
        setSince(answer);
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
  return { judged: since ?? first, problem };
}

async function judgeAll(
  expectations: readonly SessionExpectation[],
  benches: readonly ReadBench[],
): Promise<ById> {
  const judged = await Promise.all(
    expectations.map(async (expectation, i) => {
      const own = benches.filter(({ by }) => by === i);
      const answers = own.length === 0 ? [] : await coreWorker('quick').judge(expectation, own);
      return own.map(({ id }, k) => [id, answers[k]!] as const);
    }),
  );
  return new Map(judged.flat());
}

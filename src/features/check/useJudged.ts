'use client';

import { useEffect, useRef, useState } from 'react';
import type { JudgedBench, Noted, SessionExpectation } from '@/core';
import { coreWorker } from '@/workers/client';
import { LatestOnly } from '@/workers/latestOnly';

/** Verdicts and causes of all benches, worked out in a worker; benches whose readings stand keep their answer. */
export function useJudged(
  expectation: SessionExpectation,
  benches: readonly (readonly Noted[])[],
  first: readonly JudgedBench[],
): readonly JudgedBench[] {
  const [judged, setJudged] = useState(first);
  const solver = useRef<LatestOnly<readonly (readonly Noted[])[], JudgedBench[]>>(undefined);
  const key = JSON.stringify(benches);
  const asked = useRef(key);
  useEffect(() => {
    solver.current = new LatestOnly(
      (question) => coreWorker('quick').judge(expectation, question),
      setJudged,
      () => undefined,
    );
  }, [expectation]);
  useEffect(() => {
    if (asked.current === key) return;
    asked.current = key;
    solver.current?.ask(JSON.parse(key) as Noted[][]);
  }, [key]);
  return judged;
}

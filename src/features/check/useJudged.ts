'use client';

import { useEffect, useRef, useState } from 'react';
import type { JudgedBench, SessionExpectation } from '@/core';
import { newKey } from '@/ui/newKey';
import { coreWorker } from '@/workers/client';
import type { BenchBy } from '@/workers/judges';
import { LatestOnly } from '@/workers/latestOnly';

/** The readings of one bench, and by which of the expectations it is judged. */
export interface ReadBench extends BenchBy {
  readonly id: number;
}

type ById = ReadonlyMap<number, JudgedBench>;

/**
 * Verdicts and causes of all benches, worked out in a worker; benches whose readings stand keep their answer. What could not be worked
 * out is asked again with the next reading, and said until then.
 *
 * @param expectations the session's own, and those of benches on which something is different
 * @param first how they stood when the page was made, by student
 * @param waiting students at whose benches something had changed since
 */
export function useJudged(
  expectations: readonly SessionExpectation[],
  benches: readonly ReadBench[],
  first: ById,
  waiting: readonly number[] = [],
): { readonly judged: ById; readonly problem: string } {
  const [judged, setJudged] = useState(first);
  const [problem, setProblem] = useState('');
  const solver = useRef<LatestOnly<readonly ReadBench[], ById>>(undefined);
  /** What each bench was judged on last, as JSON. */
  const [known] = useState(
    () =>
      new Map(
        benches.filter(({ id }) => !waiting.includes(id)).map((bench) => [bench.id, JSON.stringify(bench)]),
      ),
  );
  const key = JSON.stringify(benches);
  useEffect(() => {
    const name = newKey();
    solver.current = new LatestOnly(
      (question) => judgeBy(name, expectations, question),
      (answer, question) => {
        for (const bench of question) known.set(bench.id, JSON.stringify(bench));
        setJudged((before) => new Map([...before, ...answer]));
        setProblem('');
      },
      (error) => setProblem(error instanceof Error ? error.message : String(error)),
    );
  }, [expectations, known]);
  useEffect(() => {
    const all = JSON.parse(key) as ReadBench[];
    const changed = all.filter((bench) => known.get(bench.id) !== JSON.stringify(bench));
    if (changed.length > 0) solver.current?.ask(changed);
    else solver.current?.cancel();
  }, [key, known]);
  return { judged, problem };
}

/** Hands over what they are judged by where the worker does not have it. */
async function judgeBy(
  name: string,
  expectations: readonly SessionExpectation[],
  benches: readonly ReadBench[],
): Promise<ById> {
  const worker = coreWorker('quick');
  let answers = await worker.judge(name, benches);
  if (!answers) {
    await worker.judgeBy(name, expectations);
    answers = await worker.judge(name, benches);
  }
  return new Map(benches.map(({ id }, i) => [id, answers![i]!]));
}

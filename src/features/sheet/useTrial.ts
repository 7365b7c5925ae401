'use client';

import { useEffect, useRef, useState } from 'react';
import type { AsBuilt, Finding, Outcome, Plan, Sheet } from '@/core';
import { coreWorker } from '@/workers/client';
import { LatestOnly } from '@/workers/latestOnly';

interface Question {
  readonly plan: Plan;
  readonly sheet: Sheet;
  readonly held: boolean;
}

/**
 * A plan being tried out. One that still makes the wanted circuit becomes the lesson's plan;
 * one that does not shows what would happen, and leaves the lesson as it was.
 */
export function useTrial(sheet: Sheet | undefined, onKeep: (plan: Plan) => void) {
  const [trial, setTrial] = useState<Plan | undefined>();
  const [built, setBuilt] = useState<AsBuilt | undefined>();
  const [refusal, setRefusal] = useState<Finding | undefined>();
  const keep = useRef(onKeep);
  const solver = useRef<LatestOnly<Question, AsBuilt>>(undefined);
  useEffect(() => {
    keep.current = onKeep;
  });
  useEffect(() => {
    solver.current = new LatestOnly(
      ({ plan, sheet: wanted }) => coreWorker('quick').asBuilt(plan, wanted.circuit),
      (answer, { plan, held }) => {
        setBuilt(answer);
        if (answer.asWanted && !held) {
          keep.current(plan);
          setTrial(undefined);
          setBuilt(undefined);
        }
      },
      () => setBuilt(undefined),
    );
  }, []);

  const ask = (plan: Plan, held: boolean) => {
    if (sheet) solver.current?.ask({ plan, sheet, held });
  };
  /** Takes an edit; `held` while the part is still in the hand. */
  const edit = (moved: Outcome<Plan>, held = false) => {
    if (!moved.ok) return setRefusal(moved.findings[0]);
    setRefusal(undefined);
    setTrial(moved.value);
    ask(moved.value, held);
  };
  const drop = () => {
    if (trial) ask(trial, false);
  };
  const putBack = () => {
    solver.current?.cancel();
    setTrial(undefined);
    setBuilt(undefined);
    setRefusal(undefined);
  };
  return {
    /** The plan on the screen. */
    plan: trial ?? sheet?.plan,
    built: trial ? built : sheet?.built,
    isTrial: trial !== undefined,
    refusal,
    edit,
    drop,
    putBack,
  };
}

export type Trial = ReturnType<typeof useTrial>;

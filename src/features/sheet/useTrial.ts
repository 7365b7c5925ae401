'use client';

import { useMemo, useState } from 'react';
import {
  makesWanted,
  type Circuit,
  type Finding,
  type MeterFigures,
  type Outcome,
  type Plan,
  type Sheet,
  type Standing,
} from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import type { Remote } from 'comlink';
import type { CoreApi } from '@/workers/coreApi';

interface Question {
  readonly plan: Plan;
  readonly circuit: Circuit;
  readonly points: Sheet['checkpoints'];
  readonly meter: MeterFigures;
  readonly shows: Sheet['shows'];
}

const ask = (core: Remote<CoreApi>, question: Question | null): Promise<Standing | undefined> =>
  question
    ? core.asItStands(question.plan, question.circuit, question.points, question.meter, question.shows)
    : Promise.resolve(undefined);

interface Desk {
  /** The plan that was arranged by hand and kept, if there is one. */
  readonly kept: Plan | null;
  /** The plan that is only tried out. */
  readonly trial: Plan | undefined;
  onKeep(plan: Plan): void;
  onTry(plan: Plan | undefined): void;
}

/**
 * The board as it is worked on. An edit that still makes the wanted circuit is the lesson's plan at once; one that
 * does not is tried out, shows what would happen, and leaves the lesson as it was.
 */
export function useTrial(sheet: Sheet | undefined, meter: MeterFigures, desk: Desk) {
  const [inHand, setInHand] = useState<Plan | undefined>();
  const [refusal, setRefusal] = useState<Finding | undefined>();
  const own = useMemo(() => {
    if (!sheet) return undefined;
    // A plan arranged a moment ago stands before the sheet has been worked out with it.
    return desk.kept && makesWanted(desk.kept, sheet.circuit) ? desk.kept : sheet.plan;
  }, [sheet, desk.kept]);
  const plan = inHand ?? desk.trial ?? own;
  const isTrial = inHand !== undefined || desk.trial !== undefined;
  const asked = plan && sheet && plan !== sheet.plan;
  const question: Question | null = asked
    ? { plan, circuit: sheet.circuit, points: sheet.checkpoints, meter, shows: sheet.shows }
    : null;
  const { reply, waiting } = useAsked('quick', question, ask);
  const standing = asked
    ? waiting
      ? undefined
      : reply
    : sheet && { built: sheet.built, readings: sheet.readings };

  const put = (next: Plan) => {
    setInHand(undefined);
    if (sheet && makesWanted(next, sheet.circuit)) desk.onKeep(next);
    else desk.onTry(next);
  };
  /** Takes an edit; `held` while the part is still in the hand. */
  const edit = (moved: Outcome<Plan>, held = false) => {
    if (!moved.ok) return setRefusal(moved.findings[0]);
    setRefusal(undefined);
    if (held) setInHand(moved.value);
    else put(moved.value);
  };
  const drop = () => {
    if (inHand) put(inHand);
  };
  const putBack = () => {
    setInHand(undefined);
    setRefusal(undefined);
    desk.onTry(undefined);
  };
  return { plan, standing, isTrial, refusal, edit, drop, putBack };
}

export type Trial = ReturnType<typeof useTrial>;

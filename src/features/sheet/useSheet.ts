'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Finding, Outcome, Sheet, SheetRequest } from '@/core';
import { coreWorker } from '@/workers/client';
import { LatestOnly } from '@/workers/latestOnly';

export interface SheetState {
  /** The newest sheet that works; it stays while the wishes cannot be met. */
  readonly sheet: Sheet | undefined;
  /** Why the wishes as they stand have no sheet; empty when they have. */
  readonly refusals: readonly Finding[];
  readonly failure?: string;
  /** Its bands are of few draws: the careful ones are on their way. */
  readonly rough: boolean;
  /** The sheet is of the wishes before: those that stand are being worked out. */
  readonly overtaken: boolean;
}

type Answered = Omit<SheetState, 'overtaken'> & {
  /** The wishes that it answers, as JSON; empty before the first answer. */
  readonly of: string;
};

/** How a sheet is asked for; of one that takes long to draw, an outline is sent first. */
interface Question {
  readonly request: SheetRequest;
  readonly outlined: boolean;
}

/** A sheet that took longer than this to draw is outlined first when it is asked for again. */
const LONG_MS = 250;
const REST_AFTER_MS = 500;

/**
 * Keeps a sheet solved while its wishes change: an outline first of what takes long, then a few thousand draws while
 * typing and more at rest, all in workers.
 *
 * @param first the careful sheet of the wishes as the page came with them, where it was at hand
 */
export function useSheet(
  first: Outcome<Sheet> | undefined,
  request: SheetRequest,
  restDraws: number,
): SheetState {
  const key = useMemo(() => JSON.stringify(request), [request]);
  const [state, setState] = useState<Answered>(() =>
    first ? stateOf(first, undefined, false, key) : { sheet: undefined, refusals: [], rough: true, of: '' },
  );
  /** What has been asked last; what the page came with needs no asking. */
  const asked = useRef(first ? request : undefined);
  const newest = useRef(first?.ok ? first.value : undefined);
  /** How long the last quick answer took; the first one is taken to take long. */
  const took = useRef(Infinity);
  const solvers = useRef<{
    readonly quick: LatestOnly<Question, Outcome<Sheet>>;
    readonly careful: LatestOnly<SheetRequest, Outcome<Sheet>>;
  }>(undefined);

  useEffect(() => {
    const withEarlier = (q: SheetRequest): SheetRequest => ({ ...q, earlier: earlierOf(newest.current) });
    const take = (rough: boolean) => (outcome: Outcome<Sheet>) => {
      if (outcome.ok) newest.current = outcome.value;
      // Of the solvers only the newest question is answered.
      const of = JSON.stringify(asked.current);
      setState((before) => stateOf(outcome, before.sheet, rough, of));
    };
    const fail = (error: unknown) =>
      setState((before) => ({ ...before, failure: `The sums stopped: ${String(error)}. Reload the page.` }));
    const quickly = async ({ request: wanted, outlined }: Question) => {
      const core = coreWorker('quick');
      if (outlined) {
        const outline = await core.sheet({ ...withEarlier(wanted), outline: true });
        const isNewest = JSON.stringify(asked.current) === JSON.stringify(wanted);
        // What refuses the whole says so itself.
        if (outline.ok && isNewest) take(true)(outline);
      }
      const began = performance.now();
      const whole = await core.sheet(withEarlier(wanted));
      took.current = performance.now() - began;
      return whole;
    };
    solvers.current = {
      quick: new LatestOnly(quickly, take(true), fail),
      careful: new LatestOnly((q) => coreWorker('careful').sheet(withEarlier(q)), take(false), fail),
    };
  }, []);

  useEffect(() => {
    const now = JSON.parse(key) as SheetRequest;
    if (JSON.stringify(asked.current) === key) return;
    asked.current = now;
    solvers.current?.careful.cancel();
    solvers.current?.quick.ask({ request: now, outlined: took.current > LONG_MS });
    const timer = setTimeout(() => {
      const careful = { ...now, draws: { ...now.draws, samples: restDraws, ends: 'both' as const } };
      solvers.current?.careful.ask(careful);
    }, REST_AFTER_MS);
    return () => clearTimeout(timer);
  }, [key, restDraws]);

  const { of, ...answer } = state;
  return { ...answer, overtaken: of !== key && answer.sheet !== undefined && answer.failure === undefined };
}

function stateOf(outcome: Outcome<Sheet>, before: Sheet | undefined, rough: boolean, of: string): Answered {
  return outcome.ok
    ? { sheet: outcome.value, refusals: [], rough, of }
    : { sheet: before, refusals: outcome.findings, rough, of };
}

/** The plan that laid itself out before; one arranged by hand is the lesson's own. */
function earlierOf(sheet: Sheet | undefined): SheetRequest['earlier'] {
  if (!sheet || sheet.method === 'kept') return undefined;
  const { plan, method, layoutKey } = sheet;
  return { plan, method, layoutKey };
}

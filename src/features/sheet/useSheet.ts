'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Finding, Outcome, Sheet, SheetRequest } from '@/core';
import { coreWorker, stopWorker } from '@/workers/client';
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

/** How far an answer goes: later ones of the same wishes take its place, and never the other way round. */
const DEPTHS = ['outline', 'rough', 'careful'] as const;
type Depth = (typeof DEPTHS)[number];

interface Answered {
  readonly sheet: Sheet | undefined;
  readonly refusals: readonly Finding[];
  readonly failure?: string;
  readonly depth: Depth;
  /** The wishes that it answers, as JSON; empty before the first answer. */
  readonly of: string;
}

/** A sheet that took longer than this to draw is outlined first when it is asked for again. */
const LONG_MS = 250;
const REST_AFTER_MS = 500;

/**
 * Keeps a sheet solved while its wishes change: an outline first of what takes long, then a few thousand draws while
 * typing and more at rest. Each depth has a worker of its own, so that an overtaken long one never keeps an outline waiting.
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
    first ? taken(NOTHING, first, 'careful', key) : NOTHING,
  );
  /** What has been asked last, as JSON; what the page came with needs no asking. */
  const asked = useRef(first ? key : '');
  const newest = useRef(first?.ok ? first.value : undefined);
  /** How long the last rough answer took; before any it is taken to take long: what is still in silence may not be at a tone. */
  const took = useRef(Infinity);
  const solvers = useRef<Readonly<Record<Depth, LatestOnly<SheetRequest, Outcome<Sheet>>>>>(undefined);

  useEffect(() => {
    const solver = (depth: Depth) =>
      new LatestOnly<SheetRequest, Outcome<Sheet>>(
        async (wanted) => {
          const began = performance.now();
          const outcome = await coreWorker(WORKERS[depth]).sheet({
            ...wanted,
            earlier: earlierOf(newest.current),
          });
          if (depth === 'rough') took.current = performance.now() - began;
          return outcome;
        },
        (outcome) => {
          // Of the solvers only the newest question is answered.
          const of = asked.current;
          if (outcome.ok) newest.current = outcome.value;
          setState((before) => taken(before, outcome, depth, of));
          if (depth === 'outline') solvers.current?.rough.ask(JSON.parse(of) as SheetRequest);
        },
        (error) =>
          setState((before) => ({
            ...before,
            failure: `The sums stopped: ${String(error)}. Reload the page.`,
          })),
      );
    solvers.current = { outline: solver('outline'), rough: solver('rough'), careful: solver('careful') };
  }, []);

  // A worker that was never asked takes several times as long: one question that nobody waits for comes before the first.
  useEffect(() => {
    if (asked.current !== '')
      void coreWorker(WORKERS.outline)
        .sheet({
          ...(JSON.parse(asked.current) as SheetRequest),
          outline: true,
          earlier: earlierOf(newest.current),
        })
        .catch(() => undefined);
  }, []);

  useEffect(() => {
    if (asked.current === key) return;
    asked.current = key;
    const now = JSON.parse(key) as SheetRequest;
    const { outline, rough, careful } = solvers.current!;
    outline.cancel();
    careful.cancel();
    if (took.current > LONG_MS) {
      // What takes long waits for its outline, and what was overtaken is stopped: side by side they would take as long again.
      if (rough.abandon()) stopWorker(WORKERS.rough);
      if (careful.abandon()) stopWorker(WORKERS.careful);
      outline.ask({ ...now, outline: true });
    } else rough.ask(now);
    const timer = setTimeout(
      () => careful.ask({ ...now, draws: { ...now.draws, samples: restDraws, ends: 'both' } }),
      REST_AFTER_MS,
    );
    return () => clearTimeout(timer);
  }, [key, restDraws]);

  const { of, depth, ...answer } = state;
  const overtaken = of !== key && answer.sheet !== undefined && answer.failure === undefined;
  return { ...answer, rough: depth !== 'careful', overtaken };
}

const NOTHING: Answered = { sheet: undefined, refusals: [], depth: 'outline', of: '' };

/** The workers behind the depths. */
const WORKERS = { outline: 'quick', rough: 'rough', careful: 'careful' } as const;

/** What stands after an answer: an earlier one of the same wishes that went further stays. */
function taken(before: Answered, outcome: Outcome<Sheet>, depth: Depth, of: string): Answered {
  if (before.of === of && DEPTHS.indexOf(before.depth) > DEPTHS.indexOf(depth)) return before;
  return outcome.ok
    ? { sheet: outcome.value, refusals: [], depth, of }
    : { sheet: before.sheet, refusals: outcome.findings, depth, of };
}

/** The plan that laid itself out before; one arranged by hand is the lesson's own. */
function earlierOf(sheet: Sheet | undefined): SheetRequest['earlier'] {
  if (!sheet || sheet.method === 'kept') return undefined;
  const { plan, method, layoutKey } = sheet;
  return { plan, method, layoutKey };
}

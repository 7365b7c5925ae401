'use client';

import { useCallback, useState } from 'react';

interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
  /** What was changed last, and when: what follows at once in the same place belongs to it. */
  readonly thought?: { readonly at: number; readonly where: string };
}

interface How {
  /** When, in milliseconds. */
  readonly at?: number;
  /** A thought of its own, whatever was changed before. */
  readonly alone?: boolean;
}

const MOST = 100;

/** Changes of the same figures or words within this time are one thought: a word that is typed, not its letters. */
const ONE_THOUGHT_MS = 1500;

/** Where two states differ in plain figures and words, as paths; undefined where anything else differs. */
function changedAt(before: unknown, after: unknown, path = ''): readonly string[] | undefined {
  if (Object.is(before, after)) return [];
  if (isBranch(before) && isBranch(after)) {
    const keys = Object.keys(before);
    if (keys.length !== Object.keys(after).length || keys.some((key) => !(key in after))) return undefined;
    const own = keys.map((key) => changedAt(before[key], after[key], `${path}.${key}`));
    return own.every((one) => one !== undefined) ? own.flat() : undefined;
  }
  const plain = [before, after].every((one) => typeof one === 'string' || typeof one === 'number');
  return plain ? [path] : undefined;
}

function isBranch(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null;
}

/** What is worked on, with everything that was done to it: undo takes back the last thing, redo does it again. */
export function useHistory<T>(first: T) {
  const [{ past, now, future }, set] = useState<History<T>>({ past: [], now: first, future: [] });
  const put = useCallback((next: T, { at = Date.now(), alone = false }: How = {}) => {
    set((before) => {
      const where = alone ? '' : (changedAt(before.now, next)?.join(' ') ?? '');
      const { thought } = before;
      const goesOn = where !== '' && where === thought?.where && at - thought.at < ONE_THOUGHT_MS;
      const past = goesOn ? before.past : [...before.past, before.now].slice(-MOST);
      return { past, now: next, future: [], thought: { at, where } };
    });
  }, []);
  const undo = useCallback(() => {
    set((before) => {
      const last = before.past[before.past.length - 1];
      if (last === undefined) return before;
      return { past: before.past.slice(0, -1), now: last, future: [before.now, ...before.future] };
    });
  }, []);
  const redo = useCallback(() => {
    set((before) => {
      const [next, ...rest] = before.future;
      if (next === undefined) return before;
      return { past: [...before.past, before.now], now: next, future: rest };
    });
  }, []);
  return { now, put, undo: past.length > 0 ? undo : undefined, redo: future.length > 0 ? redo : undefined };
}

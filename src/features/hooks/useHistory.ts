'use client';

import { useCallback, useState } from 'react';

interface History<T> {
  readonly past: readonly T[];
  readonly now: T;
  readonly future: readonly T[];
}

const MOST = 100;

/** What is worked on, with everything that was done to it: undo takes back the last thing, redo does it again. */
export function useHistory<T>(first: T) {
  const [{ past, now, future }, set] = useState<History<T>>({ past: [], now: first, future: [] });
  const put = useCallback((next: T) => {
    set((before) => ({ past: [...before.past, before.now].slice(-MOST), now: next, future: [] }));
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

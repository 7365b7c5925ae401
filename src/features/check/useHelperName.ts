'use client';

import { useCallback, useSyncExternalStore } from 'react';

const KEY = 'mivvet.helper';
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Who takes the readings on this machine; remembered in this browser. */
export function useHelperName(): [string, (name: string) => void] {
  const name = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(KEY) ?? '',
    () => '',
  );
  const put = useCallback((next: string) => {
    localStorage.setItem(KEY, next);
    for (const listener of listeners) listener();
  }, []);
  return [name, put];
}

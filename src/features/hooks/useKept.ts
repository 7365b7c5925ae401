'use client';

import { useCallback, useMemo, useSyncExternalStore } from 'react';
import { kept } from '@/ui/kept';

const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * A value that this browser keeps from visit to visit; every place on the page that shows it follows.
 *
 * @param key where it is kept
 * @param otherwise what it is where nothing is kept, and until the page is alive
 */
export function useKept<T>(key: string, otherwise: T): [T, (value: T) => void] {
  const text = useSyncExternalStore(
    subscribe,
    () => kept.text(key),
    () => undefined,
  );
  const value = useMemo(() => (text === undefined ? undefined : kept.read<T>(key)), [text, key]);
  const put = useCallback(
    (next: T) => {
      kept.write(key, next);
      for (const listener of listeners) listener();
    },
    [key],
  );
  return [value ?? otherwise, put];
}

'use client';

import { usePathname } from 'next/navigation';
import { useCallback, useMemo, useSyncExternalStore } from 'react';
import { typedStore } from './typedStore';

/**
 * What is typed in one place of a page, until it is entered or saved.
 *
 * @param name of the place, one of its own on its page
 * @param otherwise what stands there where nothing was typed, and until the page is alive
 * @returns the value, and a way to put another; undefined forgets it
 */
export function useTyped<T>(name: string, otherwise: T): [T, (value: T | undefined) => void] {
  // The address bar follows a link later than the page that it leads to: this is the page's own.
  const key = `${usePathname()} ${name}`;
  const text = useSyncExternalStore(
    typedStore.subscribe,
    () => typedStore.text(key),
    () => undefined,
  );
  const value = useMemo(() => (text === undefined ? undefined : (JSON.parse(text) as T)), [text]);
  const put = useCallback((next: T | undefined) => typedStore.write(key, next), [key]);
  return [value ?? otherwise, put];
}

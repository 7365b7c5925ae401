import { useSyncExternalStore } from 'react';

const PHONE = '(max-width: 40em)';

/** Whether the window is as narrow as a phone; a server and a test without a screen are not. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      const query = globalThis.matchMedia?.(PHONE);
      query?.addEventListener('change', changed);
      return () => query?.removeEventListener('change', changed);
    },
    () => globalThis.matchMedia?.(PHONE).matches ?? false,
    () => false,
  );
}

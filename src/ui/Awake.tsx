'use client';

import { useSyncExternalStore, type ReactNode } from 'react';

const never = () => () => undefined;

/**
 * The controls of a page answer once its program runs, and not before: what is typed or pressed while a slow machine
 * still fetches it would be shown and go nowhere.
 */
export function Awake({ children }: { children: ReactNode }) {
  const awake = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <fieldset className="awake" role="presentation" disabled={!awake}>
      {children}
    </fieldset>
  );
}

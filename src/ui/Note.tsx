import type { ReactNode } from 'react';

/** A sentence that matters: a caution, or the reason why something was refused. */
export function Note({
  kind = 'caution',
  live = false,
  children,
}: {
  kind?: 'caution' | 'refusal';
  live?: boolean;
  children: ReactNode;
}) {
  return (
    <div className={`note ${kind}`} role={live ? 'alert' : 'note'}>
      {children}
    </div>
  );
}

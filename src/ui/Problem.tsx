import type { ReactNode } from 'react';

/** Why something was not done, in a sentence that is read out at once; nothing where there is nothing to say. */
export function Problem({ children }: { readonly children: ReactNode }) {
  if (!children) return null;
  return (
    <div role="alert" className="problem">
      {children}
    </div>
  );
}

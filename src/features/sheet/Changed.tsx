'use client';

import { createContext, use, useState, type ReactNode } from 'react';

/** True from an edit until the eye leaves the input that made it. */
export const Marking = createContext(false);

/** A figure that is marked when it has changed under one's eyes, until one looks away. */
export function Changed({ children }: { children: string }): ReactNode {
  const marking = use(Marking);
  const [seen, setSeen] = useState(children);
  if (!marking && seen !== children) setSeen(children);
  const changed = marking && seen !== children;
  return <span className={changed ? 'changed' : undefined}>{children}</span>;
}

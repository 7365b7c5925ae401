import { useState } from 'react';
import type { Refused } from './bench';
import type { Keeping } from './keeping';

/** What was typed and not taken stays in its cell, with the reason, until it is corrected or left out. */
export function useRefused(): Pick<Keeping, 'refused' | 'refuse'> {
  const [refused, setRefused] = useState<Keeping['refused']>({});
  const refuse = (cell: string, problem: Refused | undefined) =>
    setRefused(({ [cell]: _gone, ...rest }) => (problem ? { ...rest, [cell]: problem } : rest));
  return { refused, refuse };
}

import { useEffect, useRef } from 'react';
import { useTyped } from '@/ui/useTyped';
import type { Refused } from './bench';
import type { Keeping } from './keeping';

/** What was typed and not taken stays in its cell, with the reason, until it is corrected or left out. */
export function useRefused(): Pick<Keeping, 'refused' | 'refuse'> {
  const [refused, setRefused] = useTyped<Keeping['refused']>('refused', NONE);
  const now = useRef(refused);
  useEffect(() => {
    now.current = refused;
  }, [refused]);
  const refuse = (cell: string, problem: Refused | undefined) => {
    const { [cell]: _gone, ...rest } = now.current;
    now.current = problem ? { ...rest, [cell]: problem } : rest;
    setRefused(now.current);
  };
  return { refused, refuse };
}

const NONE: Keeping['refused'] = {};

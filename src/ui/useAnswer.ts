'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Answer } from '@/server/failures';
import { useStands } from './useStands';
import { whenFree } from './whenFree';

/** Runs an action, keeps its sentence when it is refused, and brings the page up to date when it is not. */
export function useAnswer() {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const [pending, start] = useTransition();
  const stands = useStands();
  const run = <T>(action: () => Promise<Answer<T>>, then?: (value: T) => void) =>
    start(async () => {
      const answer = await whenFree(action, setProblem, stands);
      if (!answer.ok) return setProblem(answer.message);
      setProblem('');
      then?.(answer.value);
      router.refresh();
    });
  return { problem, pending, run };
}

'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { useStands } from './useStands';
import { whenFree } from './whenFree';
import type { Answer, Theirs } from '@/server/failures';

interface Saving<Value> {
  readonly problem: string;
  readonly pending: boolean;
  /** What was typed, and what somebody else saved in between; nothing where nobody did. */
  readonly overtaken: { readonly mine: Value; readonly theirs: Value } | undefined;
  save(value: Value): void;
  /** Saves what was typed over theirs. */
  keepMine(): void;
  /** Takes theirs into the form instead. */
  takeTheirs(): void;
  /** A sentence of the screen's own, or none. */
  say(problem: string): void;
}

interface Way<Value> {
  /** Version of what the form shows at first; a newer one that the page brings is not in the fields yet. */
  readonly version: number;
  send(version: number, value: Value): Promise<Answer<number, Value>>;
  onSaved?(value: Value): void;
  /** Puts what somebody else saved into the form. */
  onTheirs(value: Value): void;
}

/** Saves a form unless somebody else has in between: then both are at hand, and one of them is chosen. */
export function useSaving<Value>({ version, send, onSaved, onTheirs }: Way<Value>): Saving<Value> {
  const router = useRouter();
  const [known, setKnown] = useState(version);
  const [problem, setProblem] = useState('');
  const [clash, setClash] = useState<{ mine: Value; theirs: Theirs<Value> } | undefined>();
  const [pending, start] = useTransition();
  const stands = useStands();
  const put = (at: number, value: Value) =>
    start(async () => {
      const answer = await whenFree(() => send(at, value), setProblem, stands);
      if (answer.ok) {
        setKnown(answer.value);
        setProblem('');
        setClash(undefined);
        onSaved?.(value);
        router.refresh();
        return;
      }
      const { theirs } = answer;
      if (theirs && JSON.stringify(theirs.value) === JSON.stringify(value)) {
        // The same stands there: an earlier answer was lost on its way.
        setKnown(theirs.version);
        setProblem('');
        setClash(undefined);
        onSaved?.(value);
        router.refresh();
        return;
      }
      setProblem(answer.message);
      setClash(answer.theirs && { mine: value, theirs: answer.theirs });
    });
  return {
    problem,
    pending,
    overtaken: clash && { mine: clash.mine, theirs: clash.theirs.value },
    save: (value) => put(known, value),
    keepMine: () => clash && put(clash.theirs.version, clash.mine),
    takeTheirs: () => {
      if (!clash) return;
      setKnown(clash.theirs.version);
      onTheirs(clash.theirs.value);
      setClash(undefined);
      setProblem('');
      router.refresh();
    },
    say: setProblem,
  };
}

'use client';

import { useEffect, useRef, useState } from 'react';
import type { Answer } from '@/server/failures';
import type { JobState } from '@/server/work/jobs';
import { heard, SILENT } from '@/ui/heard';
import { stopWork } from './actions';

const LOOK_EVERY_MS = 300;
export interface RunningJob<T> {
  /** Share that is done while the work runs; undefined when none does. */
  readonly share: number | undefined;
  /** Asks for the work, looks in on it until it has ended, and tells what it came to. */
  run(begin: () => Promise<Answer<string>>, then: (answer: Answer<T>) => void): void;
  stop(): void;
}

/** Long work of the server that this screen has asked for, with how far it is and a way to stop it. */
export function useJob<T>(): RunningJob<T> {
  const [share, setShare] = useState<number | undefined>();
  const id = useRef('');
  const gone = useRef(false);
  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
    };
  }, []);
  const run = async (begin: () => Promise<Answer<string>>, then: (answer: Answer<T>) => void) => {
    setShare(0);
    const begun = await heard(begin());
    const answer = begun.ok ? await followed<T>((id.current = begun.value), setShare, gone) : begun;
    if (gone.current) return;
    setShare(undefined);
    if (answer) then(answer);
  };
  return {
    share,
    run: (begin, then) => void run(begin, then),
    stop: () => void stopWork(id.current).catch(() => undefined),
  };
}

/** Times in a row that the program may stay silent before the screen gives up on it. */
const SILENCES = 10;

async function followed<T>(
  id: string,
  tell: (share: number) => void,
  gone: { readonly current: boolean },
): Promise<Answer<T> | undefined> {
  for (let silent = 0; silent < SILENCES && !gone.current;) {
    const reply = await fetch(`/jobs/${id}`).catch(() => undefined);
    if (reply?.ok) {
      const state = (await reply.json()) as JobState;
      if (state.answer) return state.answer as Answer<T>;
      tell(state.share);
      silent = 0;
    } else if (reply?.status === 404) return SILENT;
    else silent++;
    await new Promise((next) => setTimeout(next, LOOK_EVERY_MS));
  }
  return gone.current ? undefined : SILENT;
}

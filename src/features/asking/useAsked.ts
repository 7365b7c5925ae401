'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Remote } from 'comlink';
import { coreWorker, onWorkerStopped, stopWorker, type WorkerName } from '@/workers/client';
import type { CoreApi } from '@/workers/coreApi';
import { LatestOnly } from '@/workers/latestOnly';
import { jsonOf } from './jsonOf';

export interface Asked<Reply, Question> {
  /** The newest reply; it stays while the next one is worked out. */
  readonly reply: Reply | undefined;
  /** What that reply answers: beside it, only this is to be shown. */
  readonly of: Question | undefined;
  readonly waiting: boolean;
  readonly stopped: boolean;
  readonly failure: string;
  /** Share that is done, where the worker tells it. */
  readonly share: number;
  /** Stops the work; the question is not answered until it changes. */
  stop(): void;
  /** Asks a stopped question once more. */
  again(): void;
}

/**
 * Keeps the reply to a question up to date, in a worker; overtaken replies are dropped.
 *
 * @param question asked anew whenever it changes as JSON
 * @param ask sends it to the worker; the same function at every render
 */
export function useAsked<Question, Reply>(
  name: WorkerName,
  question: Question,
  ask: (core: Remote<CoreApi>, question: Question, onProgress: (share: number) => void) => Promise<Reply>,
): Asked<Reply, Question> {
  const key = useMemo(() => jsonOf(question), [question]);
  const [state, setState] = useState<State<Reply, Question>>(NOTHING_YET);
  const [share, setShare] = useState(0);
  const [round, setRound] = useState(0);
  const asker = useRef<LatestOnly<Asking<Question>, Reply>>(undefined);
  const newest = useRef<Asking<Question>>({ key, question });
  useEffect(() => {
    newest.current = { key, question };
  });
  useEffect(() => {
    asker.current ??= new LatestOnly(
      (asked) => {
        setShare(0);
        return ask(coreWorker(name), asked.question, setShare);
      },
      (reply, asked) => setState({ reply, key: asked.key, of: asked.question, failure: '', stopped: '' }),
      (error) =>
        setState((before) => ({
          ...before,
          failure: `The work stopped: ${String(error)}. Reload the page.`,
        })),
    );
    // A task of its own: copying a large question to its worker, ten times over, would hold the page up.
    const turn = setTimeout(() => asker.current?.ask(newest.current));
    return () => clearTimeout(turn);
  }, [key, name, ask, round]);
  const isMine = useRef(false);
  const stop = () => {
    isMine.current = true;
    stopWorker(name);
    isMine.current = false;
    asker.current = undefined;
    setState((before) => ({ ...before, stopped: key }));
  };
  // Another question stopped the worker that this one waits for: it is asked of the next one.
  useEffect(
    () =>
      onWorkerStopped((stopped) => {
        if (stopped !== name || isMine.current) return;
        asker.current = undefined;
        setRound((before) => before + 1);
      }),
    [name],
  );
  const again = () => {
    setState((before) => ({ ...before, stopped: '' }));
    setRound((before) => before + 1);
  };
  const stopped = state.stopped === key;
  const waiting = state.key !== key && !stopped;
  return { reply: state.reply, of: state.of, waiting, stopped, failure: state.failure, share, stop, again };
}

/** A question, and what tells it from another. */
interface Asking<Question> {
  readonly key: string;
  readonly question: Question;
}

const NOTHING_YET = { reply: undefined, key: '', of: undefined, failure: '', stopped: '' };

interface State<Reply, Question> {
  readonly reply: Reply | undefined;
  readonly key: string;
  readonly of: Question | undefined;
  readonly failure: string;
  /** The question that was stopped. */
  readonly stopped: string;
}

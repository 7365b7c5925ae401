'use client';

import type { ReactNode } from 'react';
import type { Outcome } from '@/core';
import { screenSentence } from '@/messages/findings';
import { Note } from '@/ui/Note';
import { Stopped, Working } from '@/features/asking/Working';
import type { Asked } from '@/features/asking/useAsked';

interface Props<T> {
  /** The question as a sentence whose underlined words are its inputs. */
  readonly words: ReactNode;
  readonly problem: string;
  readonly asked: Pick<Asked<Outcome<T>, unknown>, 'reply' | 'waiting' | 'failure'>;
  /** The same where it may take a while: how far it is is shown, and it can be stopped. */
  readonly long?: Asked<Outcome<T>, unknown>;
  readonly children: (answer: T) => ReactNode;
}

/** One question with its answer, or the reason why there is none. */
export function Question<T>({ words, problem, asked, long, children }: Props<T>) {
  const { reply, waiting, failure } = asked;
  return (
    <div className="question-row" aria-busy={waiting}>
      <p className="mb-1">{words}</p>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
      {long && <Progress asked={long} />}
      {failure && <Note kind="refusal">{failure}</Note>}
      <div className={waiting ? 'answer stale' : 'answer'} aria-live="polite">
        {reply?.ok && children(reply.value)}
        {reply && !reply.ok && <p className="problem mb-0">{reply.findings.map(screenSentence).join(' ')}</p>}
        {!reply && waiting && <p className="soft mb-0">Working it out …</p>}
      </div>
    </div>
  );
}

/** How far the answer is, with a way to stop it and to begin again. */
function Progress({
  asked,
}: {
  asked: Pick<Asked<unknown, unknown>, 'waiting' | 'share' | 'stopped' | 'stop' | 'again'>;
}) {
  if (asked.stopped) return <Stopped onAgain={asked.again} />;
  if (!asked.waiting) return null;
  return <Working label="Answer that is worked out" share={asked.share} onStop={asked.stop} />;
}

/** Names as pairs for a choice. */
export function same(names: readonly string[]): [string, string][] {
  return names.map((name) => [name, name]);
}

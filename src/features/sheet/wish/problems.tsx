import { useState, type ReactNode } from 'react';
import { Note } from '@/ui/Note';

/** What is wrong with what stands typed in a sentence, by the name of the word. */
export interface Problems {
  /** A setter for the problem of one word; an empty text clears it. */
  of(name: string): (text: string) => void;
  readonly notes: ReactNode;
}

export function useProblems(): Problems {
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  return {
    of: (name) => (text) =>
      setProblems(({ [name]: _gone, ...rest }) => (text === '' ? rest : { ...rest, [name]: text })),
    notes: Object.entries(problems).map(([name, text]) => (
      <Note key={name} kind="refusal" live>
        {text} The sheet keeps the figures from before.
      </Note>
    )),
  };
}

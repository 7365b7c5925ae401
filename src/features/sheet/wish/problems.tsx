import { useState, type ReactNode } from 'react';
import type { Finding, Outcome } from '@/core';
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

/** Reads a whole number within limits; the refusal names the thing. */
export function countReader(place: string, field: string, low: number, high: number) {
  return (typed: string): Outcome<number> => {
    const count = Number(typed);
    if (typed.trim() !== '' && Number.isInteger(count) && count >= low && count <= high) {
      return { ok: true, value: count, findings: [] };
    }
    const problem = `must be a whole number from ${low} to ${high}, and “${typed}” is not`;
    const finding: Finding = { code: 'bad-field', severity: 'refusal', data: { place, field, problem } };
    return { ok: false, findings: [finding] };
  };
}

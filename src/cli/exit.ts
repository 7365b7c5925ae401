import type { Finding, Outcome } from '@/core';
import { sentences } from '@/messages/findings';

/** Ends the program: 2 for what was refused, 3 for a circuit without a solution that can be found. */
export class Exit extends Error {
  constructor(
    readonly code: 2 | 3,
    message: string,
  ) {
    super(message);
  }
}

const UNSOLVED: readonly Finding['code'][] = [
  'floating-nodes',
  'sources-at-odds',
  'did-not-settle',
  'oscillates',
];

/** The value of an outcome, or the end of the program with one line that says why there is none. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  const [first] = outcome.findings;
  const unsolved = first !== undefined && UNSOLVED.includes(first.code);
  throw new Exit(unsolved ? 3 : 2, sentences(outcome.findings).replace(/\n/gu, ' '));
}

export function print(answer: unknown): void {
  process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
}

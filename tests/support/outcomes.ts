import type { Outcome } from '@/core/findings/finding';

/** What was worked out; a refusal fails the test with its findings. */
export function answer<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.findings));
  return outcome.value;
}

/** The first finding of a refusal. */
export function refusal<T>(outcome: Outcome<T>) {
  return outcome.ok ? 'answered' : outcome.findings[0]!;
}

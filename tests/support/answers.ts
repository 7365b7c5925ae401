import type { Answer } from '@/server/failures';

/** What an action answered with; a refusal fails the test with its sentence. */
export function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
}

/** The sentence of a refusal. */
export function message(answer: Answer<unknown>): string {
  return answer.ok ? 'went through' : answer.message;
}

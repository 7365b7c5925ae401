import type { Answer } from '@/server/failures';
import { jobState } from '@/server/work/jobs';

/** What an action answered with; a refusal fails the test with its sentence. */
export function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
}

/** The sentence of a refusal. */
export function message(answer: Answer<unknown>): string {
  return answer.ok ? 'went through' : answer.message;
}

/** What long work came to that an action has begun; a refusal to begin it is its answer. */
export async function ended<T>(begun: Answer<string>): Promise<Answer<T>> {
  if (!begun.ok) return begun;
  for (;;) {
    const state = jobState(begun.value);
    if (!state) throw new Error('there is no such job');
    if (state.answer) return state.answer as Answer<T>;
    await new Promise((next) => setTimeout(next, 10));
  }
}

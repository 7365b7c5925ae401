import type { Answer } from '@/server/failures';

/** What is said where the program does not answer; what was typed stays where it is. */
export const SILENT = {
  ok: false,
  message: 'The program does not answer. Nothing was changed, and what you typed stays here; try again.',
  again: true,
} as const;

/** What an action answered, or that the program did not. */
export function heard<T, Kept>(answer: Promise<Answer<T, Kept>>): Promise<Answer<T, Kept>> {
  return answer.catch(() => SILENT);
}

import type { JudgedBench } from '@/core';
import { STATUS_WORDS } from '@/ui/StatusMark';

/** Right in all that was measured, with something left that is worth it. */
export function isSoFar(judged: JudgedBench | undefined): boolean {
  return judged?.state === 'right' && judged.next !== undefined;
}

export function stateWords(judged: JudgedBench | undefined): string {
  if (!judged || judged.state === 'none') return '–';
  return isSoFar(judged) ? 'right so far' : STATUS_WORDS[judged.state];
}

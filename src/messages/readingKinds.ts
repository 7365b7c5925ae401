import type { ReadingKind } from '@/core';

/** What a row of readings is, in words. */
export const KIND_WORDS: Readonly<Record<ReadingKind, string>> = {
  first: 'first reading',
  correction: 'correction',
  retest: 'retest',
  'taken-back': 'taken back',
};

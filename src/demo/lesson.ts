import { z } from 'zod';
import { DEFAULT_BUILD, lessonWords, type BoardChoice, type PatternChoice, type SupplyChoice } from '@/core';
import type { LessonContent } from '@/server/repositories/lessons';

export const on = (board: BoardChoice): NonNullable<PatternChoice['build']> => ({ ...DEFAULT_BUILD, board });
export const cells = (count: number): SupplyChoice => ({ kind: 'aa-alkaline', cells: count, age: 'fresh' });
/** A fresh nine-volt block. */
export const BLOCK: SupplyChoice = { kind: 'block-9v', cells: 1, age: 'fresh' };
export const USB: SupplyChoice = { kind: 'usb', cells: 1, age: 'nominal' };

type Words = Partial<Omit<LessonContent, 'title' | 'choice' | 'plan'>>;

/** A lesson with nothing said that is not said here. */
export function lesson(title: string, words: Words, choice: PatternChoice): LessonContent {
  return { ...z.object(lessonWords).parse({ title }), plan: null, ...words, choice };
}

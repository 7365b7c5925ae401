import { workOut, type SheetRequest } from '@/core';
import { sentences } from '@/messages/findings';
import { lessonLine } from '@/messages/lessonLine';
import { keeper } from './kept';
import type { Lesson, LessonContent } from './repositories/lessons';
import { houseStyle, meter } from './repositories/settings';
import { shelf, stockRows } from './repositories/stock';

/** Everything a sheet hangs on besides the lesson's own wishes; the screen keeps it while the wishes change. */
export type SheetSurroundings = Omit<SheetRequest, 'choice' | 'plan' | 'ageGroup' | 'extras'>;

/** Draws while somebody types, and at rest. */
export const DRAWS = { typing: 4000, rest: 20000 } as const;
/** A lesson draws with the same seed everywhere, so that two people see the same bands. */
const SEED = 1;
const DEFAULT_STUDENTS = 12;

export async function sheetSurroundings(students?: number): Promise<SheetSurroundings> {
  const [style, shelved, stock, ownMeter] = await Promise.all([houseStyle(), shelf(), stockRows(), meter()]);
  return {
    style: style.value,
    shelf: shelved,
    stock: stock.map(({ spec, have, packSize, packCents }) => ({ spec, have, packSize, packCents })),
    meter: ownMeter.value,
    students: students ?? DEFAULT_STUDENTS,
    draws: { samples: DRAWS.typing, seed: SEED, coverage: 0.95, ends: 'one' },
  };
}

export function requestFor(
  lesson: Pick<LessonContent, 'choice' | 'plan' | 'ageGroup' | 'extras'>,
  surroundings: SheetSurroundings,
): SheetRequest {
  const { choice, plan, ageGroup, extras } = lesson;
  return { ...surroundings, choice, ageGroup, extras, plan: plan ?? undefined };
}

/** What a lesson comes to, in one line; no draws are needed for that. */
export function lessonInShort(lesson: Lesson, surroundings: SheetSurroundings): string {
  const request = requestFor(lesson, surroundings);
  const { choice, style, shelf: shelved, stock } = request;
  return keptLine(JSON.stringify([choice, style, shelved, stock]), () => {
    const worked = workOut(request, true);
    return worked.ok ? lessonLine({ sums: worked.value.sums }) : sentences(worked.findings);
  });
}

/** A line stays what it is while the wish, the house style and the store do. */
const keptLine = keeper<string>();

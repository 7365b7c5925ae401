import type { JudgedPoint, MadeUp, SessionExpectation, Sheet, SheetRequest } from '@/core';
import { lessonOfSession } from '../benchContext';
import { sessionVersion } from '../repositories/sessions';
import { inThread } from '../work/pool';
import type { MadeUpBench } from '../work/tasks';

/** One bench of a session's made-up class. */
export interface BenchName extends MadeUp {
  readonly sessionId: number;
}

interface Measurable extends MadeUpBench {
  /** Where it may be measured, in the order of what is shown there. */
  readonly points: readonly JudgedPoint[];
}

const held = globalThis as {
  mivvetMadeUp?: Map<string, Promise<Measurable>> | undefined;
  mivvetMadeUpLessons?: Map<string, Promise<MadeUpLesson>> | undefined;
};
/** So many are remembered: they are the same whenever they are made up again. */
const MOST_BENCHES = 400;
const MOST_LESSONS = 8;

interface MadeUpLesson {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
  readonly expectation: SessionExpectation;
}

/** What a stand-in measures: a bench of this session's class, made up of the lesson's own circuit. */
export async function madeUpBench({ sessionId, ...who }: BenchName): Promise<Measurable> {
  const version = await sessionVersion(sessionId);
  const key = `${sessionId} ${version} ${who.seed} ${who.bench} ${who.mended}`;
  return remembered((held.mivvetMadeUp ??= new Map()), key, MOST_BENCHES, async () => {
    const { sheet, request, expectation } = await lessonOf(sessionId, version);
    const made = await inThread('madeUp', { sheet, request, expectation, who });
    return { ...made, points: expectation.dictionary.points };
  });
}

/** The lesson that a session's benches are made up of. */
export async function lessonBehind(sessionId: number): Promise<MadeUpLesson> {
  return lessonOf(sessionId, await sessionVersion(sessionId));
}

function lessonOf(sessionId: number, version: number): Promise<MadeUpLesson> {
  return remembered((held.mivvetMadeUpLessons ??= new Map()), `${sessionId} ${version}`, MOST_LESSONS, () =>
    lessonOfSession(sessionId),
  );
}

/** What was made before is not made again; what failed is. */
function remembered<K, T>(all: Map<K, Promise<T>>, key: K, most: number, make: () => Promise<T>): Promise<T> {
  const known = all.get(key);
  if (known) return known;
  const made = make();
  all.set(key, made);
  made.catch(() => all.delete(key));
  if (all.size > most) all.delete(all.keys().next().value!);
  return made;
}

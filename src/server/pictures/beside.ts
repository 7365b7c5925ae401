import { GLANCE, lampsIn, partsIn, type Sheet } from '@/core';
import { lookWith, type Marks } from '@/messages/seen';
import { Missing } from '../failures';
import { givenCard } from '../givenCard';
import { group } from '../repositories/groups';
import { photosOf, type Photo } from '../repositories/photos';
import { mendedIn } from '../repositories/foundFaults';
import { addReading, readings } from '../repositories/readings';
import { expectationAt, session } from '../repositories/sessions';
import { pictureRule } from '../repositories/settings';

/** A bench beside its plan. */
export interface Beside {
  readonly sessionId: number;
  readonly studentId: number;
  readonly title: string;
  readonly bench: number;
  readonly nickname: string;
  readonly sheet: Pick<Sheet, 'plan' | 'circuit' | 'sorts' | 'supply'> | undefined;
  readonly photos: readonly Photo[];
  readonly lamps: readonly string[];
  readonly parts: readonly string[];
  /** What was last seen of it. */
  readonly seen: string | undefined;
  readonly days: number;
}

/** @throws Missing where the session is gone, or the student is not of it */
export async function besideOf(sessionId: number, studentId: number): Promise<Beside> {
  const held = await session(sessionId);
  const [{ students }, sheet, photos, seen, rule] = await Promise.all([
    group(held.groupId),
    givenCard(sessionId),
    photosOf(sessionId, studentId),
    looksAt(sessionId, studentId),
    pictureRule(),
  ]);
  const student = students.find(({ id }) => id === studentId);
  if (!student) throw new Missing('This bench is not in this session.');
  const { expectation, lessonTitle } = held;
  return {
    sessionId,
    studentId,
    title: lessonTitle,
    bench: student.bench,
    nickname: student.nickname,
    sheet: sheet && { plan: sheet.plan, circuit: sheet.circuit, sorts: sheet.sorts, supply: sheet.supply },
    photos,
    lamps: lampsIn(expectation),
    parts: partsIn(expectation),
    seen: seen.last,
    days: rule.value.days,
  };
}

/** Whether a bench was looked at at all, and what was seen last of it as it is now: before it was mended it was another build. */
async function looksAt(
  sessionId: number,
  studentId: number,
): Promise<{ readonly any: boolean; readonly last: string | undefined }> {
  const [all, mended] = await Promise.all([readings([sessionId]), mendedIn(sessionId)]);
  const looks = all.filter((r) => r.studentId === studentId && r.point === GLANCE);
  const last = looks[looks.length - 1];
  return {
    any: last !== undefined,
    last: last && last.id > (mended.get(studentId) ?? 0) ? last.typed : undefined,
  };
}

export interface SaidOfParts {
  readonly sessionId: number;
  readonly studentId: number;
  readonly marks: Marks;
  readonly takenBy: string;
  readonly takenAt: string;
  readonly entryKey: string;
}

/** Keeps what was said of a bench's parts beside what was last said of its lamps, by whomever. */
export async function keepMarksOf({ marks, ...said }: SaidOfParts): Promise<string> {
  const [expectation, { any, last }] = await Promise.all([
    expectationAt(said.sessionId, said.studentId),
    looksAt(said.sessionId, said.studentId),
  ]);
  const typed = lookWith(last, marks, lampsIn(expectation), partsIn(expectation)) ?? 'ok';
  const kept = await addReading({
    ...said,
    point: GLANCE,
    kind: last !== undefined ? 'correction' : any ? 'retest' : 'first',
    value: typed === 'ok' ? 0 : typed.split(',').length,
    step: 0,
    typed,
    meter: expectation.meter.name,
  });
  return kept.typed;
}

import { judgeBench, type JudgedBench, type Noted } from '@/core';
import { group, type Student } from './repositories/groups';
import { currentReadings, readings, type Reading } from './repositories/readings';
import { session, type Session } from './repositories/sessions';

/** The point under which a student's own guess is kept; it is shown, never judged. */
export const PREDICTED = 'predicted';

export interface CheckBook {
  readonly session: Session;
  readonly students: readonly Student[];
  readonly readings: readonly Reading[];
}

/** A session with who is in it and what was read: those who left are shown only where they have readings. */
export async function checkBook(id: number): Promise<CheckBook> {
  const held = await session(id);
  const [ofGroup, taken] = await Promise.all([group(held.groupId), readings([id])]);
  const read = new Set(taken.map((r) => r.studentId));
  const students = ofGroup.students
    .filter((s) => s.archivedAt === null || read.has(s.id))
    .sort((a, b) => a.bench - b.bench);
  return { session: held, students, readings: taken };
}

/** What counts now at the checkpoints of one student. */
export function notedOf(studentId: number, all: readonly Reading[]): Noted[] {
  const own = all.filter((r) => r.studentId === studentId && r.point !== PREDICTED);
  return [...currentReadings(own).values()].map(({ point, value, step }) => ({ point, value, step }));
}

export function judgeStudent(held: Session, studentId: number, all: readonly Reading[]): JudgedBench {
  return judgeBench(held.expectation, notedOf(studentId, all));
}

import type { JudgedBench, SessionExpectation } from '@/core';
import { judgeSession } from './judging';
import { contextsOf, expectationsOf, type HeldContext } from './repositories/benchContexts';
import { group, type Student } from './repositories/groups';
import { judgementsOf } from './repositories/judgements';
import { readings, type Reading } from './repositories/readings';
import { session, type Session } from './repositories/sessions';

export interface CheckBook {
  readonly session: Session;
  readonly students: readonly Student[];
  readonly readings: readonly Reading[];
  /** How each student's bench stands, in their order. */
  readonly judged: readonly JudgedBench[];
  /** Students at whose benches something changed since they were judged. */
  readonly waiting: readonly number[];
  /** What is different on some benches. */
  readonly contexts: readonly HeldContext[];
  /** What those are judged by, by student. */
  readonly asFound: ReadonlyMap<number, SessionExpectation>;
}

const NOT_YET: JudgedBench = { verdicts: {}, state: 'none' };

/** A session with who is in it, what was read and how it stands: those who left are shown only where they have readings. */
export async function checkBook(id: number): Promise<CheckBook> {
  const held = await session(id);
  // First of all: every reading that is shown was judged, or its bench is among those that wait.
  const taken = await readings([id]);
  const [ofGroup, judgements, contexts, asFound] = await Promise.all([
    group(held.groupId),
    judgementsOf(id),
    contextsOf(id),
    expectationsOf(id),
  ]);
  const read = new Set(taken.map((r) => r.studentId));
  const students = ofGroup.students
    .filter((s) => s.archivedAt === null || read.has(s.id))
    .sort((a, b) => a.bench - b.bench);
  const stands = new Map(judgements.map((one) => [one.studentId, one]));
  const waiting = judgements.filter(({ waits }) => waits).map(({ studentId }) => studentId);
  // Nobody waits for it: who only looks is shown how benches stood, and which of them are being judged.
  if (waiting.length > 0) void judgeSession(id).catch(() => undefined);
  return {
    session: held,
    students,
    readings: taken,
    judged: students.map((s) => stands.get(s.id)?.judged ?? NOT_YET),
    waiting,
    contexts,
    asFound,
  };
}

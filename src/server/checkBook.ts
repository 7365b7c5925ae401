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
  /** What is different on some benches. */
  readonly contexts: readonly HeldContext[];
  /** What those are judged by, by student. */
  readonly asFound: ReadonlyMap<number, SessionExpectation>;
}

const NOT_YET: JudgedBench = { verdicts: {}, state: 'none' };

/** A session with who is in it, what was read and how it stands: those who left are shown only where they have readings. */
export async function checkBook(id: number): Promise<CheckBook> {
  const held = await session(id);
  // Read before they are judged: what comes in between is judged already, and heard of by who follows the session. The
  // other way round it would be shown and never judged.
  const taken = await readings([id]);
  const fresh = await judgeSession(id);
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
  const stands = new Map(
    [...judgements, ...fresh.judgements].map(({ studentId, judged }) => [studentId, judged]),
  );
  return {
    session: held,
    students,
    readings: taken,
    judged: students.map((s) => stands.get(s.id) ?? NOT_YET),
    contexts,
    asFound,
  };
}

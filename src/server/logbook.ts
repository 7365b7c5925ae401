import { judgeReading, type Band, type Verdict, type VerdictName } from '@/core';
import { likeliestWords } from '@/messages/causes';
import { pointName } from '@/messages/points';
import { judgeStudent } from './checkBook';
import { groups, type Student } from './repositories/groups';
import { currentReadings, readings, type Reading, type ReadingKind } from './repositories/readings';
import { wholeSessions, type Session } from './repositories/sessions';

/** One reading as the logbook shows it. */
export interface LogRow {
  readonly id: number;
  readonly sessionId: number;
  readonly onDate: string;
  readonly group: string;
  readonly lesson: string;
  readonly bench: number;
  readonly nickname: string;
  readonly point: string;
  /** The checkpoint in words. */
  readonly where: string;
  readonly typed: string;
  readonly value: number;
  readonly unit: Band['unit'];
  readonly low: number | null;
  readonly high: number | null;
  readonly verdict: VerdictName | 'none';
  readonly kind: ReadingKind;
  /** Whether a later reading stands over it. */
  readonly superseded: boolean;
  readonly meter: string;
  readonly takenBy: string;
  /** Expanded uncertainty of the reading, and the meter's range it was read on; null for a prediction. */
  readonly uncertainty: number | null;
  readonly range: number | null;
  readonly takenAt: string;
  /** The likeliest cause of the bench as it stands now, when it is off. */
  readonly cause: string;
}

/**
 * Readings with their verdicts by each session's own expectation, by day and in the order in which they were taken.
 *
 * @param most stops at the session that brings the count to this many, looking from the newest back
 */
export async function logbook(most = Infinity): Promise<LogRow[]> {
  const [sessions, everyGroup] = await Promise.all([wholeSessions(), groups()]);
  const students = new Map(everyGroup.flatMap((g) => g.students.map((s) => [s.id, s] as const)));
  let rows: LogRow[] = [];
  for (const held of sessions.reverse()) {
    if (rows.length >= most) break;
    const own = await readings([held.id]);
    const current = new Set([...currentReadings(own).values()].map((r) => r.id));
    const causes = causesIn(held, own);
    const inSession = own.map((reading) => ({
      ...rowOf(held, reading, students.get(reading.studentId)),
      superseded: !current.has(reading.id),
      cause: current.has(reading.id) ? (causes.get(reading.studentId) ?? '') : '',
    }));
    rows = [...inSession, ...rows];
  }
  return rows;
}

/** The likeliest cause of each bench that stands off. */
function causesIn(held: Session, own: readonly Reading[]): Map<number, string> {
  const causes = new Map<number, string>();
  for (const studentId of new Set(own.map((r) => r.studentId))) {
    const { state, diagnosis } = judgeStudent(held, studentId, own);
    if (state === 'off' && diagnosis)
      causes.set(studentId, likeliestWords(diagnosis, held.expectation.dictionary.points));
  }
  return causes;
}

function rowOf(
  held: Session,
  reading: Reading,
  student: Student | undefined,
): Omit<LogRow, 'superseded' | 'cause'> {
  const { id, point, kind, value, step, typed, meter, takenBy, takenAt } = reading;
  const band = held.expectation.expected.points.find((p) => p.id === point);
  const verdict = judgeReading(held.expectation, { point, value, step })?.verdict;
  return {
    ...{ id, point, kind, value, typed, meter, takenBy, takenAt },
    where: band ? pointName(band.point) : point,
    sessionId: held.id,
    onDate: held.onDate,
    group: held.groupName,
    lesson: held.lessonTitle,
    bench: student?.bench ?? 0,
    nickname: student?.nickname ?? '',
    ...(band ? { unit: band.unit, low: band.low, high: band.high } : NO_BAND),
    ...(verdict ? judgedFields(verdict) : NOT_JUDGED),
  };
}

/** A prediction has no band, and is not judged. */
const NO_BAND = { unit: 'A', low: null, high: null } as const;
const NOT_JUDGED = { verdict: 'none', uncertainty: null, range: null } as const;

function judgedFields({ verdict, uncertainty, range }: Verdict) {
  return { verdict, uncertainty, range };
}

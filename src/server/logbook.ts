import { judgeReading, type VerdictName } from '@/core';
import { likeliestWords } from '@/messages/causes';
import { judgeStudent, PREDICTED } from './checkBook';
import { groups } from './repositories/groups';
import { currentReadings, readings, type ReadingKind } from './repositories/readings';
import { wholeSessions } from './repositories/sessions';

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
  readonly typed: string;
  readonly value: number;
  readonly unit: 'V' | 'A';
  readonly low: number | null;
  readonly high: number | null;
  readonly verdict: VerdictName | 'none';
  readonly kind: ReadingKind;
  /** Whether a later reading stands over it. */
  readonly superseded: boolean;
  readonly meter: string;
  readonly takenAt: string;
  /** The likeliest cause of the bench as it stands now, when it is off. */
  readonly cause: string;
}

/** Every reading ever taken, with its verdict by the session's own expectation. */
export async function logbook(): Promise<LogRow[]> {
  const [all, sessions, everyGroup] = await Promise.all([readings(), wholeSessions(), groups()]);
  const students = new Map(everyGroup.flatMap((g) => g.students.map((s) => [s.id, s] as const)));
  return sessions.flatMap((held) => {
    const own = all.filter((r) => r.sessionId === held.id);
    const current = new Set([...currentReadings(own).values()].map((r) => r.id));
    const causes = new Map<number, string>();
    for (const studentId of new Set(own.map((r) => r.studentId))) {
      const { state, diagnosis } = judgeStudent(held, studentId, own);
      causes.set(studentId, state === 'off' && diagnosis ? likeliestWords(diagnosis) : '');
    }
    return own.map((reading): LogRow => {
      const student = students.get(reading.studentId);
      const band = held.expectation.expected.points.find((p) => p.id === reading.point);
      const { point, value, step } = reading;
      const judged = judgeReading(held.expectation, { point, value, step });
      return {
        id: reading.id,
        sessionId: held.id,
        onDate: held.onDate,
        group: held.groupName,
        lesson: held.lessonTitle,
        bench: student?.bench ?? 0,
        nickname: student?.nickname ?? '',
        point,
        typed: reading.typed,
        value,
        unit: point === PREDICTED ? 'A' : (band?.unit ?? 'V'),
        low: band?.low ?? null,
        high: band?.high ?? null,
        verdict: judged?.verdict.verdict ?? 'none',
        kind: reading.kind,
        superseded: !current.has(reading.id),
        meter: reading.meter,
        takenAt: reading.takenAt,
        cause: current.has(reading.id) ? (causes.get(reading.studentId) ?? '') : '',
      };
    });
  });
}

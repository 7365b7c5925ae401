import {
  GLANCE,
  lampsIn,
  countingReadings,
  PREDICTED,
  standingReadings,
  type Diagnosis,
  type Expected,
  type JudgedPoint,
  type VerdictName,
} from '@/core';
import { likeliestWords } from '@/messages/causes';
import { checkBook } from './checkBook';
import { database } from './db/connection';
import { judgeSession } from './judging';
import { attendanceOf, type Attendance } from './repositories/attendance';
import { foundIn } from './repositories/foundFaults';
import type { Reading } from './repositories/readings';
import type { Student } from './repositories/groups';
import type { Session } from './repositories/sessions';

/** One figure of a report: what counts in the end, and how often it was read. */
export interface ReportedFigure {
  readonly typed: string;
  /** In SI; of a look at the lamps, how many are not as planned. */
  readonly value: number;
  readonly verdict: VerdictName | undefined;
  readonly times: number;
  /** It was read before the bench was mended, and counts no more. */
  readonly isPast: boolean;
}

export interface ReportRow {
  readonly studentId: number;
  readonly bench: number;
  readonly nickname: string;
  /** How it stands in the end; right only so far where something is left to measure. */
  readonly state: VerdictName | 'none';
  readonly soFar: boolean;
  /** Where the student was, if not at their own bench. */
  readonly away: string;
  readonly late: boolean;
  readonly predicted: string;
  /** The same in amperes. */
  readonly predictedAmps: number | undefined;
  /** By id of the checkpoint, and `seen` for the lamps. */
  readonly figures: Readonly<Record<string, ReportedFigure>>;
  readonly cause: string;
  readonly found: string;
  /** Minutes from the first reading to the last. */
  readonly minutes: number | undefined;
}

export interface Report {
  readonly session: Session;
  readonly points: readonly Expected[];
  readonly hasLamps: boolean;
  readonly rows: readonly ReportRow[];
  /** The lesson over all its sessions: how often each fault was found, the commonest first. */
  readonly faults: readonly { readonly words: string; readonly times: number }[];
  /** Benches of all sessions of this lesson that were measured, and how many of them stand right. */
  readonly benches: { readonly measured: number; readonly right: number };
}

/** What came of a session: what was measured, how it was judged, what was found, and how long it took. */
export async function sessionReport(id: number): Promise<Report> {
  // A report says how benches stand, and not how they stood: it waits for those that are being judged.
  await judgeSession(id);
  const [{ session, students, readings, judged }, found, attendance] = await Promise.all([
    checkBook(id),
    foundIn(id),
    attendanceOf(id),
  ]);
  const [faults, benches] = await Promise.all([
    faultsOfLesson(session.lessonId),
    benchesOf(session.lessonId),
  ]);
  const { dictionary, expected } = session.expectation;
  const rows = students.map((student, i): ReportRow => {
    const own = readings.filter((r) => r.studentId === student.id);
    const ownFound = found.filter((one) => one.studentId === student.id);
    const mended = Math.max(0, ...ownFound.map(({ after }) => after));
    const { state, next, diagnosis, verdicts } = judged[i]!;
    const noted = attendance.find((one) => one.studentId === student.id);
    const guess = lastAt(standingReadings(own), PREDICTED);
    return {
      studentId: student.id,
      bench: student.bench,
      nickname: student.nickname,
      state,
      soFar: state === 'right' && next !== undefined,
      away: awayWords(noted, students),
      late: noted?.state === 'late',
      predicted: guess?.typed ?? '',
      predictedAmps: guess?.value,
      figures: figuresOf(standingReadings(own), mended, (point, value) =>
        point === GLANCE ? (value === 0 ? 'right' : 'off') : verdicts[point]?.verdict,
      ),
      cause: diagnosis && state !== 'right' ? perhaps(diagnosis, dictionary.points) : '',
      found: ownFound.map(({ words }) => words).join('; '),
      minutes: minutesOf(own),
    };
  });
  return {
    session,
    points: expected.points,
    hasLamps: lampsIn(session.expectation).length > 0,
    rows,
    faults,
    benches,
  };
}

/** `absent`, or whose bench it was; empty where a student was at their own. */
function awayWords(noted: Attendance | undefined, students: readonly Student[]): string {
  if (noted?.state === 'absent') return 'absent';
  const at = noted?.state === 'with' && students.find(({ id }) => id === noted.withStudent);
  return at ? `with ${at.bench} ${at.nickname}` : '';
}

/** The likeliest cause in words; of a close call that is likeliest right there is none. */
function perhaps(diagnosis: Diagnosis, points: readonly JudgedPoint[]): string {
  return diagnosis.groups[0]?.causes[0]?.code === 'right' ? '' : likeliestWords(diagnosis, points);
}

function lastAt(own: readonly Reading[], point: string): Reading | undefined {
  return own.filter((reading) => reading.point === point).at(-1);
}

function figuresOf(
  own: readonly Reading[],
  mended: number,
  verdictAt: (point: string, value: number) => VerdictName | undefined,
): ReportRow['figures'] {
  const measured = own.filter(({ point }) => point !== PREDICTED);
  const counting = countingReadings(measured, mended);
  const points = new Set(measured.map(({ point }) => point));
  return Object.fromEntries(
    [...points].map((point) => {
      const last = lastAt(own, point)!;
      const isPast = !counting.includes(last);
      const times = own.filter((reading) => reading.point === point).length;
      const verdict = isPast ? undefined : verdictAt(point, last.value);
      return [point, { typed: last.typed, value: last.value, verdict, times, isPast }];
    }),
  );
}

function minutesOf(own: readonly Reading[]): number | undefined {
  if (own.length < 2) return undefined;
  const times = own.map(({ arrivedAt }) => Date.parse(arrivedAt));
  return Math.round((Math.max(...times) - Math.min(...times)) / 60_000);
}

async function faultsOfLesson(lessonId: number): Promise<Report['faults']> {
  const rows = (await (
    await database()
  )('found_faults')
    .join('sessions', 'sessions.id', 'session_id')
    .where({ lesson_id: lessonId })
    .groupBy('words')
    .select('words')
    .count({ times: '*' })
    .orderBy([{ column: 'times', order: 'desc' }, 'words'])) as { words: string; times: number }[];
  return rows;
}

async function benchesOf(lessonId: number): Promise<Report['benches']> {
  const rows = (await (
    await database()
  )('judgements')
    .join('sessions', 'sessions.id', 'judgements.session_id')
    .leftJoin('attendance', (on) => {
      on.on('attendance.session_id', 'judgements.session_id').andOn(
        'attendance.student_id',
        'judgements.student_id',
      );
    })
    .where({ lesson_id: lessonId })
    .whereNot({ 'judgements.state': 'none' })
    .whereRaw("coalesce(attendance.state, 'here') not in ('absent', 'with')")
    .groupBy('judgements.state')
    .select('judgements.state')
    .count({ n: '*' })) as { state: VerdictName; n: number }[];
  return {
    measured: rows.reduce((sum, { n }) => sum + n, 0),
    right: rows.find(({ state }) => state === 'right')?.n ?? 0,
  };
}

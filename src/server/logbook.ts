import { GLANCE, type Band, type Checkpoint, type ReadingKind, type VerdictName } from '@/core';
import { setImmediate as breath } from 'node:timers/promises';
import { pointName } from '@/messages/points';
import { database } from './db/connection';
import { spanOfDay } from './zone';

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
  /** Null for what is said in words. */
  readonly unit: Band['unit'] | null;
  readonly low: number | null;
  readonly high: number | null;
  /** `waiting` until the bench has been judged, `none` for a prediction. */
  readonly verdict: VerdictName | 'none' | 'waiting';
  readonly kind: ReadingKind;
  /** Whether a later reading stands over it. */
  readonly superseded: boolean;
  readonly meter: string;
  readonly takenBy: string;
  /** Expanded uncertainty of the reading, and the meter's range it was read on; null for a prediction. */
  readonly uncertainty: number | null;
  readonly range: number | null;
  /** By the clock of whoever sent it, and by that of this machine. */
  readonly takenAt: string;
  readonly arrivedAt: string;
  /** The likeliest cause of the bench as it stands now, when it is off. */
  readonly cause: string;
}

/** A place in the logbook: rows older than this one follow. */
export interface LogPlace {
  readonly onDate: string;
  readonly sessionId: number;
  readonly id: number;
}

interface Stored {
  id: number;
  session_id: number;
  on_date: string;
  group_name: string;
  title: string;
  bench: number;
  nickname: string;
  point: string;
  typed: string;
  value: number;
  unit: Band['unit'] | null;
  low: number | null;
  high: number | null;
  checkpoint: string | null;
  verdict: VerdictName | 'none' | null;
  kind: ReadingKind;
  counts: number;
  meter: string;
  taken_by: string;
  uncertainty: number | null;
  meter_range: number | null;
  taken_at: string;
  arrived_at: string;
  state: string | null;
  cause: string | null;
}

/** Where each is found; the last word of an entry is its name. */
const COLUMNS: Readonly<Record<keyof Stored, string>> = {
  id: 'readings.id',
  session_id: 'readings.session_id',
  on_date: 'on_date',
  group_name: 'study_groups.name',
  title: 'title',
  bench: 'bench',
  nickname: 'nickname',
  point: 'readings.point',
  typed: 'typed',
  value: 'value',
  unit: 'unit',
  low: 'low',
  high: 'high',
  checkpoint: 'checkpoint',
  verdict: 'verdict',
  kind: 'kind',
  counts: 'counts',
  meter: 'meter',
  taken_by: 'taken_by',
  uncertainty: 'uncertainty',
  meter_range: 'meter_range',
  taken_at: 'taken_at',
  arrived_at: 'arrived_at',
  state: 'state',
  cause: 'cause',
};
const NAMES = Object.keys(COLUMNS) as (keyof Stored)[];
/** The driver takes long over each row, and SQLite none over writing them all as one text. */
const AS_ONE = `json_group_array(json_object(${NAMES.map((name) => `'${name}', ${name}`).join(', ')})) as rows`;

export interface LogAsked {
  /** Readings of lessons of this title only. */
  readonly lesson?: string | undefined;
  readonly group?: string | undefined;
  readonly day?: string | undefined;
  readonly session?: number | undefined;
  readonly student?: number | undefined;
  /** Only what is off or a close call. */
  readonly off?: boolean;
  /** Rows before this place. */
  readonly before?: LogPlace;
  readonly most: number;
}

/** Readings with their verdicts as they are kept, from the newest day and the newest reading back. */
export async function logbook(asked: LogAsked): Promise<LogRow[]> {
  const { lesson, group, day, session, student, off, before, most } = asked;
  const db = await database();
  const rows = db('sessions')
    // From the newest session back, whatever the planner thinks of it: the first rows are wanted soon, and in this order.
    .joinRaw('CROSS JOIN readings ON readings.session_id = sessions.id')
    .join('lessons', 'lessons.id', 'lesson_id')
    .join('study_groups', 'study_groups.id', 'sessions.group_id')
    .join('students', 'students.id', 'readings.student_id')
    .leftJoin('session_points', (on) => {
      on.on('session_points.session_id', 'sessions.id').andOn('session_points.point', 'readings.point');
    })
    .leftJoin('judgements', (on) => {
      on.on('judgements.session_id', 'sessions.id').andOn('judgements.student_id', 'students.id');
    })
    .select(NAMES.map((name) => `${COLUMNS[name]} as ${name}`))
    .orderBy([
      { column: 'on_date', order: 'desc' },
      { column: 'sessions.id', order: 'desc' },
      { column: 'readings.id', order: 'desc' },
    ])
    .limit(most);
  if (lesson) void rows.where('title', lesson);
  if (group) void rows.where('study_groups.name', group);
  // A retest of a week later is of its own day.
  if (day) {
    const { from, to } = spanOfDay(day);
    void rows.whereRaw('(on_date = ? OR arrived_at BETWEEN ? AND ?)', [day, from, to]);
  }
  if (session !== undefined) void rows.where('sessions.id', session);
  if (student !== undefined) void rows.where('readings.student_id', student);
  // As the index of what is off is made, so that it is used.
  if (off) void rows.whereRaw("verdict IN ('off', 'close')");
  if (before) {
    const { onDate, sessionId, id } = before;
    void rows
      .where('on_date', '<=', onDate)
      .whereRaw('(on_date, sessions.id, readings.id) < (?, ?, ?)', [onDate, sessionId, id]);
  }
  const names = new Map<string, string>();
  const [found] = (await db.select(db.raw(AS_ONE)).from(rows.as('log'))) as { rows: string }[];
  return (JSON.parse(found!.rows) as Stored[]).map((row) => fromRow(row, names));
}

/** @param names checkpoints in words, as they have been said before: a session says each many times */
function fromRow(row: Stored, names: Map<string, string>): LogRow {
  const counts = row.counts === 1;
  return {
    id: row.id,
    sessionId: row.session_id,
    onDate: row.on_date,
    group: row.group_name,
    lesson: row.title,
    bench: row.bench,
    nickname: row.nickname,
    point: row.point,
    where: row.checkpoint === null ? plainWhere(row.point) : nameOf(row.checkpoint, names),
    typed: row.typed,
    value: row.value,
    unit: row.point === GLANCE ? null : (row.unit ?? 'A'),
    low: row.low,
    high: row.high,
    verdict: row.verdict ?? 'waiting',
    kind: row.kind,
    superseded: !counts,
    meter: row.meter,
    takenBy: row.taken_by,
    uncertainty: row.uncertainty,
    range: row.meter_range,
    takenAt: row.taken_at,
    arrivedAt: row.arrived_at,
    cause: counts && row.state === 'off' ? (row.cause ?? '') : '',
  };
}

/** What is noted at no checkpoint: a glance at the lamps, a prediction. */
function plainWhere(point: string): string {
  return point === GLANCE ? 'lamps' : point;
}

function nameOf(checkpoint: string, names: Map<string, string>): string {
  const known = names.get(checkpoint);
  if (known !== undefined) return known;
  const name = pointName(JSON.parse(checkpoint) as Checkpoint);
  names.set(checkpoint, name);
  return name;
}

/** Rows read at a time: a hundredth of a second's work, between which everything else goes on. */
const AT_A_TIME = 400;

/** The whole logbook, some rows at a time, from the newest back. */
export async function* wholeLogbook(): AsyncGenerator<LogRow[]> {
  let before: LogPlace | undefined;
  for (;;) {
    const rows = await logbook({ most: AT_A_TIME, ...(before ? { before } : {}) });
    if (rows.length === 0) return;
    yield rows;
    before = rows[rows.length - 1]!;
    await breath();
  }
}

/** Names of groups that have sessions, for choosing among them. */
export async function loggedGroups(): Promise<string[]> {
  const rows = (await (
    await database()
  )('sessions')
    .join('study_groups', 'study_groups.id', 'group_id')
    .orderBy('name')
    .distinct('name')) as { name: string }[];
  return rows.map(({ name }) => name);
}

/** Titles of lessons that have readings, for choosing among them. */
export async function loggedLessons(): Promise<string[]> {
  const rows = (await (
    await database()
  )('lessons')
    .whereIn('id', (given) => {
      void given.from('judgements').join('sessions', 'sessions.id', 'session_id').select('lesson_id');
    })
    .orderBy('title')
    .distinct('title')) as { title: string }[];
  return rows.map(({ title }) => title);
}

export interface LoggedStudent {
  readonly id: number;
  readonly bench: number;
  readonly nickname: string;
  readonly group: string;
}

/** A choice of students is offered of so many at most. */
const STUDENTS_MOST = 300;

/** Students that have readings, of lessons of one title and a group or of all, by group and bench. */
export async function loggedStudents(lesson: string, groupName = ''): Promise<LoggedStudent[]> {
  const rows = (await database())('judgements')
    .join('sessions', 'sessions.id', 'session_id')
    .join('students', 'students.id', 'student_id')
    .join('study_groups', 'study_groups.id', 'students.group_id')
    .distinct('students.id', 'bench', 'nickname', 'study_groups.name as group')
    .orderBy(['group', 'bench'])
    .limit(STUDENTS_MOST);
  if (lesson) void rows.join('lessons', 'lessons.id', 'lesson_id').where('title', lesson);
  if (groupName) void rows.where('study_groups.name', groupName);
  return (await rows) as LoggedStudent[];
}

import type { Knex } from 'knex';
import type { KitLine, SessionExpectation, Sheet } from '@/core';
import { expectationsOf, keepExpectations } from './benchContexts';
import { allToBeJudged } from './judgements';
import { expectationFrom } from './keptExpectation';
import { database, write } from '../db/connection';
import { Missing, Refusal } from '../failures';
import { pointRows } from './points';
import { putAway, updateVersioned } from './versioned';

/** What a session shows of its lesson, kept as it was when the session was set up. */
export interface SessionSummary {
  readonly sentence: string;
  readonly kit: readonly Pick<KitLine, 'key' | 'spec' | 'each' | 'need' | 'have' | 'short'>[];
  /** Version of the lesson that the expectation was made from. */
  readonly lessonVersion: number;
}

/** How much students are told at their bench when something is off: nothing, a hint after a try, or all at once. */
export const HINTS = ['never', 'after-a-try', 'full'] as const;
export type Hints = (typeof HINTS)[number];

/** What a list shows of a session. */
export interface SessionLine {
  readonly id: number;
  readonly lessonId: number;
  readonly lessonTitle: string;
  readonly groupId: number;
  readonly groupName: string;
  /** Calendar day, `2026-12-01`. */
  readonly onDate: string;
  readonly archivedAt: string | null;
  readonly version: number;
}

export interface SessionHead extends SessionLine {
  readonly summary: SessionSummary;
  readonly packed: readonly string[];
}

export interface Session extends SessionHead {
  readonly expectation: SessionExpectation;
  /** It took its lesson's newest figures; those from before are kept. */
  readonly renewed: boolean;
  readonly hints: Hints;
}

interface Stored {
  before: string | null;
  id: number;
  lesson_id: number;
  group_id: number;
  title: string;
  name: string;
  on_date: string;
  expectation: string;
  summary: string;
  card: string | null;
  packed: string;
  archived_at: string | null;
  version: number;
  hints: Hints;
}

const LINE = [
  'sessions.id',
  'lesson_id',
  'group_id',
  'on_date',
  'sessions.archived_at',
  'sessions.version',
  'lessons.title',
  'study_groups.name',
];

const HEAD = ['summary', 'packed'];

async function query(extra: readonly string[] = []) {
  const db = await database();
  return {
    rows: db('sessions')
      .join('lessons', 'lessons.id', 'lesson_id')
      .join('study_groups', 'study_groups.id', 'group_id')
      .select([...LINE, ...extra]),
  };
}

function lineFrom(row: Stored): SessionLine {
  return {
    id: row.id,
    lessonId: row.lesson_id,
    lessonTitle: row.title,
    groupId: row.group_id,
    groupName: row.name,
    onDate: row.on_date,
    archivedAt: row.archived_at,
    version: row.version,
  };
}

function headFrom(row: Stored): SessionHead {
  return {
    ...lineFrom(row),
    summary: JSON.parse(row.summary) as SessionSummary,
    packed: JSON.parse(row.packed) as string[],
  };
}

function wholeFrom(row: Stored): Session {
  return {
    ...headFrom(row),
    expectation: expectationFrom(row.expectation),
    renewed: row.before !== null,
    hints: row.hints,
  };
}

/** Which sessions a list is of. */
export interface SessionsAsked {
  readonly ids?: readonly number[];
  readonly lessonId?: number;
  readonly groupId?: number;
  /** Days from and to, both included. With a first day, those of a lesson or group that was put away are left out. */
  readonly from?: string;
  readonly to?: string;
  /** So many at most: the first ones, or the last where `newest` is asked for. */
  readonly most?: number;
  readonly newest?: boolean;
  /** Those that are put away too. */
  readonly away?: boolean;
}

async function list(asked: SessionsAsked, extra: readonly string[]): Promise<Stored[]> {
  const { rows } = await query(extra);
  const { ids, lessonId, groupId, from, to, most, newest = false, away = false } = asked;
  if (ids) void rows.whereIn('sessions.id', [...ids]);
  if (lessonId !== undefined) void rows.where('lesson_id', lessonId);
  if (groupId !== undefined) void rows.where('group_id', groupId);
  if (from !== undefined) {
    void rows.where('on_date', '>=', from);
    void rows.whereNull('lessons.archived_at').whereNull('study_groups.archived_at');
  }
  if (to !== undefined) void rows.where('on_date', '<=', to);
  if (!away) void rows.whereNull('sessions.archived_at');
  if (most !== undefined) void rows.limit(most);
  const order = newest ? 'desc' : 'asc';
  return (await rows.orderBy([
    { column: 'on_date', order },
    { column: 'sessions.id', order },
  ])) as Stored[];
}

/** Sessions by day, without what is packed for them. */
export async function sessionLines(asked: SessionsAsked = {}): Promise<SessionLine[]> {
  return (await list(asked, [])).map(lineFrom);
}

/** Sessions by day. */
export async function sessions(asked: SessionsAsked = {}): Promise<SessionHead[]> {
  return (await list(asked, HEAD)).map(headFrom);
}

/** @throws Missing when there is no session of that number */
export async function session(id: number): Promise<Session> {
  const { rows } = await query([...HEAD, 'expectation', 'before', 'hints']);
  const row = (await rows.where('sessions.id', id).first()) as Stored | undefined;
  if (!row) throw new Missing('This session is not there any more.');
  return wholeFrom(row);
}

/** What one bench is judged by: what is different there counts. */
export async function expectationAt(sessionId: number, studentId: number): Promise<SessionExpectation> {
  return (await expectationsOf(sessionId)).get(studentId) ?? expectationOf(sessionId);
}

/** What a session is judged by, alone. */
export async function expectationOf(id: number): Promise<SessionExpectation> {
  return expectationFrom(await expectationText(id));
}

/** The same as it is kept. */
export async function expectationText(id: number): Promise<string> {
  const row = (await (await database())('sessions').where({ id }).first('expectation')) as Stored | undefined;
  if (!row) throw new Missing('This session is not there any more.');
  return row.expectation;
}

/** The sheet whose card the class was given; undefined where it was given before cards were kept. */
export async function cardOf(id: number): Promise<Sheet | undefined> {
  const row = (await (await database())('sessions').where({ id }).first('card')) as Stored | undefined;
  if (!row) throw new Missing('This session is not there any more.');
  return row.card === null ? undefined : (JSON.parse(row.card) as Sheet);
}

/** Version of a session: another one, and it may be judged by other figures. */
export async function sessionVersion(id: number): Promise<number> {
  const row = (await (await database())('sessions').where({ id }).first('version')) as Stored | undefined;
  if (!row) throw new Missing('This session is not there any more.');
  return row.version;
}

/** How much students of a session are told at their bench. */
export async function sessionHints(id: number): Promise<Hints> {
  const row = (await (await database())('sessions').where({ id }).first('hints')) as Stored | undefined;
  if (!row) throw new Missing('This session is not there any more.');
  return row.hints;
}

export interface NewSession {
  readonly lessonId: number;
  readonly groupId: number;
  readonly onDate: string;
  readonly expectation: SessionExpectation;
  readonly summary: SessionSummary;
  /** The sheet whose card the class builds by. */
  readonly sheet?: Sheet;
}

export async function addSession(made: NewSession): Promise<number> {
  return write((trx) => insertSession(trx, made));
}

/** The same, unless the group has this lesson on that day already. @returns undefined then */
export async function addSessionOnce(made: NewSession): Promise<number | undefined> {
  const { lessonId, groupId, onDate } = made;
  return write(async (trx) => {
    const same = trx('sessions').where({ lesson_id: lessonId, group_id: groupId, on_date: onDate });
    return (await same.whereNull('archived_at').first('id')) ? undefined : insertSession(trx, made);
  });
}

async function insertSession(trx: Knex.Transaction, made: NewSession): Promise<number> {
  const [id] = await trx('sessions').insert({
    lesson_id: made.lessonId,
    group_id: made.groupId,
    on_date: made.onDate,
    expectation: JSON.stringify(made.expectation),
    summary: JSON.stringify(made.summary),
    card: made.sheet ? JSON.stringify(made.sheet) : null,
  });
  await keepPoints(trx, id!, made.expectation);
  return id!;
}

/**
 * Takes newer figures in; those from before are kept beside.
 *
 * @param asFound what benches are judged by on which something is different
 */
export async function refreshSession(
  id: number,
  version: number,
  expectation: SessionExpectation,
  summary: SessionSummary,
  asFound: ReadonlyMap<number, SessionExpectation> = new Map(),
  sheet?: Sheet,
): Promise<number> {
  return write(async (trx) => {
    const kept = (await trx('sessions').where({ id }).first('expectation', 'summary', 'card')) as
      Kept | undefined;
    const values = {
      expectation: JSON.stringify(expectation),
      summary: JSON.stringify(summary),
      card: sheet ? JSON.stringify(sheet) : null,
      before: kept ? JSON.stringify(kept) : null,
    };
    const saved = await updateVersioned(trx, 'sessions', { id }, version, values, 'this session');
    await keepExpectations(trx, id, summary.lessonVersion, asFound);
    await judgedAnew(trx, id, expectation);
    return saved;
  });
}

type Kept = Pick<Stored, 'expectation' | 'summary'> & Partial<Pick<Stored, 'card'>>;

/** Judges by what was kept before the session was renewed, again. */
export async function unrefreshSession(id: number): Promise<void> {
  await write(async (trx) => {
    const row = (await trx('sessions').where({ id }).first('before', 'version')) as Stored | undefined;
    if (!row?.before) throw new Refusal('There is nothing from before to go back to.');
    const { expectation, summary, card = null } = JSON.parse(row.before) as Kept;
    const values = { expectation, summary, card, before: null };
    await updateVersioned(trx, 'sessions', { id }, row.version, values, 'this session');
    await judgedAnew(trx, id, expectationFrom(expectation));
  });
}

/** Other figures judge a session from now on: what was judged by the earlier ones is to be judged once more. */
async function judgedAnew(trx: Knex.Transaction, id: number, expectation: SessionExpectation): Promise<void> {
  await keepPoints(trx, id, expectation);
  await allToBeJudged(trx, id);
}

async function keepPoints(trx: Knex.Transaction, id: number, expectation: SessionExpectation): Promise<void> {
  await trx('session_points').where({ session_id: id }).delete();
  for (const row of pointRows(id, expectation)) await trx('session_points').insert(row);
}

export async function moveSession(id: number, version: number, onDate: string): Promise<number> {
  return write((trx) =>
    updateVersioned(trx, 'sessions', { id }, version, { on_date: onDate }, 'this session'),
  );
}

export async function setSessionHints(id: number, hints: Hints): Promise<void> {
  await write((trx) => trx('sessions').where({ id }).update({ hints }));
}

export async function archiveSession(id: number, at: string | null): Promise<void> {
  await putAway('sessions', id, at, 'this session');
}

/** Ticks or unticks one line of the packing list; ticks of others are left as they are. */
export async function tickPacked(id: number, key: string, packed: boolean): Promise<string[]> {
  return write(async (trx) => {
    const row = (await trx('sessions').where({ id }).first('packed')) as { packed: string } | undefined;
    if (!row) throw new Missing('This session is not there any more.');
    const ticks = new Set(JSON.parse(row.packed) as string[]);
    if (packed) ticks.add(key);
    else ticks.delete(key);
    await trx('sessions')
      .where({ id })
      .update({ packed: JSON.stringify([...ticks]) });
    return [...ticks];
  });
}

import type { KitLine, SessionExpectation } from '@/core';
import { expectationFrom } from './keptExpectation';
import { database, write } from '../db/connection';
import { Missing, Refusal } from '../failures';
import { updateVersioned } from './versioned';

/** What a session shows of its lesson, kept as it was when the session was set up. */
export interface SessionSummary {
  readonly sentence: string;
  readonly kit: readonly Pick<KitLine, 'key' | 'spec' | 'each' | 'need' | 'have' | 'short'>[];
  /** Version of the lesson that the expectation was made from. */
  readonly lessonVersion: number;
}

export interface SessionHead {
  readonly id: number;
  readonly lessonId: number;
  readonly lessonTitle: string;
  readonly groupId: number;
  readonly groupName: string;
  /** Calendar day, `2026-12-01`. */
  readonly onDate: string;
  readonly summary: SessionSummary;
  readonly packed: readonly string[];
  readonly archivedAt: string | null;
  readonly version: number;
}

export interface Session extends SessionHead {
  readonly expectation: SessionExpectation;
  /** It took its lesson's newest figures; those from before are kept. */
  readonly renewed: boolean;
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
  packed: string;
  archived_at: string | null;
  version: number;
}

const COLUMNS = [
  'sessions.id',
  'lesson_id',
  'group_id',
  'on_date',
  'summary',
  'packed',
  'sessions.archived_at',
  'sessions.version',
  'lessons.title',
  'study_groups.name',
];

async function query(extra: readonly string[] = []) {
  const db = await database();
  return {
    rows: db('sessions')
      .join('lessons', 'lessons.id', 'lesson_id')
      .join('study_groups', 'study_groups.id', 'group_id')
      .select([...COLUMNS, ...extra]),
  };
}

function headFrom(row: Stored): SessionHead {
  return {
    id: row.id,
    lessonId: row.lesson_id,
    lessonTitle: row.title,
    groupId: row.group_id,
    groupName: row.name,
    onDate: row.on_date,
    summary: JSON.parse(row.summary) as SessionSummary,
    packed: JSON.parse(row.packed) as string[],
    archivedAt: row.archived_at,
    version: row.version,
  };
}

function wholeFrom(row: Stored): Session {
  return {
    ...headFrom(row),
    expectation: expectationFrom(row.expectation),
    renewed: row.before !== null,
  };
}

/** All sessions by day. */
export async function sessions(): Promise<SessionHead[]> {
  const { rows } = await query();
  return ((await rows.orderBy(['on_date', 'sessions.id'])) as Stored[]).map(headFrom);
}

/** @throws Missing when there is no session of that number */
export async function session(id: number): Promise<Session> {
  const { rows } = await query(['expectation', 'before']);
  const row = (await rows.where('sessions.id', id).first()) as Stored | undefined;
  if (!row) throw new Missing('This session is not there any more.');
  return wholeFrom(row);
}

/** Sessions with what they are judged by, for the logbook. */
export async function wholeSessions(): Promise<Session[]> {
  const { rows } = await query(['expectation', 'before']);
  return ((await rows.orderBy(['on_date', 'sessions.id'])) as Stored[]).map(wholeFrom);
}

export interface NewSession {
  readonly lessonId: number;
  readonly groupId: number;
  readonly onDate: string;
  readonly expectation: SessionExpectation;
  readonly summary: SessionSummary;
}

export async function addSession(made: NewSession): Promise<number> {
  return write(async (trx) => {
    const [id] = await trx('sessions').insert({
      lesson_id: made.lessonId,
      group_id: made.groupId,
      on_date: made.onDate,
      expectation: JSON.stringify(made.expectation),
      summary: JSON.stringify(made.summary),
    });
    return id!;
  });
}

/** Takes newer figures in; those from before are kept beside. */
export async function refreshSession(
  id: number,
  version: number,
  expectation: SessionExpectation,
  summary: SessionSummary,
): Promise<number> {
  return write(async (trx) => {
    const kept = (await trx('sessions').where({ id }).first('expectation', 'summary')) as Kept | undefined;
    const values = {
      expectation: JSON.stringify(expectation),
      summary: JSON.stringify(summary),
      before: kept ? JSON.stringify(kept) : null,
    };
    return updateVersioned(trx, 'sessions', { id }, version, values, 'this session');
  });
}

type Kept = Pick<Stored, 'expectation' | 'summary'>;

/** Judges by what was kept before the session was renewed, again. */
export async function unrefreshSession(id: number): Promise<void> {
  await write(async (trx) => {
    const row = (await trx('sessions').where({ id }).first('before', 'version')) as Stored | undefined;
    if (!row?.before) throw new Refusal('There is nothing from before to go back to.');
    const { expectation, summary } = JSON.parse(row.before) as Kept;
    const values = { expectation, summary, before: null };
    await updateVersioned(trx, 'sessions', { id }, row.version, values, 'this session');
  });
}

export async function moveSession(id: number, version: number, onDate: string): Promise<number> {
  return write((trx) =>
    updateVersioned(trx, 'sessions', { id }, version, { on_date: onDate }, 'this session'),
  );
}

export async function archiveSession(id: number, at: string | null): Promise<void> {
  await write((trx) => trx('sessions').where({ id }).update({ archived_at: at }));
}

/** Ticks or unticks one line of the packing list; ticks of others are left as they are. */
export async function tickPacked(id: number, key: string, packed: boolean): Promise<string[]> {
  return write(async (trx) => {
    // Written first, so that the transaction holds the lock before it reads.
    await trx('sessions').where({ id }).increment('version', 0);
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

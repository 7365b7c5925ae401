import {
  choiceSchema,
  LEVELS,
  PATTERN_IDS,
  planSchema,
  type AgeGroup,
  type LessonWords,
  type PatternChoice,
  type PatternId,
  type Plan,
} from '@/core';
import { database, write } from '../db/connection';
import { Missing, Unreadable } from '../failures';
import { putAway, updateVersioned } from './versioned';

export interface LessonContent extends LessonWords {
  readonly choice: PatternChoice;
  readonly plan: Plan | null;
}

export interface Lesson extends LessonContent {
  readonly id: number;
  readonly course: string;
  readonly position: number;
  readonly archivedAt: string | null;
  readonly updatedAt: string;
  readonly version: number;
}

interface Stored {
  id: number;
  course: string;
  position: number;
  title: string;
  aim: string;
  story: string;
  notes: string;
  age_group: AgeGroup;
  level: string;
  homework: string;
  extras: string;
  choice: string;
  plan: string | null;
  archived_at: string | null;
  updated_at: string;
  version: number;
}

function fromRow(row: Stored): Lesson {
  const { id, course, position, title, aim, story, notes, homework, version } = row;
  return {
    id,
    course,
    position,
    title,
    aim,
    story,
    notes,
    homework,
    version,
    ageGroup: row.age_group,
    level: LEVELS.find((level) => level === row.level) ?? 'card',
    extras: JSON.parse(row.extras) as LessonContent['extras'],
    choice: choiceSchema.parse(JSON.parse(row.choice)),
    plan: row.plan === null ? null : planSchema.parse(JSON.parse(row.plan)),
    archivedAt: row.archived_at,
    updatedAt: row.updated_at,
  };
}

/** What is edited, out of what is kept. */
export function contentOf(lesson: LessonContent): LessonContent {
  const { title, aim, story, notes, ageGroup, level, homework, extras, choice, plan } = lesson;
  return { title, aim, story, notes, ageGroup, level, homework, extras, choice, plan };
}

function columns(content: LessonContent) {
  const { ageGroup, choice, plan, extras, ...words } = contentOf(content);
  return {
    ...words,
    age_group: ageGroup,
    extras: JSON.stringify(extras),
    choice: JSON.stringify(choice),
    plan: plan === null ? null : JSON.stringify(plan),
  };
}

/** What a list shows of a lesson: no lesson is unfolded for it, so that one that cannot be read takes down no list. */
export interface LessonHead {
  readonly id: number;
  readonly course: string;
  readonly title: string;
  readonly pattern: PatternId;
  readonly archivedAt: string | null;
  readonly updatedAt: string;
  /** Its wish as it is kept, unread: what its line hangs on. */
  readonly wish: string;
}

export async function lessonHeads(): Promise<LessonHead[]> {
  const rows = (await (
    await database()
  )('lessons')
    .orderBy(['position', 'id'])
    .select('id', 'course', 'title', 'choice', 'archived_at', 'updated_at')) as Stored[];
  return rows.map(({ id, course, title, choice, archived_at, updated_at }) => ({
    id,
    course,
    title,
    wish: choice,
    pattern: patternIn(choice),
    archivedAt: archived_at,
    updatedAt: updated_at,
  }));
}

/** The pattern that a kept wish names; the first there is where it cannot be read. */
function patternIn(choice: string): PatternId {
  const named = /^\{"pattern":"([a-z-]+)"/u.exec(choice)?.[1];
  return PATTERN_IDS.find((id) => id === named) ?? PATTERN_IDS[0]!;
}

/** Version of a lesson, to see whether it has moved on. */
export async function lessonVersion(id: number): Promise<number | undefined> {
  const row = (await (await database())('lessons').where({ id }).first('version')) as Stored | undefined;
  return row?.version;
}

export async function lessonCount(): Promise<number> {
  const row = (await (await database())('lessons').count({ n: '*' }).first()) as { n: number };
  return row.n;
}

/**
 * One lesson, whole.
 *
 * @throws Missing when there is no lesson of that number, Unreadable when it cannot be read
 */
export async function lesson(id: number): Promise<Lesson> {
  const row = (await (await database())('lessons').where({ id }).first()) as Stored | undefined;
  if (!row) throw new Missing('This lesson is not there any more.');
  try {
    return fromRow(row);
  } catch {
    throw new Unreadable(
      `“${row.title}” is kept in a form that this program cannot read. Nothing in it was changed; a backup from before, or the program that wrote it, can read it.`,
    );
  }
}

export async function addLesson(content: LessonContent, course: string, at: string): Promise<number> {
  return write(async (trx) => {
    const last = (await trx('lessons').max('position as last').first()) as { last: number | null };
    const position = (last.last ?? 0) + 1;
    const [id] = await trx('lessons').insert({ ...columns(content), course, position, updated_at: at });
    return id!;
  });
}

export async function saveLesson(
  id: number,
  version: number,
  content: LessonContent,
  at: string,
): Promise<number> {
  return write((trx) =>
    updateVersioned(trx, 'lessons', { id }, version, { ...columns(content), updated_at: at }, 'this lesson'),
  );
}

/** Puts a lesson away, or takes it out again; nothing is deleted. */
export async function archiveLesson(id: number, at: string | null): Promise<void> {
  await putAway('lessons', id, at, 'this lesson');
}

import {
  choiceSchema,
  LEVELS,
  planSchema,
  type AgeGroup,
  type LessonWords,
  type PatternChoice,
  type Plan,
} from '@/core';
import { database, write } from '../db/connection';
import { Missing } from '../failures';
import { updateVersioned } from './versioned';

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

export async function lessons(): Promise<Lesson[]> {
  const rows = (await (await database())('lessons').orderBy(['position', 'id'])) as Stored[];
  return rows.map(fromRow);
}

/** @throws Missing when there is no lesson of that number */
export async function lesson(id: number): Promise<Lesson> {
  const row = (await (await database())('lessons').where({ id }).first()) as Stored | undefined;
  if (!row) throw new Missing('This lesson is not there any more.');
  return fromRow(row);
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
  await write((trx) => trx('lessons').where({ id }).update({ archived_at: at }));
}

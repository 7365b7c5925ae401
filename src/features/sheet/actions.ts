'use server';

import { choiceSchema, lessonWords, planSchema, type Finding } from '@/core';
import { sentences } from '@/messages/findings';
import { z } from 'zod';
import { done, failed, guarded, type Answer } from '@/server/failures';
import { workOutFor } from '@/server/givenLesson';
import {
  archiveLesson,
  contentOf,
  lesson,
  saveLesson,
  type LessonContent,
} from '@/server/repositories/lessons';
import { addSession } from '@/server/repositories/sessions';

const contentSchema = z.strictObject({
  ...lessonWords,
  choice: choiceSchema,
  plan: planSchema.nullable(),
});
const idSchema = z.number().int().positive();
const versionSchema = z.number().int().min(0);
const daySchema = z.iso.date();

/** Keeps a lesson as it stands on the screen. */
export async function keepLesson(
  id: number,
  version: number,
  content: LessonContent,
): Promise<Answer<{ version: number; at: string }>> {
  return guarded(async () => {
    const checked = contentSchema.safeParse(content);
    if (!checked.success) {
      const issue = checked.error.issues[0];
      return failed(`The lesson’s ${issue?.path.join(' ')} ${issue?.message}: it was not saved.`);
    }
    const at = new Date().toISOString();
    const saved = await saveLesson(idSchema.parse(id), versionSchema.parse(version), checked.data, at);
    return done({ version: saved, at });
  });
}

/** The newest kept version of a lesson, for those whose own was overtaken. */
export async function loadLesson(id: number): Promise<Answer<{ version: number; content: LessonContent }>> {
  return guarded(async () => {
    const held = await lesson(idSchema.parse(id));
    return done({ version: held.version, content: contentOf(held) });
  });
}

export async function putAwayLesson(id: number, away: boolean): Promise<Answer<null>> {
  return guarded(async () => {
    await archiveLesson(idSchema.parse(id), away ? new Date().toISOString() : null);
    return done(null);
  });
}

/** Gives the lesson to a group on a day: its bands and fault dictionary are computed and kept with the session. */
export async function giveLesson(id: number, groupId: number, onDate: string): Promise<Answer<number>> {
  return guarded(async () => {
    const day = daySchema.safeParse(onDate);
    if (!day.success) return failed('Choose the day of the session first.');
    const made = await workOutFor(idSchema.parse(id), idSchema.parse(groupId));
    if (!made.ok) return failed(noSum(made.findings));
    const { expectation, summary } = made.value;
    return done(await addSession({ lessonId: id, groupId, onDate: day.data, expectation, summary }));
  });
}

function noSum(findings: readonly Finding[]): string {
  return `This lesson has no sum that works yet. ${sentences(findings)}`;
}

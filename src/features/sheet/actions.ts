'use server';

import { choiceSchema, lessonWords, planSchema, type Finding } from '@/core';
import { sentences } from '@/messages/findings';
import { issueSentence } from '@/messages/issues';
import { stockName } from '@/messages/names';
import { z } from 'zod';
import { farDay } from '@/server/daysInReach';
import { guarded } from '@/server/access/admit';
import { asked, done, failed, type Answer } from '@/server/failures';
import { workOutFor } from '@/server/givenLesson';
import { prepareSoon } from '@/server/prepare';
import {
  archiveLesson,
  contentOf,
  lesson,
  saveLesson,
  type LessonContent,
} from '@/server/repositories/lessons';
import { group } from '@/server/repositories/groups';
import { addSession, addSessionOnce, sessionLines } from '@/server/repositories/sessions';
import { shortWith } from '@/server/today';
import { startJob } from '@/server/work/jobs';

const contentSchema = z.strictObject({
  ...lessonWords,
  choice: choiceSchema,
  plan: planSchema.nullable(),
});
const idSchema = z.number().int().positive();
const versionSchema = z.number().int().min(0);

const FIELDS = {
  title: 'The title of the lesson',
  aim: 'The aim of the lesson',
  story: 'The story of the lesson',
  notes: 'The notes of the lesson',
  homework: 'The homework',
  extras: 'What the lesson wants besides',
  ageGroup: 'The age of the students',
  level: 'How much of the working students get',
  choice: 'The wish of the lesson',
  plan: 'The plan of the lesson',
};

/** Keeps a lesson as it stands on the screen. */
export async function keepLesson(
  id: number,
  version: number,
  content: LessonContent,
): Promise<Answer<{ version: number; at: string }, LessonContent>> {
  return guarded(
    'keepLesson',
    async () => {
      const checked = contentSchema.safeParse(content);
      if (!checked.success) return failed(issueSentence(checked.error, FIELDS, 'The lesson'));
      const at = new Date().toISOString();
      const saved = await saveLesson(idSchema.parse(id), versionSchema.parse(version), checked.data, at);
      prepareSoon(id);
      return done({ version: saved, at });
    },
    async () => {
      const now = await lesson(id);
      return { version: now.version, value: contentOf(now) };
    },
  );
}

export async function putAwayLesson(id: number, away: boolean): Promise<Answer<null>> {
  return guarded('putAwayLesson', async () => {
    await archiveLesson(idSchema.parse(id), away ? new Date().toISOString() : null);
    return done(null);
  });
}

/**
 * Begins to give the lesson to a group on a day: its bands and fault dictionary are computed and kept with the session.
 *
 * @param sure it is meant, though the group has this lesson on that day already, or the day is years away
 */
export async function giveLesson(
  id: number,
  groupId: number,
  onDate: string,
  sure = false,
): Promise<Answer<string>> {
  return guarded('giveLesson', async () => {
    const day = z.iso.date().safeParse(onDate);
    if (!day.success) return failed('Choose the day of the session first.');
    const given = { lessonId: idSchema.parse(id), groupId: idSchema.parse(groupId), onDate: day.data };
    const { name } = await group(given.groupId);
    const again = `${name} has this lesson on that day already. Give it a second time?`;
    const isGiven =
      (await sessionLines({ ...given, from: given.onDate, to: given.onDate, most: 1 })).length > 0;
    // Whoever is sure has read all that speaks against it.
    const questions = [farDay(given.onDate), isGiven && again].filter(Boolean);
    if (!sure && questions.length > 0) return asked(questions.join(' '));
    return done(
      startJob<number>(async (tell, signal) => {
        const made = await workOutFor(given.lessonId, given.groupId, { tell, signal });
        if (!made.ok) return failed(noSum(made.findings));
        // What was kept already is not stopped by a thread: nothing is given that was cancelled.
        signal.throwIfAborted();
        const { expectation, summary, sheet } = made.value;
        const session = { ...given, expectation, summary, sheet };
        // Somebody else may have given it while this was worked out.
        const id = await (sure ? addSession(session) : addSessionOnce(session));
        return id === undefined ? asked(again) : done(id);
      }),
    );
  });
}

/** What the store is short of for a session that was just given, counting all sessions ahead; one line a kind. */
export async function shortFor(sessionId: number, today: string): Promise<Answer<string[]>> {
  return guarded('shortFor', async () => {
    const short = await shortWith(idSchema.parse(sessionId), z.iso.date().parse(today));
    return done(short.map(({ line, short: more }) => `${more} more ${stockName(line.spec)}`));
  });
}

function noSum(findings: readonly Finding[]): string {
  return `This lesson has no sum that works yet. ${sentences(findings)}`;
}

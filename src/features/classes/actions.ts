'use server';

import { cleanLine, parseStudents } from '@/core';
import { sentences } from '@/messages/findings';
import { issueSentence } from '@/messages/issues';
import { z } from 'zod';
import { farDay } from '@/server/daysInReach';
import { guarded } from '@/server/access/admit';
import { asked, done, failed, type Answer } from '@/server/failures';
import {
  addGroup,
  addStudents,
  archiveGroup,
  archiveStudent,
  eraseStudent as erase,
  group,
  saveGroup,
  saveStudent,
  student,
} from '@/server/repositories/groups';
import { archiveSession, moveSession, session } from '@/server/repositories/sessions';

const idSchema = z.number().int().positive();
const versionSchema = z.number().int().min(0);
const groupSchema = z.strictObject({
  name: z.string().transform(cleanLine).pipe(z.string().min(1).max(40)),
  meets: z.string().transform(cleanLine).pipe(z.string().max(60)),
});
const GROUP_FIELDS = { name: 'The name of the group', meets: 'When the group meets' };

export interface GroupWords {
  readonly name: string;
  readonly meets: string;
}

export async function newGroup(name: string, meets: string): Promise<Answer<number>> {
  return guarded('newGroup', async () => {
    const checked = groupSchema.safeParse({ name, meets });
    if (!checked.success) return failed(issueSentence(checked.error, GROUP_FIELDS));
    return done(await addGroup(checked.data.name, checked.data.meets));
  });
}

export async function renameGroup(
  id: number,
  version: number,
  words: GroupWords,
): Promise<Answer<number, GroupWords>> {
  return guarded(
    'renameGroup',
    async () => {
      const checked = groupSchema.safeParse(words);
      if (!checked.success) return failed(issueSentence(checked.error, GROUP_FIELDS));
      return done(
        await saveGroup(
          idSchema.parse(id),
          versionSchema.parse(version),
          checked.data.name,
          checked.data.meets,
        ),
      );
    },
    async () => {
      const now = await group(id);
      return { version: now.version, value: { name: now.name, meets: now.meets } };
    },
  );
}

export async function putAwayGroup(id: number, away: boolean): Promise<Answer<null>> {
  return guarded('putAwayGroup', async () => {
    await archiveGroup(idSchema.parse(id), away ? new Date().toISOString() : null);
    return done(null);
  });
}

/** Characters of a list that is taken at once. */
const LIST_MOST = 20_000;

/** Adds one or many students from what was typed or pasted; all of it, or none and why. */
export async function enrol(groupId: number, text: string): Promise<Answer<{ added: number; note: string }>> {
  return guarded('enrol', async () => {
    const held = await group(idSchema.parse(groupId));
    const benches = held.students.filter((s) => s.archivedAt === null).map((s) => s.bench);
    const list = z.string().parse(text);
    if (list.length > LIST_MOST)
      return failed(
        `This list has ${list.length} characters, more than the ${LIST_MOST} that are taken at once. Nobody was added: add it in parts.`,
      );
    const { students, findings } = parseStudents(list, Math.max(0, ...benches) + 1);
    const refusals = findings.filter((f) => f.severity === 'refusal');
    if (refusals.length)
      return failed(
        `Nobody was added. ${sentences(refusals.slice(0, 5))} Mend the list below and add it again.`,
      );
    if (students.length === 0) return failed('Type or paste at least one nickname.');
    await addStudents(held.id, students);
    return done({ added: students.length, note: sentences(findings) });
  });
}

export interface StudentWords {
  readonly bench: number;
  readonly nickname: string;
}

export async function changeStudent(
  id: number,
  version: number,
  { bench, nickname }: StudentWords,
): Promise<Answer<number, StudentWords>> {
  return guarded(
    'changeStudent',
    async () => {
      const { students, findings } = parseStudents(
        `bench,nickname\n${bench},"${nickname.replaceAll('"', '""')}"`,
      );
      const [row] = students;
      if (!row) return failed(sentences(findings) || 'A student needs a nickname.');
      return done(
        await saveStudent(idSchema.parse(id), versionSchema.parse(version), row.bench, row.nickname),
      );
    },
    async () => {
      const now = await student(id);
      return { version: now.version, value: { bench: now.bench, nickname: now.nickname } };
    },
  );
}

export async function letLeave(id: number, leaves: boolean): Promise<Answer<null>> {
  return guarded('letLeave', async () => {
    await archiveStudent(idSchema.parse(id), leaves ? new Date().toISOString() : null);
    return done(null);
  });
}

/** Takes a student's name out of the house for good; their readings stay without it. */
export async function eraseStudent(id: number): Promise<Answer<null>> {
  return guarded('eraseStudent', async () => {
    await erase(idSchema.parse(id), new Date().toISOString());
    return done(null);
  });
}

/** @param sure it is meant, though the day is years away */
export async function changeDay(
  id: number,
  version: number,
  day: string,
  sure = false,
): Promise<Answer<number, string>> {
  return guarded(
    'changeDay',
    async () => {
      const checked = z.iso.date().safeParse(day);
      if (!checked.success) return failed('Choose a day of the calendar.');
      const far = farDay(checked.data);
      if (far && !sure) return asked(far);
      return done(await moveSession(idSchema.parse(id), versionSchema.parse(version), checked.data));
    },
    async () => {
      const now = await session(id);
      return { version: now.version, value: now.onDate };
    },
  );
}

export async function putAwaySession(id: number, away: boolean): Promise<Answer<null>> {
  return guarded('putAwaySession', async () => {
    await archiveSession(idSchema.parse(id), away ? new Date().toISOString() : null);
    return done(null);
  });
}

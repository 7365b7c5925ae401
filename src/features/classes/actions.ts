'use server';

import { parseStudents } from '@/core';
import { sentences } from '@/messages/findings';
import { z } from 'zod';
import { done, failed, guarded, type Answer } from '@/server/failures';
import {
  addGroup,
  addStudents,
  archiveGroup,
  archiveStudent,
  group,
  saveGroup,
  saveStudent,
} from '@/server/repositories/groups';
import { archiveSession, moveSession } from '@/server/repositories/sessions';

const groupSchema = z.strictObject({
  name: z.string().trim().min(1, 'needs a name').max(40, 'has a name longer than 40 letters'),
  meets: z.string().trim().max(60, 'has a meeting time longer than 60 letters'),
});

export async function newGroup(name: string, meets: string): Promise<Answer<number>> {
  return guarded(async () => {
    const checked = groupSchema.safeParse({ name, meets });
    if (!checked.success) return failed(`The group ${checked.error.issues[0]!.message}.`);
    return done(await addGroup(checked.data.name, checked.data.meets));
  });
}

export async function renameGroup(
  id: number,
  version: number,
  name: string,
  meets: string,
): Promise<Answer<number>> {
  return guarded(async () => {
    const checked = groupSchema.safeParse({ name, meets });
    if (!checked.success) return failed(`The group ${checked.error.issues[0]!.message}.`);
    return done(await saveGroup(id, version, checked.data.name, checked.data.meets));
  });
}

export async function putAwayGroup(id: number, away: boolean): Promise<Answer<null>> {
  return guarded(async () => {
    await archiveGroup(id, away ? new Date().toISOString() : null);
    return done(null);
  });
}

/** Adds one or many students from what was typed or pasted; all of it, or none and why. */
export async function enrol(groupId: number, text: string): Promise<Answer<{ added: number; note: string }>> {
  return guarded(async () => {
    const benches = (await group(groupId)).students.filter((s) => s.archivedAt === null).map((s) => s.bench);
    const { students, findings } = parseStudents(text.slice(0, 20_000), Math.max(0, ...benches) + 1);
    const refusals = findings.filter((f) => f.severity === 'refusal');
    if (refusals.length)
      return failed(
        `Nobody was added. ${sentences(refusals.slice(0, 5))} Mend the list below and add it again.`,
      );
    if (students.length === 0) return failed('Type or paste at least one nickname.');
    await addStudents(groupId, students);
    return done({ added: students.length, note: sentences(findings) });
  });
}

export async function changeStudent(id: number, bench: number, nickname: string): Promise<Answer<null>> {
  return guarded(async () => {
    const { students, findings } = parseStudents(
      `bench,nickname\n${bench},"${nickname.replaceAll('"', '""')}"`,
    );
    const [row] = students;
    if (!row) return failed(sentences(findings) || 'A student needs a nickname.');
    await saveStudent(id, row.bench, row.nickname);
    return done(null);
  });
}

export async function letLeave(id: number, leaves: boolean): Promise<Answer<null>> {
  return guarded(async () => {
    await archiveStudent(id, leaves ? new Date().toISOString() : null);
    return done(null);
  });
}

export async function changeDay(id: number, version: number, day: string): Promise<Answer<number>> {
  return guarded(async () => {
    const checked = z.iso.date().safeParse(day);
    if (!checked.success) return failed('Choose a day of the calendar.');
    return done(await moveSession(id, version, checked.data));
  });
}

export async function putAwaySession(id: number, away: boolean): Promise<Answer<null>> {
  return guarded(async () => {
    await archiveSession(id, away ? new Date().toISOString() : null);
    return done(null);
  });
}

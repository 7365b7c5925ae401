import { LESSONS } from '@/demo/lessons';
import { workOutFor, type GivenLesson } from '@/server/givenLesson';
import { addGroup, addStudents, group, type Student } from '@/server/repositories/groups';
import { addLesson } from '@/server/repositories/lessons';
import { addSession } from '@/server/repositories/sessions';

/** A class at its first lesson, in a database of its own. */
export interface GivenClass {
  readonly lessonId: number;
  readonly groupId: number;
  readonly students: readonly Student[];
  readonly given: GivenLesson;
  readonly session: number;
}

/** Gives the first lesson of the course to a group with these students, at benches from 1 on. */
export async function givenClass(...nicknames: string[]): Promise<GivenClass> {
  const lessonId = await addLesson(LESSONS[0]!, 'Harbour', '2026-11-20T10:00:00.000Z');
  const groupId = await addGroup('Sanderling', 'now');
  await addStudents(
    groupId,
    nicknames.map((nickname, i) => ({ bench: i + 1, nickname })),
  );
  const made = await workOutFor(lessonId, groupId);
  if (!made.ok) throw new Error('The lesson is refused.');
  const { expectation, summary, sheet } = made.value;
  const session = await addSession({ lessonId, groupId, onDate: '2026-11-27', expectation, summary, sheet });
  const { students } = await group(groupId);
  return { lessonId, groupId, students, given: made.value, session };
}

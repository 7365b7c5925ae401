import { format } from 'date-fns';
import type { PatternId } from '@/core';
import { workOutFor } from '@/server/givenLesson';
import { closeDatabase } from '@/server/db/connection';
import { addGroup, addStudents, group } from '@/server/repositories/groups';
import { addLesson } from '@/server/repositories/lessons';
import { addSession } from '@/server/repositories/sessions';
import { stopThreads } from '@/server/work/pool';
import { LESSONS } from '@/demo/lessons';
import { choiceWith } from './sheets';

const FIGURES = 12;

/** A session of forty benches with twelve figures each, in the database that `MIVVET_DB` names. */
async function main(): Promise<void> {
  const groupId = await addGroup('Forty', '');
  await addStudents(
    groupId,
    Array.from({ length: 40 }, (_, i) => ({ bench: i + 1, nickname: `Bench ${i + 1}` })),
  );
  const choice = choiceWith((process.argv[2] ?? 'rgb') as PatternId);
  const lesson = { ...LESSONS[0]!, title: 'Forty at once', choice, plan: null };
  const lessonId = await addLesson(lesson, 'Test', new Date().toISOString());
  const made = await workOutFor(lessonId, groupId);
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  const session = await addSession({
    lessonId,
    groupId,
    onDate: format(new Date(), 'yyyy-MM-dd'),
    ...made.value,
  });
  const { students } = await group(groupId);
  const own = made.value.expectation.expected.points.map(({ id, typical }) => ({ id, typical }));
  // Twelve figures a bench: every checkpoint once, and some of them again.
  const points = [...own, ...own].slice(0, FIGURES);
  console.log(JSON.stringify({ session, students: students.map(({ id }) => id), points }));
  await stopThreads();
  await closeDatabase();
}

void main();

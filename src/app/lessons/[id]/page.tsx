import { notFound } from 'next/navigation';
import { LessonSheet } from '@/features/sheet/LessonSheet';
import { admit } from '@/server/access/admit';
import { carefulRequest, DRAWS, keptSheet, sheetSurroundings } from '@/server/lessonSheet';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { prepareSoon } from '@/server/prepare';
import { batteries } from '@/server/repositories/batteries';
import { groups } from '@/server/repositories/groups';
import { contentOf, lesson, lessonHeads } from '@/server/repositories/lessons';
import { sessionLines } from '@/server/repositories/sessions';
import { glossary } from '@/server/repositories/settings';
import { dayOf } from '@/ui/dates';

export const dynamic = 'force-dynamic';
interface Props {
  params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  await admit('/lessons/[id]');
  const id = pageId((await params).id);
  const head = (await lessonHeads()).find((one) => one.id === id);
  return { title: head?.title ?? 'Lesson' };
}

export default async function LessonPage({ params }: Props) {
  await admit('/lessons/[id]');
  const id = pageId((await params).id);
  const held = id === undefined ? undefined : await orMissing(lesson(id));
  if (!held) notFound();
  const [allGroups, given, heads, measured, words] = await Promise.all([
    groups(),
    sessionLines({ lessonId: held.id }),
    lessonHeads(),
    batteries(),
    glossary(),
  ]);
  const present = allGroups
    .filter((g) => g.archivedAt === null)
    .map(({ id: groupId, name, students }) => ({
      id: groupId,
      name,
      students: students.filter((s) => s.archivedAt === null).length,
    }));
  const today = dayOf(new Date());
  const ahead = given.filter((s) => s.onDate >= today);
  const next = ahead[0] ?? given[given.length - 1];
  const students = present.find((g) => g.id === next?.groupId)?.students ?? present[0]?.students;
  const surroundings = await sheetSurroundings(students);
  const first = await keptSheet(carefulRequest(held, surroundings));
  if (!first) prepareSoon(held.id);
  const inCourse = heads.filter((l) => l.course === held.course && l.archivedAt === null);
  const at = inCourse.findIndex((l) => l.id === held.id) + 1;
  return (
    <LessonSheet
      key={held.id}
      id={held.id}
      place={held.course && at ? `${held.course} · lesson ${at} of ${inCourse.length}` : 'Lesson'}
      content={contentOf(held)}
      version={held.version}
      updatedAt={held.updatedAt}
      archived={held.archivedAt !== null}
      first={first}
      surroundings={surroundings}
      restDraws={DRAWS.rest}
      batteries={measured}
      words={words.value}
      course={inCourse.slice(0, at ? at - 1 : undefined).map((l, i) => ({
        id: l.id,
        title: l.title,
        pattern: l.pattern,
        place: i + 1,
      }))}
      groups={present}
      sessions={[...ahead, ...given.filter((s) => s.onDate < today).reverse()].map(
        ({ id: sessionId, groupId, groupName, onDate }) => ({ id: sessionId, groupId, groupName, onDate }),
      )}
      today={today}
    />
  );
}

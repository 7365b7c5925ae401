import { makeSheet, type Outcome, type Sheet, type SheetRequest } from '@/core';
import { LessonSheet } from '@/features/sheet/LessonSheet';
import { keeper } from '@/server/kept';
import { DRAWS, requestFor, sheetSurroundings } from '@/server/lessonSheet';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { batteries } from '@/server/repositories/batteries';
import { groups } from '@/server/repositories/groups';
import { contentOf, lesson, lessons } from '@/server/repositories/lessons';
import { sessions } from '@/server/repositories/sessions';
import { glossary } from '@/server/repositories/settings';
import { dayOf } from '@/ui/dates';
import { MissingPage } from '@/ui/MissingPage';

export const dynamic = 'force-dynamic';
interface Props {
  params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props) {
  const id = pageId((await params).id);
  const held = id === undefined ? undefined : await orMissing(lesson(id));
  return { title: held?.title ?? 'Lesson' };
}

/** The sheets that were opened last: the same wishes, store and house style make the same sheet. */
const keptSheets = keeper<Outcome<Sheet>>(24);

function firstSheet(request: SheetRequest): Outcome<Sheet> {
  return keptSheets(JSON.stringify(request), () => makeSheet(request));
}

export default async function LessonPage({ params }: Props) {
  const id = pageId((await params).id);
  const held = id === undefined ? undefined : await orMissing(lesson(id));
  if (!held) return <MissingPage thing="This lesson" href="/lessons" place="the lessons" />;
  const [allGroups, allSessions, allLessons, measured, words] = await Promise.all([
    groups(),
    sessions(),
    lessons(),
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
  const given = allSessions.filter((s) => s.lessonId === held.id && s.archivedAt === null);
  const ahead = given.filter((s) => s.onDate >= today);
  const next = ahead[0] ?? given[given.length - 1];
  const students = present.find((g) => g.id === next?.groupId)?.students ?? present[0]?.students;
  const surroundings = await sheetSurroundings(students);
  const inCourse = allLessons.filter((l) => l.course === held.course && l.archivedAt === null);
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
      first={firstSheet(firstLook(requestFor(held, surroundings)))}
      surroundings={surroundings}
      restDraws={DRAWS.rest}
      batteries={measured}
      words={words.value}
      course={inCourse.slice(0, at ? at - 1 : undefined).map((l, i) => ({
        id: l.id,
        title: l.title,
        pattern: l.choice.pattern,
        place: i + 1,
      }))}
      groups={present}
      sessions={[...ahead, ...given.filter((s) => s.onDate < today).reverse()].map(
        ({ id: sessionId, groupName, onDate }) => ({ id: sessionId, groupName, onDate }),
      )}
      today={today}
    />
  );
}

/** What a page opens with: bands from few draws, that the screen makes again from many as soon as it rests. */
function firstLook(request: SheetRequest): SheetRequest {
  return { ...request, draws: { ...request.draws, samples: FIRST_DRAWS } };
}

const FIRST_DRAWS = 600;

import '@/features/lessons/lessons.css';
import { admit } from '@/server/access/admit';
import { LessonList } from '@/features/lessons/LessonList';
import { NewLesson } from '@/features/lessons/NewLesson';
import { knownLines, patternSigns, sheetSurroundings } from '@/server/lessonSheet';
import { lessonHeads } from '@/server/repositories/lessons';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Lessons' };

export default async function LessonsPage() {
  await admit('/lessons');
  const [all, surroundings] = await Promise.all([lessonHeads(), sheetSurroundings()]);
  const [lines, signs] = await Promise.all([knownLines(all, surroundings), patternSigns()]);
  const listed = (archived: boolean) =>
    all
      .filter((l) => (l.archivedAt !== null) === archived)
      .map(({ id, title, course, updatedAt }) => ({ id, title, course, updatedAt, inShort: lines.get(id) }));
  const away = listed(true);
  return (
    <div className="page">
      <div className="page-head">
        <h1>Lessons</h1>
      </div>
      <div className="page-columns">
        <div>
          <LessonList lessons={listed(false)} />
          {away.length > 0 && (
            <details>
              <summary>Put away ({away.length})</summary>
              <LessonList lessons={away} />
            </details>
          )}
        </div>
        <div>
          <NewLesson signs={signs} />
        </div>
      </div>
    </div>
  );
}

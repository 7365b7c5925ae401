import '@/features/lessons/lessons.css';
import { LessonList } from '@/features/lessons/LessonList';
import { NewLesson } from '@/features/lessons/NewLesson';
import { patternSigns, type PatternSigns } from '@/features/lessons/patternSigns';
import { keeper } from '@/server/kept';
import { lessonInShort, sheetSurroundings } from '@/server/lessonSheet';
import { lessons } from '@/server/repositories/lessons';

export const dynamic = 'force-dynamic';
/** The signs are the same in every house: drawn once. */
const keptSigns = keeper<PatternSigns>();

export const metadata = { title: 'Lessons' };

export default async function LessonsPage() {
  const [all, surroundings] = await Promise.all([lessons(), sheetSurroundings()]);
  const listed = (archived: boolean) =>
    all
      .filter((l) => (l.archivedAt !== null) === archived)
      .map((l) => ({ ...l, inShort: lessonInShort(l, surroundings) }));
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
          <NewLesson signs={keptSigns('signs', patternSigns)} />
        </div>
      </div>
    </div>
  );
}

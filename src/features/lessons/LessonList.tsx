import Link from 'next/link';
import { makeSheet } from '@/core';
import { lessonSentence } from '@/messages/lessonSentence';
import { sentences } from '@/messages/findings';
import { clockTime, dayName, dayOf } from '@/ui/dates';
import { requestFor, type SheetSurroundings } from '@/server/lessonSheet';
import type { Lesson } from '@/server/repositories/lessons';

/** All lessons of a course in their order, each with what it comes to. */
export function LessonList({ lessons, surroundings }: { lessons: readonly Lesson[]; surroundings: SheetSurroundings }) {
  const courses = [...new Set(lessons.map((l) => l.course))];
  if (lessons.length === 0) {
    return <p className="soft">No lesson yet. Start one from the pattern beside this.</p>;
  }
  return courses.map((course) => (
    <section key={course} className="ruled">
      <h2>{course || 'Lessons without a course'}</h2>
      <ul>
        {lessons
          .filter((l) => l.course === course)
          .map((lesson, i) => (
            <li key={lesson.id} className="lesson-line">
              <span className="soft">{i + 1}</span>
              <span>
                <Link href={`/lessons/${lesson.id}`}>{lesson.title}</Link>
                <br />
                <span className="small-print">{inShort(lesson, surroundings)}</span>
              </span>
              <span className="small-print">
                {dayName(dayOf(new Date(lesson.updatedAt)))} {clockTime(lesson.updatedAt)}
              </span>
            </li>
          ))}
      </ul>
    </section>
  ));
}

/** Draws are not needed to say what a lesson comes to. */
function inShort(lesson: Lesson, surroundings: SheetSurroundings): string {
  const sheet = makeSheet({ ...requestFor(lesson, surroundings), draws: { ...surroundings.draws, samples: 1 } });
  return sheet.ok ? lessonSentence(sheet.value.sums) : sentences(sheet.findings);
}

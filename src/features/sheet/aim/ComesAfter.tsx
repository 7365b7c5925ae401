import Link from 'next/link';
import { patternOf, type PatternId } from '@/core';
import { PATTERN_WORDS } from '@/messages/patterns';
import type { CourseLesson } from '../given';

interface Props {
  readonly pattern: PatternId;
  /** The lessons of the course before this one. */
  readonly course: readonly CourseLesson[];
}

/** What the students must have done before, and which lesson of the course does it. */
export function ComesAfter({ pattern, course }: Props) {
  const before = patternOf(pattern).after as readonly PatternId[];
  return (
    <section className="ruled">
      <h2>Comes after</h2>
      <ul>
        {before.map((needed) => {
          const lesson = course.find((other) => other.pattern === needed);
          return (
            <li key={needed}>
              {PATTERN_WORDS[needed].name}:{' '}
              {lesson ? (
                <Link prefetch={false} href={`/lessons/${lesson.id}`}>
                  {lesson.title}, lesson {lesson.place}
                </Link>
              ) : (
                <span className="soft">no lesson before this one does it yet</span>
              )}
            </li>
          );
        })}
        {before.length === 0 && <li className="soft">Nothing: a course can begin with it.</li>}
      </ul>
    </section>
  );
}

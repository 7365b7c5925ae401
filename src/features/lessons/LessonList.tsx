import Link from 'next/link';
import { clockTime, dayName, dayOf } from '@/ui/dates';

export interface ListedLesson {
  readonly id: number;
  readonly title: string;
  readonly course: string;
  /** What it comes to, in one line. */
  readonly inShort: string;
  readonly updatedAt: string;
}

/** All lessons of a course in their order, each with what it comes to. */
export function LessonList({ lessons }: { lessons: readonly ListedLesson[] }) {
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
          .map(({ id, title, inShort, updatedAt }, i) => (
            <li key={id} className="lesson-line">
              <span className="soft">{i + 1}</span>
              <span>
                <Link prefetch={false} href={`/lessons/${id}`}>
                  {title}
                </Link>
                <br />
                <span className="small-print">{inShort}</span>
              </span>
              <span className="small-print">
                {dayName(dayOf(new Date(updatedAt)))} {clockTime(updatedAt)}
              </span>
            </li>
          ))}
      </ul>
    </section>
  ));
}

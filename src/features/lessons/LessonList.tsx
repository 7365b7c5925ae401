'use client';

import Link from 'next/link';
import { useEffect, useMemo, useState } from 'react';
import { lessonLines } from './actions';
import { clockTime, dayName, dayOf } from '@/ui/dates';
import { useFinder, type Orders } from '@/ui/useFinder';

export interface ListedLesson {
  readonly id: number;
  readonly title: string;
  readonly course: string;
  /** What it comes to, in one line; nothing where that has yet to be worked out. */
  readonly inShort: string | undefined;
  readonly updatedAt: string;
}

/** All lessons of a course in their order, each with what it comes to. */
export function LessonList({ lessons }: { lessons: readonly ListedLesson[] }) {
  const { shown, order, head, foot } = useFinder(
    lessons,
    'lessons',
    ({ title, course, inShort }) => `${title} ${course} ${inShort ?? ''}`,
    ORDERS,
    'by course',
  );
  const lines = useLines(shown);
  const numbers = useMemo(() => numbersIn(lessons), [lessons]);
  if (lessons.length === 0) {
    return <p className="soft">No lesson yet. Start one from the pattern beside this.</p>;
  }
  const courses = order === '' ? [...new Set(shown.map((l) => l.course))] : [undefined];
  return (
    <>
      {head}
      {courses.map((course) => (
        <section key={course ?? order} className="ruled">
          <h2>{course === undefined ? `All, ${order}` : course || 'Lessons without a course'}</h2>
          <ul>
            {shown
              .filter((l) => course === undefined || l.course === course)
              .map(({ id, title, inShort, updatedAt }) => (
                <li key={id} className="lesson-line">
                  <span className="soft">{numbers.get(id)}</span>
                  <span>
                    <Link prefetch={false} href={`/lessons/${id}`}>
                      {title}
                    </Link>
                    <br />
                    <span className="small-print">{inShort ?? lines.get(id) ?? 'being worked out …'}</span>
                  </span>
                  <span className="small-print">
                    {dayName(dayOf(new Date(updatedAt)))} {clockTime(updatedAt)}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {foot}
    </>
  );
}

const ORDERS: Orders<ListedLesson> = {
  'by title': (a, b) => a.title.localeCompare(b.title),
  'last changed first': (a, b) => b.updatedAt.localeCompare(a.updatedAt),
};

/** The place of each lesson in its course, from 1. */
function numbersIn(lessons: readonly ListedLesson[]): ReadonlyMap<number, number> {
  const counts = new Map<string, number>();
  return new Map(
    lessons.map(({ id, course }) => {
      const number = (counts.get(course) ?? 0) + 1;
      counts.set(course, number);
      return [id, number];
    }),
  );
}

/** The lines that the page came without; the list is there meanwhile. */
function useLines(lessons: readonly ListedLesson[]): ReadonlyMap<number, string> {
  const [lines, setLines] = useState<ReadonlyMap<number, string>>(new Map());
  const missing = lessons.filter((l) => l.inShort === undefined).map((l) => l.id);
  const key = missing.join(' ');
  useEffect(() => {
    if (!key) return;
    let gone = false;
    void (async () => {
      const ids = key.split(' ').map(Number);
      // Some at a time, so that the first lines show while the others are worked out.
      for (let at = 0; at < ids.length && !gone; at += LINES_AT_A_TIME) {
        const answer = await lessonLines(ids.slice(at, at + LINES_AT_A_TIME)).catch(() => undefined);
        if (gone || !answer?.ok) return;
        setLines((before) => new Map([...before, ...answer.value]));
      }
    })();
    return () => {
      gone = true;
    };
  }, [key]);
  return lines;
}

const LINES_AT_A_TIME = 8;

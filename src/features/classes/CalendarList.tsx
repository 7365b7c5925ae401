'use client';

import Link from 'next/link';
import { dayName } from '@/ui/dates';
import { useFinder } from '@/ui/useFinder';

export interface ListedSession {
  readonly id: number;
  readonly day: string;
  readonly group: string;
  readonly lesson: string;
}

/** Sessions ahead, by day. */
export function CalendarList({ sessions }: { sessions: readonly ListedSession[] }) {
  const { shown, head, foot } = useFinder(
    sessions,
    'sessions ahead',
    ({ day, group, lesson }) => `${dayName(day)} ${day} ${group} ${lesson}`,
  );
  return (
    <>
      {head}
      <ul>
        {shown.map(({ id, day, group, lesson }) => (
          <li key={id}>
            <span className="soft">{dayName(day)}</span> {group}:{' '}
            <Link prefetch={false} href={`/check/${id}`}>
              {lesson}
            </Link>
          </li>
        ))}
        {sessions.length === 0 && (
          <li className="soft">No session ahead: open a lesson and give it to a group.</li>
        )}
      </ul>
      {foot}
    </>
  );
}

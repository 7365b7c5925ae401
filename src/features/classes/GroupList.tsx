'use client';

import Link from 'next/link';
import { dayName } from '@/ui/dates';
import { useFinder, type Orders } from '@/ui/useFinder';

export interface ListedGroup {
  readonly id: number;
  readonly name: string;
  readonly meets: string;
  readonly students: number;
  readonly next: { readonly lesson: string; readonly day: string } | undefined;
}

/** Groups with how many are in them and what they have next. */
export function GroupList({ groups, none }: { groups: readonly ListedGroup[]; none: string }) {
  const { shown, head, foot } = useFinder(
    groups,
    'groups',
    ({ name, meets, next }) => `${name} ${meets} ${next?.lesson ?? ''}`,
    ORDERS,
    'by name',
  );
  return (
    <>
      {head}
      <ul>
        {shown.map(({ id, name, meets, students, next }) => (
          <li key={id}>
            <Link prefetch={false} href={`/classes/${id}`} className="strong">
              {name}
            </Link>{' '}
            <span className="soft">
              {students} students{meets && `, ${meets}`}
            </span>
            {next && (
              <div className="small-print">
                next: {next.lesson}, {dayName(next.day)}
              </div>
            )}
          </li>
        ))}
        {groups.length === 0 && <li className="soft">{none}</li>}
      </ul>
      {foot}
    </>
  );
}

const LATEST = '9999';
const ORDERS: Orders<ListedGroup> = {
  'by their next session': (a, b) => (a.next?.day ?? LATEST).localeCompare(b.next?.day ?? LATEST),
};

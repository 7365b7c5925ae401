import type { Attendance } from '@/server/repositories/attendance';
import type { Bench } from './bench';

/** How a bench takes part: with somebody at it, late, away, or empty because its student works at another one. */
export type Presence =
  { readonly state: 'here' | 'late' | 'absent' } | { readonly state: 'with'; readonly at: Bench };

const HERE: Presence = { state: 'here' };

export function presenceOf(
  { id }: Bench,
  attendance: readonly Attendance[],
  students: readonly Bench[],
): Presence {
  const noted = attendance.find(({ studentId }) => studentId === id);
  if (!noted) return HERE;
  if (noted.state !== 'with') return { state: noted.state };
  const at = students.find((one) => one.id === noted.withStudent);
  return at ? { state: 'with', at } : HERE;
}

/** Whether figures are expected of a bench: nobody measures where nobody builds. */
export function isBuilt({ state }: Presence): boolean {
  return state === 'here' || state === 'late';
}

export function presenceWords(presence: Presence): string {
  if (presence.state === 'with') return `with ${presence.at.bench} ${presence.at.nickname}`;
  return presence.state;
}

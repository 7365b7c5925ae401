import { clockTime, dayName, dayOf } from './dates';

/** An instant by this machine's clock, and by that of the phone or computer that it came from. */
export interface Arrived {
  /** Empty while it is on its way. */
  readonly arrivedAt: string;
  readonly takenAt: string;
}

/** A clock that is off by less is right, and what waits for less in a phone came at once. */
const SAME_MS = 120_000;

/**
 * When something arrived; where the clock that it came from says another time, that beside it.
 *
 * @example timeWords({ arrivedAt: '2026-11-30T17:20:00Z', takenAt: '1970-01-01T00:00:00Z' })
 * // '17:20 (by its own clock Thu 1 Jan 1970, 00:00)'
 */
export function timeWords({ arrivedAt, takenAt }: Arrived): string {
  if (arrivedAt === '') return clockTime(takenAt);
  const time = clockTime(arrivedAt);
  if (Math.abs(Date.parse(arrivedAt) - Date.parse(takenAt)) < SAME_MS) return time;
  const [day, own] = [arrivedAt, takenAt].map((at) => dayOf(new Date(at))) as [string, string];
  return `${time} (by its own clock ${day === own ? '' : `${dayName(own)}, `}${clockTime(takenAt)})`;
}

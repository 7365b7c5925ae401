import { format, parseISO } from 'date-fns';

/** `2026-12-01` as `Tue 1 Dec`; a day of another year than this one bears its year. */
export function dayName(day: string, now = new Date()): string {
  return format(parseISO(day), day.startsWith(`${now.getFullYear()}-`) ? 'EEE d MMM' : 'EEE d MMM yyyy');
}

export function longDayName(day: string): string {
  return format(parseISO(day), 'EEEE d MMMM yyyy');
}

/** An instant as the clock on the wall shows it. */
export function clockTime(instant: string | Date): string {
  return format(typeof instant === 'string' ? parseISO(instant) : instant, 'HH:mm');
}

/** The calendar day of an instant in local time. */
export function dayOf(instant: Date): string {
  return format(instant, 'yyyy-MM-dd');
}

import { TZDate } from '@date-fns/tz';
import { format, parseISO } from 'date-fns';

/** `2026-12-01` as `Tue 1 Dec`; a day of another year than this one bears its year. */
export function dayName(day: string, now = new Date()): string {
  return format(parseISO(day), day.startsWith(`${now.getFullYear()}-`) ? 'EEE d MMM' : 'EEE d MMM yyyy');
}

export function longDayName(day: string): string {
  return format(parseISO(day), 'EEEE d MMMM yyyy');
}

/** An instant as the clock on the wall of the house shows it. */
export function clockTime(instant: string | Date): string {
  return format(inHouse(instant), 'HH:mm');
}

/** The calendar day of an instant where the house is. */
export function dayOf(instant: Date): string {
  return format(inHouse(instant), 'yyyy-MM-dd');
}

/** The server reckons by the zone of the house as a whole; a browser, which may be elsewhere, reads it off the page. */
function inHouse(instant: string | Date): Date {
  const at = typeof instant === 'string' ? parseISO(instant) : instant;
  const zone = typeof document === 'undefined' ? undefined : document.documentElement.dataset['zone'];
  return zone === undefined ? at : new TZDate(at.getTime(), zone);
}

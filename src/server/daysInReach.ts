import { differenceInYears, parseISO } from 'date-fns';

/** Sessions are given within so many years of today; a day further off is likely mistyped. */
const YEARS = 10;

/** A question about a day that is years away; nothing where it is not. */
export function farDay(day: string, now = new Date()): string | undefined {
  const years = differenceInYears(parseISO(day), now);
  if (Math.abs(years) < YEARS) return undefined;
  return `${day} is ${Math.abs(years)} years ${years < 0 ? 'ago' : 'from now'}. Is that the day?`;
}

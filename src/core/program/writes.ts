import { millisOf, stepsAfter, stepsBefore, type ProgramTable } from './table';

/** A program on its way sets the lamps of its columns, and waits. */
export interface Write {
  readonly steps: readonly number[];
  /** Milliseconds until the next. */
  readonly wait: number;
}

/** A fade is made of steps about so many milliseconds long, and of so many of them at most. */
export const FADE_MILLIS = 20;
export const FADE_MOST = 1000;

/** How a fade over so many milliseconds is cut up. */
export function fadeOf(millis: number): { count: number; wait: number; last: number } {
  const count = Math.min(FADE_MOST, Math.max(1, Math.floor(millis / FADE_MILLIS)));
  const wait = Math.floor(millis / count);
  return { count, wait, last: millis - wait * (count - 1) };
}

/** A lamp half way through the k-th of so many steps of a fade, to the nearest whole step. */
export function fadedStep(from: number, to: number, k: number, count: number): number {
  return Math.floor((from * (2 * count - 2 * k + 1) + to * (2 * k - 1) + count) / (2 * count));
}

/** What a program writes to its pins in so many rounds, in order; the last of a program that ends waits for nothing. */
export function writesOf(table: ProgramTable, rounds = table.rounds): Write[] {
  const found: Write[] = [];
  let now = stepsBefore(table);
  for (let round = 0; round < rounds; round++) {
    for (const row of table.rows) {
      if (row.fade) {
        const { count, wait, last } = fadeOf(millisOf(row));
        for (let k = 1; k <= count; k++) {
          const steps = row.steps.map((to, i) => fadedStep(now[i]!, to, k, count));
          found.push({ steps, wait: k < count ? wait : last });
        }
      } else found.push({ steps: row.steps, wait: millisOf(row) });
      now = row.steps;
    }
  }
  if (table.rounds > 0) found.push({ steps: stepsAfter(table), wait: 0 });
  return found;
}

import { formatQuantity } from '@/core';

/** Seconds as one says them: `0.6 s`, `2 min`, or a rate where they are far too short to say. */
export function secondsWords(seconds: number): string {
  if (seconds < 2e-3) return `${formatQuantity(seconds, 's', 3)} (${formatQuantity(1 / seconds, 'Hz', 3)})`;
  return seconds >= 120 ? `${Number((seconds / 60).toPrecision(3))} min` : formatQuantity(seconds, 's', 3);
}

import { THIN } from '@/core';

/** Cents as money: `1.20 €`. */
export function money(cents: number, currency: string): string {
  // What costs something is not free.
  if (cents > 0 && cents < 0.5) return `under ${(0.01).toFixed(2)}${THIN}${currency}`;
  return `${(cents / 100).toFixed(2)}${THIN}${currency}`;
}

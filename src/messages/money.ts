import { THIN } from '@/core';

/** Cents as money: `1.20 €`. */
export function money(cents: number, currency: string): string {
  return `${(cents / 100).toFixed(2)}${THIN}${currency}`;
}

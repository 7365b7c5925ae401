import { formatHours, formatQuantity, type Life } from '@/core';

/** What ends the hours of a battery: a lamp that is too dim to serve, or an empty battery. */
export function lifeWords({ toDim, toEmpty, dimAmps, useful }: Life): string {
  if (toDim === undefined && useful === 0) return 'no lamp is bright enough to serve';
  if (useful < toEmpty) {
    return `along the discharge, until a lamp is below ${formatQuantity(dimAmps, 'A', 1)}; the battery is empty after ${formatHours(toEmpty)}`;
  }
  return 'along the discharge, until the battery is empty';
}

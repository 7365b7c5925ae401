import { formatPlain, formatQuantity, type Bursts } from '@/core';

/** How often, as it is counted: `once in 1.5 s`, `2.7 times a second`. */
export function everyWords(hertz: number): string {
  return hertz < 0.95
    ? `once in ${formatQuantity(1 / hertz, 's', 2)}`
    : `${formatPlain(Number(hertz.toPrecision(2)))} times a second`;
}

/** Flashes of one burst: `5 times a burst, 9.1 bursts a minute`; where bursts differ by one, both numbers. */
export function burstWords({ flashes, every }: Bursts): string {
  const [few, many] = [Math.floor(flashes + 0.15), Math.ceil(flashes - 0.15)];
  const times = few === many ? `${few}` : `${few} or ${many}`;
  return `${times} times a burst, ${formatPlain(60 / every, 1, 2)} bursts a minute`;
}

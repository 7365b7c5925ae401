import type { BenchName } from './benches';

/** A made-up bench by its numbers, as a command names it: session, class, bench, and whether it has been mended. */
export function benchNamed(text: string): BenchName | undefined {
  const found = /^(\d{1,9}),(\d{1,9}),(\d{1,9}),([01])$/u.exec(text.replace(/\s+/gu, ''));
  if (!found) return undefined;
  const [sessionId, seed, bench] = found.slice(1, 4).map(Number) as [number, number, number];
  return { sessionId, seed, bench, mended: found[4] === '1' };
}

export function benchText({ sessionId, seed, bench, mended }: BenchName): string {
  return [sessionId, seed, bench, Number(mended)].join(',');
}

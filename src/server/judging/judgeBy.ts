import { createHash } from 'node:crypto';
import { inThread } from '../work/pool';
import type { BenchReadings, Judgement } from './bench';

/**
 * Judges benches in the thread that judges. What it judges by is handed over once, by a name that is made of it, and
 * stays prepared there.
 *
 * @param expectation as it is kept: a session's expectation as JSON
 */
export async function judgeBy(
  expectation: string,
  benches: readonly BenchReadings[],
): Promise<readonly Judgement[]> {
  const name = createHash('sha256').update(expectation).digest('base64');
  const known = await inThread('judge', { name, benches });
  return known ?? (await inThread('judge', { name, benches, expectation }))!;
}

import type { JudgedBench } from './bench';
import type { Cause } from './grouped';

/** One cause that several benches of a class show: rather their common box of parts than each bench's own mistake. */
export interface SharedCause {
  readonly cause: Pick<Cause, 'code' | 'data' | 'also'>;
  /** Places of the benches in the list. */
  readonly benches: readonly number[];
}

/** So many benches, and such a share of those that were measured, make a cause a shared one. */
const BENCHES_LEAST = 3;
const SHARE_LEAST = 0.3;

/** Causes that stand first, or belong to the first group, at several benches; the most shared first. */
export function sharedCauses(judged: readonly JudgedBench[]): SharedCause[] {
  const measured = judged.filter(({ state }) => state !== 'none').length;
  const found = new Map<string, { cause: SharedCause['cause']; benches: number[] }>();
  judged.forEach(({ diagnosis }, bench) => {
    for (const { code, data, also } of diagnosis?.groups[0]?.causes.slice(0, 1) ?? []) {
      if (code === 'right' || code === 'something-else' || also) continue;
      // A pack part-used a little more or less is one cause; so is one value read for another.
      const key = JSON.stringify([code, data.part, data.ohms, data.farads, data.lamp]);
      const before = found.get(key) ?? { cause: { code, data }, benches: [] };
      before.benches.push(bench);
      found.set(key, before);
    }
  });
  return [...found.values()]
    .filter(({ benches }) => benches.length >= BENCHES_LEAST && benches.length >= SHARE_LEAST * measured)
    .sort((a, b) => b.benches.length - a.benches.length);
}

import { comesBack, stockKey } from '@/core';
import { openBenches, type OpenBench } from './repositories/judgements';
import { sessionLines, sessions, type SessionHead, type SessionLine } from './repositories/sessions';
import { stockRows } from './repositories/stock';

export interface Retest {
  readonly session: SessionLine;
  readonly benches: readonly OpenBench[];
}

export interface Today {
  readonly next: SessionHead | undefined;
  readonly after: readonly SessionHead[];
  readonly retests: readonly Retest[];
  readonly short: readonly Shortage[];
}

/** What the sessions ahead want more of than the store holds. */
export interface Shortage {
  readonly line: SessionHead['summary']['kit'][number];
  readonly short: number;
}

/** So many benches that want a retest are shown; older ones come up as these are closed. */
const RETESTS_MOST = 60;
/** The next session and those after it. */
const AHEAD = 5;

/** What the day asks for: the next session with its packing list, who needs a retest, what is short. */
export async function todayFor(day: string): Promise<Today> {
  const [ahead, open, stock] = await Promise.all([
    sessions({ from: day }),
    openBenches(day, RETESTS_MOST),
    stockRows(),
  ]);
  const begun = await sessionLines({ ids: [...new Set(open.map(({ sessionId }) => sessionId))] });
  return {
    next: ahead[0],
    after: ahead.slice(1, AHEAD),
    retests: [...new Set(open.map(({ sessionId }) => sessionId))].flatMap((id) => {
      const session = begun.find((one) => one.id === id);
      return session ? [{ session, benches: open.filter((bench) => bench.sessionId === id) }] : [];
    }),
    short: shortagesOf(ahead, stock),
  };
}

/** What a session and all others ahead are short of, of the kinds that this one wants. */
export async function shortWith(sessionId: number, day: string): Promise<readonly Shortage[]> {
  const [ahead, stock] = await Promise.all([sessions({ from: day }), stockRows()]);
  const own = new Set(ahead.find(({ id }) => id === sessionId)?.summary.kit.map(({ key }) => key));
  return shortagesOf(ahead, stock).filter(({ line }) => own.has(line.key));
}

function shortagesOf(
  ahead: readonly SessionHead[],
  stock: Awaited<ReturnType<typeof stockRows>>,
): readonly Shortage[] {
  const held = new Map(stock.map((row) => [stockKey(row.spec), row.have]));
  const needed = new Map<string, { line: Shortage['line']; need: number }>();
  // What one session uses up, the next has to find anew; boards and tools come back.
  for (const line of ahead.flatMap((s) => s.summary.kit)) {
    const known = needed.get(line.key);
    const before = known?.need ?? 0;
    const need = comesBack(line.spec) ? Math.max(before, line.need) : before + line.need;
    needed.set(line.key, { line, need });
  }
  return [...needed.values()]
    .map(({ line, need }) => ({ line, short: need - (held.get(line.key) ?? 0) }))
    .filter((row) => row.short > 0);
}

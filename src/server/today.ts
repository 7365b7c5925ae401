import { formatISO, parseISO, subDays } from 'date-fns';
import { stockKey } from '@/core';
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
  readonly short: readonly { readonly line: SessionHead['summary']['kit'][number]; readonly short: number }[];
}

/** Sessions this many days back are still looked through for benches that want a retest. */
const LOOK_BACK_DAYS = 21;
/** The next session and those after it. */
const AHEAD = 5;

/** What the day asks for: the next session with its packing list, who needs a retest, what is short. */
export async function todayFor(day: string): Promise<Today> {
  const since = formatISO(subDays(parseISO(day), LOOK_BACK_DAYS), { representation: 'date' });
  const [ahead, begun, stock] = await Promise.all([
    sessions({ from: day, most: AHEAD }),
    sessionLines({ from: since, to: day, newest: true }),
    stockRows(),
  ]);
  const open = await openBenches(begun.map(({ id }) => id));
  const held = new Map(stock.map((row) => [stockKey(row.spec), row.have]));
  const needed = new Map<string, { line: SessionHead['summary']['kit'][number]; need: number }>();
  for (const line of ahead.slice(0, 2).flatMap((s) => s.summary.kit)) {
    const known = needed.get(line.key);
    needed.set(line.key, { line, need: Math.max(known?.need ?? 0, line.need) });
  }
  const short = [...needed.values()]
    .map(({ line, need }) => ({ line, short: need - (held.get(line.key) ?? 0) }))
    .filter((row) => row.short > 0);
  return {
    next: ahead[0],
    after: ahead.slice(1),
    retests: begun.flatMap((session) => {
      const benches = open.filter((bench) => bench.sessionId === session.id);
      return benches.length > 0 ? [{ session, benches }] : [];
    }),
    short,
  };
}

import { formatISO, parseISO, subDays } from 'date-fns';
import { likeliestWords, nextWords } from '@/messages/causes';
import type { VerdictName } from '@/core';
import { judgeStudent, checkBook } from './checkBook';
import { sessions, type SessionHead } from './repositories/sessions';
import { stockRows } from './repositories/stock';
import { stockKey } from '@/core';

export interface Retest {
  readonly sessionId: number;
  readonly lesson: string;
  readonly group: string;
  readonly onDate: string;
  readonly benches: readonly {
    readonly bench: number;
    readonly nickname: string;
    readonly state: VerdictName;
    readonly cause: string;
    readonly next: string;
  }[];
}

export interface Today {
  readonly next: SessionHead | undefined;
  readonly after: readonly SessionHead[];
  readonly retests: readonly Retest[];
  readonly short: readonly { readonly line: SessionHead['summary']['kit'][number]; readonly short: number }[];
}

/** Sessions this many days back are still looked through for benches that want a retest. */
const LOOK_BACK_DAYS = 21;

/** What the day asks for: the next session with its packing list, who needs a retest, what is short. */
export async function todayFor(day: string): Promise<Today> {
  const live = (await sessions()).filter((s) => s.archivedAt === null);
  const ahead = live.filter((s) => s.onDate >= day);
  const since = formatISO(subDays(parseISO(day), LOOK_BACK_DAYS), { representation: 'date' });
  const begun = live.filter((s) => s.onDate <= day && s.onDate >= since);
  const [retests, stock] = await Promise.all([Promise.all(begun.map((s) => retestsOf(s.id))), stockRows()]);
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
    after: ahead.slice(1, 5),
    retests: retests.filter((r) => r.benches.length > 0).reverse(),
    short,
  };
}

async function retestsOf(sessionId: number): Promise<Retest> {
  const { session, students, readings } = await checkBook(sessionId);
  const { points } = session.expectation.dictionary;
  const benches = students.flatMap(({ id, bench, nickname }) => {
    const { state, diagnosis } = judgeStudent(session, id, readings);
    if (state === 'none' || state === 'right' || !diagnosis) return [];
    const cause = state === 'close' ? 'too close to call' : likeliestWords(diagnosis, points);
    return [{ bench, nickname, state, cause, next: nextWords(diagnosis, points) ?? '' }];
  });
  return {
    sessionId,
    lesson: session.lessonTitle,
    group: session.groupName,
    onDate: session.onDate,
    benches,
  };
}

import { ownExpectationTexts } from '../repositories/benchContexts';
import { mendedIn } from '../repositories/foundFaults';
import {
  benchesWaiting,
  judgementAt,
  keepJudgements,
  sessionsWaiting,
  type BenchJudgement,
  type KeptJudgement,
  type WaitingBench,
} from '../repositories/judgements';
import { readingsAt } from '../repositories/readings';
import { expectationText } from '../repositories/sessions';
import { judgeBy } from './judgeBy';

/** So many benches are judged and kept at a time: what comes in meanwhile is in the next ones. */
const AT_ONCE = 8;

/** The judging of one session while it goes on. */
interface Underway {
  /** Something changed since its benches were looked up. */
  again: boolean;
  readonly done: Promise<void>;
  /** Who waits for the benches that are judged next. */
  readonly waiting: (() => void)[];
}

const held = globalThis as {
  mivvetJudging?: Map<number, Underway>;
  mivvetJudgingAll?: Promise<void> | undefined;
};

/**
 * Judges the benches of a session that wait for it: one judging a session at a time, which begins again where more came
 * in meanwhile.
 *
 * @returns ends when none waits any more
 */
export function judgeSession(sessionId: number): Promise<void> {
  return judgingOf(sessionId).done;
}

/**
 * How one bench stands by what was read there until now; whoever asks does not wait for the others of its session.
 *
 * @returns undefined where nothing was ever read there
 * @throws where it cannot be judged
 */
export async function judgedNow(sessionId: number, studentId: number): Promise<BenchJudgement | undefined> {
  for (;;) {
    const found = await judgementAt(sessionId, studentId);
    if (!found?.waits) return found;
    const { done, waiting } = judgingOf(sessionId);
    const part = new Promise<void>((next) => waiting.push(next));
    const ended = await Promise.race([part.then(() => false), done.then(() => true)]);
    if (ended && (await judgementAt(sessionId, studentId))?.waits)
      throw new Error('The bench was not judged.');
  }
}

function judgingOf(sessionId: number): Underway {
  const all = (held.mivvetJudging ??= new Map());
  const running = all.get(sessionId);
  if (running) {
    running.again = true;
    return running;
  }
  const mark = { again: true, waiting: [] };
  const started: Underway = Object.assign(mark, {
    // Not before it stands among those under way.
    done: Promise.resolve()
      .then(() => judgeRounds(sessionId, started))
      .finally(() => all.delete(sessionId)),
  });
  // Who does not wait for it has the rest judged at the next occasion.
  started.done.catch(() => undefined);
  all.set(sessionId, started);
  return started;
}

async function judgeRounds(sessionId: number, now: Underway): Promise<void> {
  while (now.again) {
    now.again = false;
    const benches = await benchesWaiting(sessionId);
    const mended = await mendedIn(sessionId);
    for (let at = 0; at < benches.length; at += AT_ONCE) {
      const overtaken = await judgePart(sessionId, benches.slice(at, at + AT_ONCE), mended);
      if (overtaken) now.again = true;
      for (const next of now.waiting.splice(0)) next();
    }
  }
}

/** @returns whether something changed at one of them meanwhile */
async function judgePart(
  sessionId: number,
  benches: readonly WaitingBench[],
  mended: ReadonlyMap<number, number>,
): Promise<boolean> {
  const ids = benches.map(({ studentId }) => studentId);
  const [own, all] = await Promise.all([ownExpectationTexts(sessionId, ids), readingsAt(sessionId, ids)]);
  const texts = new Set(ids.map((id) => own.get(id) ?? ''));
  const judged = await Promise.all(
    [...texts].map(async (text): Promise<KeptJudgement[]> => {
      const there = benches.filter(({ studentId }) => (own.get(studentId) ?? '') === text);
      const judgements = await judgeBy(
        text || (await expectationText(sessionId)),
        there.map(({ studentId }) => ({
          readings: all.filter((reading) => reading.studentId === studentId),
          mended: mended.get(studentId) ?? 0,
        })),
      );
      return there.map((bench, i) => ({ ...bench, ...judgements[i]! }));
    }),
  );
  return (await keepJudgements(sessionId, judged.flat())) < benches.length;
}

/** Judges whatever waits, one session after the other, in the background; what fails is judged at the next occasion. */
export function judgeInBackground(): Promise<void> {
  held.mivvetJudgingAll ??= judgeAll().finally(() => (held.mivvetJudgingAll = undefined));
  return held.mivvetJudgingAll;
}

async function judgeAll(): Promise<void> {
  const tried = new Set<number>();
  for (;;) {
    const next = (await sessionsWaiting()).find((id) => !tried.has(id));
    if (next === undefined) return;
    // A bench that cannot be judged is left for the next start.
    tried.add(next);
    await judgeSession(next).catch((error: unknown) => console.error('mivvet: judging:', error));
  }
}

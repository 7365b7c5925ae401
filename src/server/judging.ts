import {
  GLANCE,
  glanceVerdict,
  lampsIn,
  partsIn,
  countingReadings,
  type Noted,
  type SessionExpectation,
} from '@/core';
import { likeliestWords, nextWords } from '@/messages/causes';
import { benchRead } from '@/messages/seen';
import { expectationsOf } from './repositories/benchContexts';
import { mendedIn } from './repositories/foundFaults';
import { benchesWaiting, keepJudgement, type Bench, type BenchJudgement } from './repositories/judgements';
import { PREDICTED, readings, type Reading } from './repositories/readings';
import { expectationOf } from './repositories/sessions';
import { inThread } from './work/pool';

interface Fresh {
  readonly judgements: readonly BenchJudgement[];
  /** Settles when they are kept; who only shows them does not wait for it. */
  readonly kept: Promise<unknown>;
}

/** Judges the benches of a session that wait for it, in threads of their own. */
export async function judgeSession(sessionId: number): Promise<Fresh> {
  const waiting = await benchesWaiting(sessionId);
  if (waiting.length === 0) return { judgements: [], kept: Promise.resolve() };
  const [expectation, own, all, mended] = await Promise.all([
    expectationOf(sessionId),
    expectationsOf(sessionId),
    readings([sessionId]),
    mendedIn(sessionId),
  ]);
  const fresh = await Promise.all(
    waiting.map((bench) =>
      judgeOne(bench, own.get(bench.studentId) ?? expectation, all, mended.get(bench.studentId)),
    ),
  );
  const kept = Promise.all(
    fresh.map(({ judgement, newest, verdicts }) => keepJudgement(judgement, newest, verdicts)),
  );
  // Who does not wait for it has them judged again at the next occasion.
  kept.catch(() => undefined);
  return { judgements: fresh.map(({ judgement }) => judgement), kept };
}

async function judgeOne(
  bench: Bench,
  expectation: SessionExpectation,
  all: readonly Reading[],
  mended: number | undefined,
) {
  const own = all.filter((r) => r.studentId === bench.studentId);
  const isFigure = ({ point, kind }: Reading) => point !== PREDICTED && kind !== 'taken-back';
  const real = own.filter((r) => isFigure(r) && r.point !== GLANCE);
  const glances = own.filter((r) => isFigure(r) && r.point === GLANCE);
  const { judged, verdicts } = await inThread('judge', {
    expectation,
    bench: readAt(bench.studentId, own, expectation, mended),
    readings: real.map(noted),
  });
  const { points } = expectation.dictionary;
  const { diagnosis, state } = judged;
  const open = diagnosis !== undefined && (state === 'off' || state === 'close');
  const judgement: BenchJudgement = {
    ...bench,
    judged,
    cause: !open ? '' : state === 'close' ? 'too close to call' : likeliestWords(diagnosis, points),
    next: open ? (nextWords(diagnosis, points) ?? '') : '',
  };
  return {
    judgement,
    newest: own[own.length - 1]?.id ?? 0,
    verdicts: [
      ...real.map(({ id }, i) => ({ id, verdict: verdicts[i] })),
      ...glances.map(({ id, value }) => ({ id, verdict: glanceVerdict(value) })),
      ...own.filter((r) => !isFigure(r)).map(({ id }) => ({ id, verdict: undefined })),
    ],
  };
}

const noted = ({ point, value, step }: Reading): Noted => ({ point, value, step });

/**
 * What counts now of one student: the newest reading of each checkpoint, and the newest glance.
 *
 * @param mended the last reading before something was mended
 */
export function readAt(
  studentId: number,
  all: readonly Reading[],
  expectation: SessionExpectation,
  mended = 0,
) {
  const own = all.filter((r) => r.studentId === studentId && r.point !== PREDICTED);
  return benchRead(countingReadings(own, mended), lampsIn(expectation), partsIn(expectation));
}

const held = globalThis as { mivvetJudging?: Promise<void> | undefined };

/** Judges whatever waits, one session after the other, in the background; what fails is judged at the next occasion. */
export function judgeInBackground(): Promise<void> {
  held.mivvetJudging ??= judgeAll()
    .catch((error: unknown) => console.error('mivvet: judging:', error))
    .finally(() => (held.mivvetJudging = undefined));
  return held.mivvetJudging;
}

async function judgeAll(): Promise<void> {
  let before = '';
  for (let waiting = await benchesWaiting(); waiting.length > 0; waiting = await benchesWaiting()) {
    // A bench that cannot be judged is left for the next start.
    const now = JSON.stringify(waiting);
    if (now === before) return;
    before = now;
    for (const sessionId of new Set(waiting.map((bench) => bench.sessionId)))
      await (
        await judgeSession(sessionId)
      ).kept;
  }
}

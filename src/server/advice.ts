import {
  countingReadings,
  GLANCE,
  PREDICTED,
  standingReadings,
  type JudgedBench,
  type VerdictName,
} from '@/core';
import { lookWords, nextWords } from '@/messages/causes';
import { isAlarm } from '@/messages/seen';
import { judgedNow } from './judging';
import { judgeBy } from './judging/judgeBy';
import { ownExpectationTexts } from './repositories/benchContexts';
import { mendedIn } from './repositories/foundFaults';
import { readingsAt, type Reading } from './repositories/readings';
import { expectationAt, expectationText, sessionHints, type Hints } from './repositories/sessions';

/** What a student is told of one reading: it is right, it should be read again, or the educator should be asked. */
export type Advice = 'right' | 'again' | 'ask';

export interface BenchAdvice {
  readonly points: Readonly<Record<string, Advice>>;
  /** How the whole bench stands; `so-far` while something is left to measure. */
  readonly whole: VerdictName | 'so-far' | 'none';
  /** Something was seen to be hot, to smoke or to smell: power off comes before everything. */
  readonly alarm?: true;
  /** What to look at, where the educator lets students be told. */
  readonly hint?: string;
  /** What to measure or look at next. */
  readonly next?: string;
}

/** A figure that is off is read once more before anybody is asked; of a bench that is right as a whole none is doubted. */
const TRIES = 2;

export async function benchAdvice(sessionId: number, studentId: number): Promise<BenchAdvice> {
  const [stands, { dictionary }, all, hints, mended] = await Promise.all([
    judgedNow(sessionId, studentId),
    expectationAt(sessionId, studentId),
    readingsAt(sessionId, [studentId]),
    sessionHints(sessionId),
    mendedIn(sessionId),
  ]);
  const ever = all.filter((r) => r.point !== PREDICTED);
  const own = countingReadings(ever, mended.get(studentId) ?? 0);
  // Where nothing was read yet, or all was taken back, it is told where to begin.
  const judged = own.length > 0 && stands ? stands.judged : await unread(sessionId, studentId);
  const { points } = dictionary;
  const advices = Object.entries(judged.verdicts).map(
    ([point, { verdict }]) =>
      [point, judged.state === 'right' ? 'right' : adviceOf(verdict, triesAt(own, point))] as const,
  );
  // What was read before the bench was mended is to be read again.
  const past = standingReadings(ever)
    .filter(({ point }) => !triesAt(own, point))
    .map(({ point }) => [point, 'again'] as const);
  const { state, next, diagnosis } = judged;
  const hint = state === 'off' && diagnosis && isTold(hints, own) ? lookWords(diagnosis) : '';
  const alarm = isAlarm(
    standingReadings(ever)
      .filter(({ point }) => point === GLANCE)
      .map(({ typed }) => typed),
  );
  const more = next && !alarm && nextWords({ next }, points);
  return {
    points: Object.fromEntries([...past, ...advices]),
    whole: state === 'right' && next ? 'so-far' : state,
    ...(alarm ? { alarm } : {}),
    ...(hint && !alarm ? { hint } : {}),
    ...(more ? { next: more } : {}),
  };
}

/** How a bench stands at which nothing was read: what to begin with. */
async function unread(sessionId: number, studentId: number): Promise<JudgedBench> {
  const own = await ownExpectationTexts(sessionId, [studentId]);
  const text = own.get(studentId) ?? (await expectationText(sessionId));
  const [judgement] = await judgeBy(text, [{ readings: [], mended: 0 }]);
  return judgement!.judged;
}

function triesAt(own: readonly Reading[], point: string): number {
  return own.filter((reading) => reading.point === point).length;
}

function adviceOf(verdict: VerdictName | undefined, tries: number): Advice {
  if (verdict === 'right') return 'right';
  return verdict === 'off' && tries >= TRIES ? 'ask' : 'again';
}

function isTold(hints: Hints, own: readonly Reading[]): boolean {
  if (hints === 'never') return false;
  return hints === 'full' || own.some(({ point }) => triesAt(own, point) >= TRIES);
}

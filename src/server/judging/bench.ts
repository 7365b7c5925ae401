import {
  countingReadings,
  GLANCE,
  glanceVerdict,
  judgeBench,
  judgeReading,
  lampsIn,
  partsIn,
  PREDICTED,
  type Noted,
  type ReadingKind,
  type JudgedBench,
  type SessionExpectation,
  type Verdict,
} from '@/core';
import { likeliestWords, nextWords } from '@/messages/causes';
import { benchRead } from '@/messages/seen';

interface JudgedReading extends Noted {
  readonly id: number;
  readonly studentId: number;
  readonly kind: ReadingKind;
  readonly typed: string;
}

/** All that was ever read at a bench, oldest first. */
export interface BenchReadings {
  readonly readings: readonly JudgedReading[];
  /** Number of the last reading before something was mended there; 0 where nothing was. */
  readonly mended: number;
}

/** The verdict on one reading, by its number; none of what is no figure. */
export interface ReadingVerdict {
  readonly id: number;
  readonly verdict: Verdict | undefined;
}

export interface Judgement {
  readonly judged: JudgedBench;
  /** The likeliest cause in words, and what would settle it; empty where there is nothing to say. */
  readonly cause: string;
  readonly next: string;
  readonly verdicts: readonly ReadingVerdict[];
}

/** Judges a bench by what counts there now, and each of its readings by itself. */
export function judgementOf(expectation: SessionExpectation, { readings, mended }: BenchReadings): Judgement {
  const counting = countingReadings(
    readings.filter(({ point }) => point !== PREDICTED),
    mended,
  );
  const { noted, looks } = benchRead(counting, lampsIn(expectation), partsIn(expectation));
  const judged = judgeBench(expectation, noted, looks);
  const { points } = expectation.dictionary;
  const { diagnosis, state } = judged;
  const open = diagnosis !== undefined && (state === 'off' || state === 'close');
  return {
    judged,
    cause: !open ? '' : state === 'close' ? 'too close to call' : likeliestWords(diagnosis, points),
    next: open ? (nextWords(diagnosis, points) ?? '') : '',
    verdicts: readings.map((reading) => ({ id: reading.id, verdict: verdictOn(expectation, reading) })),
  };
}

function verdictOn(
  expectation: SessionExpectation,
  { point, kind, value, step }: JudgedReading,
): Verdict | undefined {
  if (point === PREDICTED || kind === 'taken-back') return undefined;
  if (point === GLANCE) return glanceVerdict(value);
  return judgeReading(expectation, { point, value, step })?.verdict;
}

import { meterHalfWidth, readingAsNoted, type MeterReading } from '../catalogue/meter';
import type { SessionExpectation } from './session';
import { diagnose, type Diagnosis } from './diagnose';
import { benchState, judge, type Verdict, type VerdictName } from './verdict';

/** A figure as it was noted at one checkpoint of a bench. */
export interface Noted {
  readonly point: string;
  readonly value: number;
  /** The last digit noted, in SI. */
  readonly step: number;
}

export interface JudgedBench {
  readonly verdicts: Readonly<Record<string, Verdict>>;
  readonly state: VerdictName | 'none';
  /** Only for a bench that is off or close: what is likely wrong and what to measure next. */
  readonly diagnosis?: Diagnosis;
}

/** The verdict on one reading, with the meter's range told by what was noted; undefined at an unknown checkpoint. */
export function judgeReading(
  { expected, dictionary, meter }: SessionExpectation,
  { point, value, step }: Noted,
): { verdict: Verdict; index: number; halfWidth: number } | undefined {
  const index = dictionary.points.findIndex(({ id }) => id === point);
  const band = expected.points[index];
  if (!band) return undefined;
  const { measure, usual } = dictionary.points[index]!;
  const reading: MeterReading = readingAsNoted(meter, measure, value, step, usual);
  return {
    verdict: judge(reading, band, meter, measure),
    index,
    halfWidth: meterHalfWidth(meter, measure, reading),
  };
}

/**
 * Judges all current readings of one bench, and looks for the cause when one is not plainly right.
 * One reading at the edge of its band is a close call by itself; with the others it may be plain enough.
 */
export function judgeBench(session: SessionExpectation, noted: readonly Noted[]): JudgedBench {
  const verdicts: Record<string, Verdict> = {};
  const taken: { point: number; value: number; halfWidth: number }[] = [];
  for (const reading of noted) {
    const judged = judgeReading(session, reading);
    if (!judged) continue;
    verdicts[reading.point] = judged.verdict;
    taken.push({ point: judged.index, value: reading.value, halfWidth: judged.halfWidth });
  }
  const state = benchState(Object.values(verdicts).map((v) => v.verdict));
  if (state === 'none' || state === 'right') return { verdicts, state };
  const diagnosis = diagnose(session.dictionary, session.meter, taken);
  if (state === 'close' && taken.length > 1 && surelyRight(diagnosis)) return { verdicts, state: 'right' };
  return { verdicts, state, diagnosis };
}

/** Belief in the right build from which a reading at the edge of its band no longer holds a bench up. */
const SURE = 0.95;

function surelyRight({ groups }: Diagnosis): boolean {
  const first = groups[0];
  return (
    first !== undefined && first.probability >= SURE && first.causes.some(({ code }) => code === 'right')
  );
}

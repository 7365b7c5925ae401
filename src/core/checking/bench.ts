import { meterHalfWidth, readingAsNoted, type MeterReading } from '../catalogue/meter';
import { diagnose, type Diagnosis } from './diagnose';
import { measuredAt } from './dictionary';
import { RIGHT_STATES } from './faults/fault';
import type { SeenLook } from './seen';
import type { SessionExpectation } from './session';
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
  /** Chance that the state is not what it says, by all readings together. */
  readonly risk?: number;
  /** What is likely wrong and what to measure next; for a right bench, only where its knob or pack stand elsewhere. */
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
  const judged = dictionary.points[index]!;
  const measure = measuredAt(judged);
  const reading: MeterReading = readingAsNoted(meter, measure, value, step, judged.usual);
  return {
    verdict: judge(reading, band, meter, measure),
    index,
    halfWidth: meterHalfWidth(meter, measure, reading),
  };
}

/** Belief in the right build from which a reading at the edge of its band no longer holds a bench up. */
const SURE = 0.95;

/**
 * Judges all current readings of one bench, and what was seen there, and looks for the cause when one is not plainly
 * right. One reading at the edge of its band is a close call by itself; with the others it may be plain enough. A knob
 * that stands elsewhere and a part-used pack are states of a right build.
 */
export function judgeBench(
  session: SessionExpectation,
  noted: readonly Noted[],
  looks: readonly SeenLook[] = [],
): JudgedBench {
  const verdicts: Record<string, Verdict> = {};
  const taken: { point: number; value: number; halfWidth: number }[] = [];
  for (const reading of noted) {
    const judged = judgeReading(session, reading);
    if (!judged) continue;
    verdicts[reading.point] = judged.verdict;
    taken.push({ point: judged.index, value: reading.value, halfWidth: judged.halfWidth });
  }
  const worst = benchState(Object.values(verdicts).map((v) => v.verdict));
  if (worst === 'none' && looks.length === 0) return { verdicts, state: 'none' };
  const diagnosis = diagnose(session.dictionary, session.meter, taken, looks);
  const right = beliefIn(diagnosis);
  const state = stateOf(worst, right, taken.length + looks.length, looks.length > 0);
  const risk = state === 'right' ? 1 - right : state === 'off' ? right : Math.min(right, 1 - right);
  const asPlanned = diagnosis.groups[0]?.causes[0]?.code === 'right';
  if (state === 'right' && (worst === 'right' || asPlanned)) return { verdicts, state, risk };
  return { verdicts, state, risk, diagnosis };
}

function stateOf(worst: VerdictName | 'none', right: number, readings: number, seen: boolean): VerdictName {
  if (worst === 'right' && !seen) return 'right';
  if (readings > 1 && right >= SURE) return 'right';
  if (worst === 'none' || worst === 'right')
    return right >= SURE ? 'right' : right < 1 - SURE ? 'off' : 'close';
  return worst;
}

/** Belief in a right build, whatever its knob, its button and its pack. */
function beliefIn({ groups }: Diagnosis): number {
  return groups
    .flatMap(({ causes }) => causes)
    .filter(({ code }) => RIGHT_STATES.has(code))
    .reduce((sum, { probability }) => sum + probability, 0);
}

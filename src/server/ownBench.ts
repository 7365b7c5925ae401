import { lampsIn, measuredAt, mistakesIn, type Cause, type Gate, type Sheet, type Step } from '@/core';
import { causeWords } from '@/messages/causes';
import { holdWords } from '@/messages/gates';
import { heldWords, pointName, probeWords } from '@/messages/points';
import { stepWords } from '@/messages/steps';
import { lampsBy, measuredBy, poweredGate } from './gates';
import { givenCard } from './givenCard';
import { group } from './repositories/groups';
import { readings, type Reading } from './repositories/readings';
import { seatsOf } from './repositories/seats';
import { session } from './repositories/sessions';

/** What the board of a step is drawn from. */
export type StepSheet = Pick<Sheet, 'plan' | 'circuit' | 'sorts' | 'supply' | 'build' | 'steps'>;

/** One step as a student follows it. */
export interface BenchStep {
  readonly title: string;
  readonly detail: string;
  readonly cue?: string;
  readonly why?: string;
  /** A stop: one predicts, looks and says what is seen before the detail is shown. */
  readonly stop?: BenchStop;
}

/** What is asked at a stop: which of these lamps light, and some figures. */
export interface BenchStop {
  readonly lamps: readonly string[];
  /** What is pressed, turned or covered for it, in words. */
  readonly hold: string;
  readonly readings: readonly Pick<BenchPoint, 'id' | 'name' | 'measured'>[];
}

/** A checkpoint without what it should read. */
export interface BenchPoint {
  readonly id: string;
  readonly name: string;
  readonly how: string;
  readonly measured: 'volts' | 'amps' | 'hertz' | 'seconds';
  /** By counting flashes, not by ear. */
  readonly counted: boolean;
  /** It flashes in bursts, and is counted within one. */
  readonly pauses: boolean;
}

/** A mistake of a lesson, in words. */
export interface NamedMistake {
  readonly words: string;
  readonly cause: Pick<Cause, 'code' | 'data'>;
}

/** All that one bench sees: its card, where to measure, and its own readings; of no figure how large it should be. */
export interface OwnBench {
  readonly sessionId: number;
  readonly studentId: number;
  readonly bench: number;
  readonly nickname: string;
  readonly title: string;
  readonly meter: string;
  readonly sheet: StepSheet | undefined;
  readonly steps: readonly BenchStep[];
  readonly points: readonly BenchPoint[];
  readonly lamps: readonly string[];
  /** What is held while they are looked at, in words; empty for nothing. */
  readonly lampsHeld: string;
  /** Every mistake of the lesson in words, for saying what was found; which are likely is not in it. */
  readonly mistakes: readonly NamedMistake[];
  readonly readings: readonly Reading[];
}

export interface BenchChoice {
  readonly studentId: number;
  readonly bench: number;
  readonly nickname: string;
  readonly taken: boolean;
}

/** The benches of a session, for a student to choose theirs. */
export async function benchChoices(sessionId: number): Promise<BenchChoice[]> {
  const { groupId } = await session(sessionId);
  const [{ students }, taken] = await Promise.all([group(groupId), seatsOf(sessionId)]);
  return students
    .filter((s) => s.archivedAt === null)
    .sort((a, b) => a.bench - b.bench)
    .map(({ id, bench, nickname }) => ({ studentId: id, bench, nickname, taken: taken.includes(id) }));
}

export async function ownBench(sessionId: number, studentId: number): Promise<OwnBench> {
  const held = await session(sessionId);
  const [{ students }, sheet, all] = await Promise.all([
    group(held.groupId),
    givenCard(sessionId),
    readings([sessionId]),
  ]);
  const student = students.find((s) => s.id === studentId)!;
  const { expectation } = held;
  return {
    sessionId,
    studentId,
    bench: student.bench,
    nickname: student.nickname,
    title: held.lessonTitle,
    meter: expectation.meter.name,
    sheet: sheet && {
      plan: sheet.plan,
      circuit: sheet.circuit,
      sorts: sheet.sorts,
      supply: sheet.supply,
      build: sheet.build,
      steps: sheet.steps.map(unread),
    },
    steps: (sheet?.steps ?? []).map((step, at) => benchStep(step, at, sheet!)),
    points: expectation.dictionary.points.map((point) => ({
      id: point.id,
      name: pointName(point),
      how: probeWords(point),
      measured: measuredAt(point),
      counted: point.measure === 'hertz' && point.kind !== 'speaker',
      pauses: point.measure === 'hertz' && point.pauses === true,
    })),
    lamps: lampsIn(expectation),
    lampsHeld: heldWords(expectation.dictionary.looksHeld),
    mistakes: mistakesIn(expectation).map(({ code, data }) => ({
      words: causeWords({ code, data }, expectation.dictionary.points),
      cause: { code, data },
    })),
    readings: all.filter((r) => r.studentId === studentId),
  };
}

function benchStep(step: Step, at: number, sheet: Sheet): BenchStep {
  const { title, detail, cue, why } = stepWords(unread(step), sheet);
  const told = withoutFigures(why);
  const stop = stopAt(step, at, sheet);
  return {
    title,
    detail: withoutFigures(detail),
    ...(cue ? { cue } : {}),
    ...(told ? { why: told } : {}),
    ...(stop ? { stop } : {}),
  };
}

function stopAt(step: Step, at: number, sheet: Sheet): BenchStop | undefined {
  const gate = poweredGate(step);
  if (!gate) return undefined;
  return {
    lamps: lampsBy(sheet, at),
    hold: holdWords(gate),
    readings: gate.readings.map(({ id, part, kind, measure }) => ({
      id,
      name: pointName({ part, kind, measure }),
      measured: measuredBy(measure),
    })),
  };
}

/** A step without the figures that a student is to find. */
function unread(step: Step): Step {
  if (step.action === 'gate') return { ...step, gate: figureless(step.gate) };
  if (step.action === 'block-gate') return { ...step, gate: figureless(step.gate) };
  if (step.action === 'isolate') {
    const parkings = step.isolation.parkings.map((one) => ({ ...one, gate: figureless(one.gate) }));
    return { ...step, isolation: { ...step.isolation, parkings } };
  }
  if (step.action !== 'place-part') return step;
  const { positive: _volts, ...rest } = step;
  return rest;
}

function figureless(gate: Gate): Gate {
  return { ...gate, readings: [], swings: [] };
}

/** Volts and currents are to be found by measuring: what tells of them is left out. */
const FIGURE = /\d\s*(?:mA|µA|mV|V|Hz)\b/u;

function withoutFigures(text: string): string {
  return text
    .split(/(?<=[.;]) /u)
    .filter((sentence) => !FIGURE.test(sentence))
    .join(' ');
}

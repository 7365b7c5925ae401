import type { LampType } from '../catalogue/lamps';
import { TIMERS } from '../catalogue/timers';
import type { SourceChoice } from '../catalogue/supplies';
import type { Circuit } from '../circuit/circuit';
import { KEPT_SHARE } from '../observe/checkpoint';
import { patternOf, type PatternId } from '../patterns/index';
import { allBlink, allLit, type Goal } from '../patterns/goal';
import type { AgeRow } from '../patterns/steady/ages';
import type { ChipTimes, LampTurn } from '../patterns/timed/figures';
import { lessonSums, type LessonSums } from '../patterns/steady/figures';

/**
 * The lesson's aim as conditions, checked on the observed circuit: what its pattern promises, or that every lamp lights.
 *
 * @param asWanted whether the plan, read back, makes the circuit that is wanted
 */
export function goalsOf(pattern: PatternId, sums: LessonSums, asWanted: boolean): Goal[] {
  const promised = patternOf(pattern).goals?.(sums) ?? sums.ages.map(allLit);
  const over = [...sums.ages, ...sums.worst].flatMap(({ lamps }) =>
    lamps.filter(({ share }) => share > 1).map(({ part }) => part),
  );
  return [
    ...promised,
    ...timedGoals(sums),
    { code: 'within-limit', met: over.length === 0, parts: [...new Set(over)] },
    { code: 'board-makes-it', met: asWanted, parts: [] },
  ];
}

/** A lesson with chips keeps its times, feeds them, and blinks where it is to. */
function timedGoals({ own, ages }: LessonSums): Goal[] {
  if (!('timing' in own)) return [];
  const { timing, turns, flashes } = own;
  return [...(flashes ? ages.map(allBlink) : []), keepsTime(timing, turns), ...fed(timing, ages)];
}

/** Whether a circuit with other parts in it still does what its lesson is for. */
export function servesAs(
  pattern: PatternId,
  circuit: Circuit,
  supply: SourceChoice,
  sorts: Readonly<Record<string, LampType>>,
): boolean {
  const sums = lessonSums({ circuit, supply, sorts, strings: [], ratingShare: 1, brief: true });
  return sums.ok && goalsOf(pattern, sums.value, true).every(({ met }) => met);
}

/** Whether every chip has the volts that it is made for, off the supply at each of its ages. */
function fed(chips: readonly ChipTimes[], ages: readonly AgeRow[]): Goal[] {
  return ages.map(({ age, supplyVolts }) => {
    const starved = chips.filter(({ family, reason }) => {
      const lost = reason.why === 'fed-from-output' ? reason.volts : 0;
      return supplyVolts - lost < TIMERS[family].supplyLow;
    });
    return { code: 'chips-fed', age, met: starved.length === 0, parts: starved.map(({ chip }) => chip) };
  });
}

function keepsTime(chips: readonly ChipTimes[], turns: readonly LampTurn[]): Goal {
  const isOff = (span: number, wished: number) => Math.abs(Math.log(span / wished)) > Math.log1p(KEPT_SHARE);
  const off = chips.filter(({ wanted, solved }) => {
    const { high = 0, low = 0, period = high + low } = wanted;
    const whole = wanted.period !== undefined || wanted.low !== undefined;
    const span = whole ? solved.high + solved.low : solved.high;
    return isOff(span, period);
  });
  const lamps = turns.filter(({ solved, wanted }) => isOff(solved, wanted));
  const parts = [...off.map(({ chip }) => chip), ...lamps.map(({ part }) => part)];
  return { code: 'keeps-time', met: parts.length === 0, parts };
}

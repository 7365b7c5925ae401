import { AGE_FACTORS, PACE, type AgeGroup } from './pace';

/** Whole minutes of a lesson by what is done in them. */
export interface LessonTime {
  /** Story, and predictions before anything is built. */
  readonly talk: number;
  readonly build: number;
  /** Every checkpoint once, by each student. */
  readonly check: number;
  /** Parts counted back in, benches cleared. */
  readonly clear: number;
  readonly total: number;
}

/**
 * How long a lesson takes: the card's own minutes, and what stands around them by starting figures of the pace.
 *
 * @param build minutes of the card, for this age
 */
export function lessonTime(build: number, checkpoints: number, age: AgeGroup): LessonTime {
  const factor = AGE_FACTORS[age];
  const parts = {
    talk: PACE.talk,
    build: Math.round(build),
    check: Math.round(PACE.reading * checkpoints * factor),
    clear: PACE.clear,
  };
  return { ...parts, total: Object.values(parts).reduce((sum, minutes) => sum + minutes, 0) };
}

import type { Family, LessonSums, Level, Sheet, SumsOf } from '@/core';
import type { SumBlock, SumLine } from '../sumLines';

/** Everything that is said of a family of lessons in its own words. One object a family, in a file of its name. */
export interface FamilyWords<F extends Family> {
  /** The lesson in a line: what lights or sounds, how, from which supply. */
  line(own: SumsOf<F>, sums: LessonSums): string;
  /** The figure beside the stage of its sums. */
  headline(own: SumsOf<F>, sums: LessonSums): string;
  /** The figure beside the stage of its day; left out, it has none: it does not move. */
  dayHeadline?(own: SumsOf<F>): string;
  /** The working besides the sums of its resistors, at a level. */
  blocks(own: SumsOf<F>, level: Level): readonly SumBlock[];
  /** What is seen and heard, given its lamps in lines. */
  seen(own: SumsOf<F>, lamps: readonly SumLine[], level: Level): readonly SumLine[];
  /** The way of the current, the charge or the sound, traced aloud. */
  path(own: SumsOf<F>, sheet: Sheet): string;
  /** The sum, said aloud with the lesson's own figures. */
  sum(own: SumsOf<F>, sheet: Sheet): string;
  /** What may be asked before power. */
  predict(own: SumsOf<F>, sheet: Sheet): readonly string[];
  /** What else is tried on the finished board, if anything. */
  alsoTry?(own: SumsOf<F>, sheet: Sheet): string;
  /** What a lamp hangs on that is no supply itself. */
  readonly fedBy: 'output' | 'pin';
  /** A lamp's current is told as a mean of what comes and goes. */
  readonly isMean: boolean;
  /** Power is told as the mean of what every instant takes: no product of two means. */
  readonly isMeanPower: boolean;
}

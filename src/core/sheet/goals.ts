import type { Age } from '../catalogue/supplies';
import type { PatternId } from '../patterns/index';
import type { AgeRow, SteadySums } from '../patterns/steady/figures';

/** Something that a lesson's circuit must do, and whether it does, as solved. */
export interface Goal {
  readonly code: 'all-lit' | 'one-takes-all' | 'lights-in-order' | 'within-limit' | 'board-makes-it';
  /** The age of the supply under which it must hold. */
  readonly age?: Age;
  readonly met: boolean;
  /** Lamps that do not do it. */
  readonly parts: readonly string[];
}

/** What each pattern promises of its lamps; most of them light, at every age of their supply. */
const PROMISES: Readonly<Partial<Record<PatternId, (steady: SteadySums) => readonly Goal[]>>> = {
  hogging: ({ design }) => {
    const [first, ...rest] = litIn(design);
    return [{ code: 'one-takes-all', met: first !== undefined && rest.length === 0, parts: rest }];
  },
  gauge: ({ rungs = [] }) => {
    const late = rungs.filter(
      (rung, i) => i > 0 && !((rungs[i - 1]!.lit ?? Infinity) < (rung.lit ?? Infinity)),
    );
    return [{ code: 'lights-in-order', met: late.length === 0, parts: late.map(({ lamp }) => lamp) }];
  },
};

/**
 * The lesson's aim as conditions, checked on the solved circuit.
 *
 * @param asWanted whether the plan, read back, makes the circuit that is wanted
 */
export function goalsOf(pattern: PatternId, steady: SteadySums, asWanted: boolean): Goal[] {
  const promised = PROMISES[pattern]?.(steady) ?? steady.ages.map(allLit);
  const over = steady.ages.flatMap(({ lamps }) =>
    lamps.filter(({ share }) => share > 1).map(({ part }) => part),
  );
  return [
    ...promised,
    { code: 'within-limit', met: over.length === 0, parts: [...new Set(over)] },
    { code: 'board-makes-it', met: asWanted, parts: [] },
  ];
}

function allLit(row: AgeRow): Goal {
  const lit = new Set(litIn(row));
  const dark = row.lamps.filter(({ part }) => !lit.has(part)).map(({ part }) => part);
  return { code: 'all-lit', age: row.age, met: dark.length === 0, parts: dark };
}

function litIn({ lamps }: AgeRow): string[] {
  return lamps.filter(({ brightness }) => brightness !== 'dark').map(({ part }) => part);
}

import type { Scene } from '../catalogue/light';
import type { Age } from '../catalogue/supplies';
import type { AgeRow } from './steady/ages';

/** Something that a lesson's circuit must do, and whether it does, as observed. */
export interface Goal {
  readonly code:
    | 'all-lit'
    | 'blinks'
    | 'one-takes-all'
    | 'lights-in-order'
    | 'within-limit'
    | 'keeps-time'
    | 'chips-fed'
    | 'lit-in'
    | 'dark-in'
    | 'silent-whole'
    | 'sounds-cut'
    | 'follows-table'
    | 'own-tone'
    | 'dark-in-silence'
    | 'board-makes-it';
  /** The age of the supply under which it must hold. */
  readonly age?: Age;
  /** The light in which it must hold. */
  readonly scene?: Scene;
  /** The tone at which it must hold, in hertz. */
  readonly hertz?: number;
  readonly met: boolean;
  /** Lamps that do not do it. */
  readonly parts: readonly string[];
}

/** Every lamp lights, off the supply at one of its ages. */
export function allLit(row: AgeRow): Goal {
  const dark = row.lamps.filter(({ brightness }) => brightness === 'dark').map(({ part }) => part);
  return { code: 'all-lit', age: row.age, met: dark.length === 0, parts: dark };
}

/** Every lamp comes on and goes out again, off the supply at one of its ages. */
export function allBlink(row: AgeRow): Goal {
  const steady = row.lamps.filter(({ hertz }) => hertz === undefined).map(({ part }) => part);
  return { code: 'blinks', age: row.age, met: steady.length === 0, parts: steady };
}

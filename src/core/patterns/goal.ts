import type { Scene } from '../catalogue/light';
import type { Age } from '../catalogue/supplies';

/** Something that a lesson's circuit must do, and whether it does, as observed. */
export interface Goal {
  readonly code:
    | 'all-lit'
    | 'one-takes-all'
    | 'lights-in-order'
    | 'within-limit'
    | 'keeps-time'
    | 'lit-in'
    | 'dark-in'
    | 'silent-whole'
    | 'sounds-cut'
    | 'board-makes-it';
  /** The age of the supply under which it must hold. */
  readonly age?: Age;
  /** The light in which it must hold. */
  readonly scene?: Scene;
  readonly met: boolean;
  /** Lamps that do not do it. */
  readonly parts: readonly string[];
}

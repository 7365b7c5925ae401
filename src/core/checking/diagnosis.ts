import type { CauseGroup } from './grouped';
import type { Next } from './next';

/** What is likely wrong with one bench, and what to measure next. */
export interface Diagnosis {
  /** Causes from the likeliest down; those that nothing can tell apart stand in one group. */
  readonly groups: readonly CauseGroup[];
  /** How many times likelier the first group is than the next. */
  readonly lead: number;
  /** What is expected to tell most next, if anything is left. */
  readonly next?: Next;
}

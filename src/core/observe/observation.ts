import type { Circuit } from '../circuit/circuit';
import type { Solution } from '../solver/report';
import type { Run } from '../solver/run/passage';
import type { Solved } from '../solver/solve';

/** A build at rest: volts at every node, and what every part does. */
export interface Still extends Solved {
  readonly kind: 'still';
  readonly circuit: Circuit;
  /** Chips that starve were left out to find it: the whole has no state that could be solved for. */
  readonly starved?: boolean;
}

/** A build that never rests: its run, and the means of everything over whole cycles. */
export interface Moving extends Solution {
  readonly kind: 'moving';
  readonly circuit: Circuit;
  readonly run: Run;
  /** From switching on, where `run` begins later: at a rise, with every capacitor as it stands by then. */
  readonly startUp?: Run;
  /** It swings nothing but the board's own picofarads: what it does then cannot be relied on. */
  readonly erratic?: boolean;
  /** Seconds of the run that the means are taken over. */
  readonly window: readonly [number, number];
}

/** What a build does from switching on: all that limits and a day are about. */
export function fromSwitchOn({ run, startUp }: Moving): Run {
  return startUp ?? run;
}

export type Observation = Still | Moving;

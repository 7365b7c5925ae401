export interface RunPlan {
  /** Seconds to follow, from t = 0. */
  readonly seconds: number;
  /** Seconds before cycles are counted and means taken. */
  readonly settle: number;
  /** Rounds of every timer that are not counted, as they begin from empty capacitors. */
  readonly skip: number;
  /** Evenly spaced instants to record, both ends included; or every step that is taken. */
  readonly samples: number | 'steps';
  /** Means of every part's amps are taken over so many seconds at a time, one after another. */
  readonly frame?: number;
}

export const RUN_DEFAULTS = { settle: 0, skip: 0, samples: 2000 } as const;

/** A timer's output that has gone up or down. */
export interface Switching {
  readonly time: number;
  /** Name of the output's node. */
  readonly output: string;
  readonly high: boolean;
}

/** What ends a run before its plan does. */
export interface Enough {
  /** Asked after every switching: whether enough has been seen. */
  readonly enough?: ((events: readonly Switching[]) => boolean) | undefined;
  /** After so many steps it is enough too, wherever it stands. */
  readonly most?: number | undefined;
}

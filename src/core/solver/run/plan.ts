export interface RunPlan {
  /** Seconds to follow, from t = 0. */
  readonly seconds: number;
  /** Seconds before cycles are counted and means taken. */
  readonly settle: number;
  /** Evenly spaced instants to record, both ends included. */
  readonly samples: number;
}

export const RUN_DEFAULTS = { settle: 0, samples: 2000 } as const;

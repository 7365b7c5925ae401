/** One figure of the core beside the figure that a formula gives for the same circuit. */
export interface Case {
  readonly name: string;
  /** What is compared, with its unit. */
  readonly quantity: string;
  /** Where the expected figure comes from. */
  readonly reference: string;
  readonly expected: number;
  readonly found: number;
  /** Largest relative error. */
  readonly allowed: number;
}

export function errorOf({ expected, found }: Case): number {
  return Math.abs(found - expected) / Math.abs(expected);
}

/** The x between two ends where a rising function is zero: for references without a formula. */
export function bisect(f: (x: number) => number, low: number, high: number): number {
  for (let i = 0; i < 200; i++) {
    const middle = (low + high) / 2;
    if (f(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

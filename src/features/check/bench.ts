/** One bench of the class, and who sits at it. */
export interface Bench {
  readonly id: number;
  readonly bench: number;
  readonly nickname: string;
}

/** What was typed and not taken, why, and the figure that was perhaps meant. */
export interface Refused {
  readonly typed: string;
  readonly message: string;
  readonly perhaps?: string;
}

/** One bench of the class, and who sits at it. */
export interface Bench {
  readonly id: number;
  readonly bench: number;
  readonly nickname: string;
}

/** Of a student, what a grid shows: nothing else of them leaves the server. */
export function benchOf({ id, bench, nickname }: Bench): Bench {
  return { id, bench, nickname };
}

/** What was typed and not taken, why, and the figure that was perhaps meant. */
export interface Refused {
  readonly typed: string;
  readonly message: string;
  readonly perhaps?: string;
}

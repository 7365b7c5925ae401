/** One line of a sum as students get it. */
export interface SumLine {
  readonly name: string;
  readonly work: string;
  readonly figure: string;
  /** What the sum was made for. */
  readonly strong?: boolean;
}

export interface SumBlock {
  readonly title: string;
  readonly lines: readonly SumLine[];
}

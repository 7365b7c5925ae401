import { bandsFor, formatOhms } from '@/core';

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

/** Which resistor to take: its bands, or the print on it. */
export function bandLine(ohms: number): SumLine {
  const bands = bandsFor(ohms, 4, 0.05) ?? bandsFor(ohms, 5, 0.01);
  return {
    name: 'take the resistor',
    work: bands ? bands.join(', ') : 'as printed on it',
    figure: formatOhms(ohms),
  };
}

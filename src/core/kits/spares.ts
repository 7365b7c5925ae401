import type { StockSpec } from './stock';

/** Share of parts that a class loses, breaks or finds dead in one lesson. Starting figures, shown with the kit. */
export const LOSS_RATES: Readonly<Record<StockSpec['kind'], number>> = {
  resistor: 0.02,
  led: 0.06,
  jumper: 0.03,
  cell: 0.03,
  holder: 0.02,
  supply: 0.02,
  board: 0.01,
  potentiometer: 0.02,
  zener: 0.03,
  button: 0.02,
  'slide-switch': 0.02,
  'rgb-lamp': 0.05,
  capacitor: 0.03,
  inductor: 0.02,
  diode: 0.03,
  transistor: 0.04,
  timer: 0.04,
  'light-sensor': 0.03,
  'sound-lead': 0.01,
  speaker: 0.02,
  controller: 0.02,
  tape: 0.1,
  'tinned-wire': 0.1,
  'clip-lead': 0.03,
  fuse: 0.1,
  iron: 0.01,
  thing: 0.02,
};

/**
 * The fewest spares with which the chance of running out is at most the accepted risk, when each part that is handed
 * out, spares among them, is lost with the same chance: P(lost ≤ s) for Binomial(n + s, rate).
 * Johnson, Kemp & Kotz, Univariate Discrete Distributions, 3.2.
 *
 * @param inUse parts in the students' hands
 * @param rate chance that one of them is lost
 * @param risk accepted chance that the spares do not reach
 */
export function sparesFor(inUse: number, rate: number, risk: number): number {
  if (inUse <= 0) return 0;
  for (let spares = 0; spares < inUse; spares++) {
    if (1 - lostAtMost(spares, inUse + spares, rate) <= risk) return spares;
  }
  return inUse;
}

/** Chance that of n parts no more than `most` are lost; each term from the one before. */
function lostAtMost(most: number, n: number, rate: number): number {
  let term = (1 - rate) ** n;
  let sum = term;
  for (let k = 1; k <= most; k++) {
    term *= ((n - k + 1) / k) * (rate / (1 - rate));
    sum += term;
  }
  return sum;
}

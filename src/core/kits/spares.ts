/** Share of parts that a class loses, breaks or finds dead in one lesson. Starting figures, shown with the kit. */
export const LOSS_RATES = {
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
  'rgb-lamp': 0.05,
  tape: 0.1,
  'tinned-wire': 0.1,
  thing: 0.02,
} as const;
export type KitKind = keyof typeof LOSS_RATES;

/**
 * The fewest spares with which the chance of running out is at most the accepted risk, when each of the
 * parts in use is lost with the same chance.
 * Binomial tail by recurrence; Johnson, Kemp & Kotz, Univariate Discrete Distributions, 3.2.
 *
 * @param inUse parts in the students' hands
 * @param rate chance that one of them is lost
 * @param risk accepted chance that the spares do not reach
 */
export function sparesFor(inUse: number, rate: number, risk: number): number {
  if (inUse <= 0) return 0;
  let term = (1 - rate) ** inUse;
  let reached = term;
  let spares = 0;
  while (1 - reached > risk && spares < inUse) {
    spares++;
    term *= ((inUse - spares + 1) / spares) * (rate / (1 - rate));
    reached += term;
  }
  return spares;
}

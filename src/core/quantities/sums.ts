import { formatQuantity, MINUS, THIN } from './format';
import type { Unit } from './units';

/** Decimals of a sum on paper: as few as make the line true as it stands there. */
const DECIMALS = [2, 3, 4] as const;

/**
 * Terms and their total at as many decimals as make the line true as it is written: `12.80 − 11.68 = 1.12`, never
 * `12.8 − 11.6 = 1.12`.
 *
 * @param terms in the unit itself, taken away where negative
 */
export function formatSum(terms: readonly number[], unit: Unit): { terms: string[]; total: string } {
  const total = terms.reduce((sum, term) => sum + term, 0);
  const units = (value: number, decimals: number) => Math.round(value * 10 ** decimals);
  const isTrue = (decimals: number) =>
    terms.reduce((sum, term) => sum + units(term, decimals), 0) === units(total, decimals);
  const decimals = DECIMALS.find(isTrue) ?? DECIMALS[DECIMALS.length - 1]!;
  const text = (value: number) => `${value.toFixed(decimals).replace('-', MINUS)}${THIN}${unit}`;
  return { terms: terms.map((term) => text(Math.abs(term))), total: text(total) };
}

/**
 * Volts divided by amps as they are written: with as many digits of the volts as give the shown ohms.
 */
export function formatQuotient(volts: number, amps: number): { volts: string; ohms: string } {
  const ohms = formatQuantity(volts / amps, 'Ω', 4);
  const digits = [3, 4, 5].find(
    (count) => formatQuantity(Number(volts.toPrecision(count)) / amps, 'Ω', 4) === ohms,
  );
  return { volts: formatQuantity(volts, 'V', digits ?? 6), ohms };
}

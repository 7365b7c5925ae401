import { finding, type Finding } from '../findings/finding';
import type { Expected } from './expected';

/** More than this many times the largest reading any build could show is a slip of the pen or the unit. */
const BEYOND = 1.3;

/**
 * Whether a typed reading can be meant: "27" across a 3 V battery is perhaps 2.7.
 *
 * @param value in SI
 * @param limit the largest figure the circuit could show there (supply volts, or short-circuit current)
 * @returns a question with the figure that was perhaps meant, or undefined
 */
export function implausible(
  typed: string,
  value: number,
  limit: number,
  expected: Pick<Expected, 'typical' | 'unit'>,
): Finding | undefined {
  if (Math.abs(value) <= limit * BEYOND) return undefined;
  const scales = [0.1, 0.01, 0.001, 1e-4, 1e-6];
  const distance = (v: number) => Math.abs(Math.log(Math.abs(v / (expected.typical || 1e-9))));
  const perhaps = scales
    .map((scale) => value * scale)
    .reduce((best, v) => (distance(v) < distance(best) ? v : best));
  return finding('reading-implausible', {
    typed,
    value,
    limit,
    unit: expected.unit,
    perhaps: Number(perhaps.toPrecision(6)),
  });
}

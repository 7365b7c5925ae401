import { finding, type Finding } from '../findings/finding';
import type { Expected } from './expected';

/** More than this many times the largest reading any build could show is a slip of the pen or the unit. */
const BEYOND = 1.3;
/** Less than this share of what is expected, where a thousand times more would be just right, is the unit's slip too. */
const FAR_BELOW = 0.02;
/** A figure is just right within this ratio of what is expected. */
const NEAR = 2.5;
/** Within this share of what a mistake reads, a small figure is that one. */
const ALIKE = 0.5;
const LARGER = [0.1, 0.01, 0.001, 1e-4, 1e-6];
const SMALLER = [1000, 1e6];

/**
 * Whether a typed reading can be meant: "27" across a 3 V battery is perhaps 2.7, "0.0086" in a cell of milliamperes
 * perhaps 8.6.
 *
 * @param value in SI
 * @param reads what a named mistake, or a state of the build, reads there: a figure that is one of these is meant
 * @param limit the largest figure the circuit could show there (supply volts, or short-circuit current)
 * @returns a question with the figure that was perhaps meant, or undefined
 */
export function implausible(
  typed: string,
  value: number,
  limit: number,
  expected: Pick<Expected, 'typical' | 'unit'>,
  reads: readonly number[] = [],
): Finding | undefined {
  const { typical, unit } = expected;
  const distance = (v: number) => Math.abs(Math.log(Math.abs(v / (typical || 1e-9))));
  const closest = (scales: readonly number[]) =>
    scales.map((scale) => value * scale).reduce((best, v) => (distance(v) < distance(best) ? v : best));
  const asked = (perhaps: number, beyond: 'more' | 'less') =>
    finding('reading-implausible', {
      typed,
      value,
      limit,
      unit,
      beyond,
      perhaps: Number(perhaps.toPrecision(6)),
    });
  if (Math.abs(value) > limit * BEYOND) return asked(closest(LARGER), 'more');
  const isNamed = reads.some((read) => Math.abs(read - value) < ALIKE * Math.abs(value));
  const tiny = !isNamed && value !== 0 && Math.abs(value) < Math.abs(typical) * FAR_BELOW;
  const perhaps = closest(SMALLER);
  return tiny && distance(perhaps) < Math.log(NEAR) ? asked(perhaps, 'less') : undefined;
}

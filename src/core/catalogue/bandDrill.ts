import { uniform } from '../numerics/random';
import type { Ohms } from '../quantities/units';
import { bandsFor, readBands, type BandColour, type BandCount } from './bands';

/** A resistor to be read: its bands as they are printed. */
export interface BandQuestion {
  readonly ohms: Ohms;
  readonly bands: readonly BandColour[];
}

/** What an answer is, or which slip it looks like. */
export type BandVerdict =
  'right' | 'wrong multiplier' | 'read from the wrong end' | 'digits exchanged' | 'wrong';

const KEY = 0x62616e64;

/**
 * The next resistor of a drill, out of a drawer. The same seed asks the same questions; no value comes twice running.
 *
 * @param number of the question, from 0
 * @returns undefined when no value of the drawer can be written in so many bands
 */
export function bandQuestion(
  drawer: readonly Ohms[],
  count: BandCount,
  seed: number,
  number: number,
): BandQuestion | undefined {
  const tolerance = count === 4 ? 0.05 : 0.01;
  const written = drawer.flatMap((ohms) => {
    const bands = bandsFor(ohms, count, tolerance);
    return bands ? [{ ohms, bands }] : [];
  });
  const pick = (n: number) => Math.floor(uniform(seed, n, KEY) * written.length);
  const again = number > 0 && written.length > 1 && pick(number) === pick(number - 1);
  return written[again ? (pick(number) + 1) % written.length : pick(number)];
}

/** Judges a value read off the bands, and names the usual slips. */
export function judgeBands({ ohms, bands }: BandQuestion, answer: Ohms): BandVerdict {
  const same = (value: Ohms | undefined) => value !== undefined && Math.abs(value - answer) <= answer * 1e-6;
  if (same(ohms)) return 'right';
  if (same(readBands([...bands].reverse())?.ohms)) return 'read from the wrong end';
  const power = Math.log10(answer / ohms);
  if (Number.isFinite(power) && Math.abs(power - Math.round(power)) < 1e-6) return 'wrong multiplier';
  const [first, second, ...rest] = bands;
  if (same(readBands([second!, first!, ...rest])?.ohms)) return 'digits exchanged';
  return 'wrong';
}

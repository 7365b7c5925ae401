import { isWatched, meterHalfWidth, rangeFor, type MeterFigures } from '../catalogue/meter';
import { DenseLu } from '../numerics/lu';
import { measuredAt, type FaultDictionary, type Signature } from './dictionary';

/** One reading, by the index of its checkpoint, with how far off the meter may be. */
export interface Taken {
  readonly point: number;
  readonly value: number;
  /** What the meter's share of the reading may be off by: one meter is off the same way everywhere. */
  readonly gain: number;
  /** What its last digits may be off by: each time anew. */
  readonly own: number;
  /** Of a current: the places of the ranges on which it may have been read, with what the last digits may be off by there. */
  readonly ways?: readonly { readonly range: number; readonly own: number }[];
}

/** A reading as it compares with a candidate's mean. */
type Compared = Pick<Taken, 'point' | 'value' | 'gain' | 'own'>;

/** A reading, of a current on the range that goes best with a candidate, as that would read on the range of its mean. */
export function comparedWith({ means, onRanges }: Signature, taken: Taken): Compared {
  const { point, value, gain, ways = [] } = taken;
  const shares = onRanges?.[point] ?? [];
  const asRead = ways.map(({ range, own }): Compared => {
    const share = shares[range] ?? 1;
    return { point, value: value / share, gain: gain / Math.abs(share), own: own / Math.abs(share) };
  });
  const off = (one: Compared) => Math.abs(one.value - means[point]!);
  return asRead.length > 0 ? asRead.reduce((best, one) => (off(one) < off(best) ? one : best)) : taken;
}

/** Beyond this many standard deviations a reading excludes a candidate. */
export const EXCLUDED_AT = 6;
/** Parts are taken to spread by this much more than is stated of them. */
const WIDENING = 1.2;
/**
 * Degrees of freedom of the curve: with fewer its tails are heavier. The parts' spreads are bounded and only roughly
 * normal, and their limits only roughly known. Source: Lange, Little & Taylor, J. Am. Stat. Assoc. 84, 1989.
 */
const FREEDOM = 8;
/** Variance of a rectangular spread over its half-width squared. Source: JCGM 100:2008, 4.3.7. */
const RECTANGULAR = 1 / 3;

/** What a meter may be off by at a reading: the part that is the same all day, and the part that is new each time. */
export function meterLimits(
  meter: MeterFigures,
  measured: ReturnType<typeof measuredAt>,
  reading: Parameters<typeof meterHalfWidth>[2],
): Pick<Taken, 'gain' | 'own'> {
  const whole = meterHalfWidth(meter, measured, reading);
  if (isWatched(measured)) return { gain: 0, own: whole };
  const gain = meter[measured].share * Math.abs(reading.value);
  return { gain, own: whole - gain };
}

/** Standard deviation of a reading yet to be taken under a candidate: its parts' spread and the meter's own. */
export function deviation(
  dictionary: FaultDictionary,
  signature: Signature,
  meter: MeterFigures,
  point: number,
): number {
  const { usual } = dictionary.points[point]!;
  const measured = measuredAt(dictionary.points[point]!);
  const value = signature.means[point]!;
  const range = rangeFor(meter, measured, Math.max(Math.abs(value), usual));
  const { gain, own } = meterLimits(meter, measured, { value, range, step: 0 });
  return Math.sqrt(partsVariance(signature, point, point) + RECTANGULAR * (gain ** 2 + own ** 2));
}

function partsVariance({ covariance }: Signature, i: number, j: number): number {
  const spread = covariance[i]![j]! * WIDENING ** 2;
  return i === j ? Math.max(0, spread) : spread;
}

/** Whether a reading by itself lies further from a candidate than its parts and the meter allow. */
function excludes(signature: Signature, { point, value, gain, own }: Compared): boolean {
  const variance = partsVariance(signature, point, point) + RECTANGULAR * (gain ** 2 + own ** 2);
  return (value - signature.means[point]!) ** 2 > EXCLUDED_AT ** 2 * variance;
}

/**
 * Natural logarithm of the density of the readings under a candidate: the multivariate t of its drawn circuits, with
 * the meter's variance added, or −Infinity when a reading excludes it.
 */
export function logLikelihood(signature: Signature, all: readonly Taken[], meter: readonly string[]): number {
  const taken = all.map((one) => comparedWith(signature, one));
  if (taken.some((reading) => excludes(signature, reading))) return -Infinity;
  const n = taken.length;
  const matrix = new Float64Array(n * n);
  const offset = new Float64Array(n);
  taken.forEach((a, i) => {
    offset[i] = a.value - signature.means[a.point]!;
    taken.forEach((b, j) => {
      const shared = meter[a.point] === meter[b.point] ? Math.sign(a.value * b.value) * a.gain * b.gain : 0;
      const own = i === j ? a.own ** 2 : 0;
      matrix[i * n + j] = partsVariance(signature, a.point, b.point) + RECTANGULAR * (shared + own);
    });
  });
  const lu = new DenseLu(n);
  const solved = offset.slice();
  if (lu.factor(matrix, n) >= 0) return -Infinity;
  lu.solve(matrix, n, solved);
  let distance = 0;
  let logDeterminant = 0;
  for (let i = 0; i < n; i++) {
    distance += offset[i]! * solved[i]!;
    logDeterminant += Math.log(Math.abs(matrix[lu.order[i]! * n + i]!));
  }
  return (
    STUDENT[n]! - 0.5 * logDeterminant - 0.5 * (FREEDOM + n) * Math.log1p(Math.max(0, distance) / FREEDOM)
  );
}

/** Logarithm of the constant of the multivariate t in n dimensions. */
const STUDENT = Array.from(
  { length: 64 },
  (_, n) => logGamma((FREEDOM + n) / 2) - logGamma(FREEDOM / 2) - (n / 2) * Math.log(FREEDOM * Math.PI),
);

/** Of multiples of a half: by the recurrence from Γ(1/2) = √π and Γ(1) = 1. */
function logGamma(half: number): number {
  let sum = 0;
  for (let x = half - 1; x > 0; x--) sum += Math.log(x);
  return sum + (half % 1 === 0 ? 0 : 0.5 * Math.log(Math.PI));
}

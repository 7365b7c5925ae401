import { meterHalfWidth, rangeFor, type MeterFigures } from '../catalogue/meter';
import { DenseLu } from '../numerics/lu';
import { measuredAt, type FaultDictionary, type Signature } from './dictionary';

/** One reading, by the index of its checkpoint. */
export interface Taken {
  readonly point: number;
  readonly value: number;
  /** Half-width of the meter's uncertainty about it. */
  readonly halfWidth: number;
}

/** Beyond this many standard deviations a reading excludes a candidate. */
const EXCLUDED_AT = 5;
/** The normal curve is only an approximation of bounded spreads: each standard deviation is widened by this much. */
const WIDENING = 1.1;

/** Standard deviation of a reading yet to be taken under a candidate: its parts' spread and the meter's own. */
export function deviation(
  dictionary: FaultDictionary,
  signature: Signature,
  meter: MeterFigures,
  point: number,
): number {
  const { usual } = dictionary.points[point]!;
  const measure = measuredAt(dictionary.points[point]!);
  const value = signature.means[point]!;
  const range = rangeFor(meter, measure, Math.max(Math.abs(value), usual));
  return spreadWith(signature, point, meterHalfWidth(meter, measure, { value, range, step: 0 }));
}

function spreadWith(signature: Signature, point: number, halfWidth: number): number {
  const spread = Math.max(0, signature.covariance[point]![point]!) * WIDENING ** 2;
  return Math.sqrt(spread + halfWidth ** 2 / 3);
}

/**
 * Natural logarithm of the density of the readings under a candidate (multivariate normal of the drawn
 * circuits, with the meter's variance added), or −Infinity when a reading excludes it.
 */
export function logLikelihood(signature: Signature, taken: readonly Taken[]): number {
  for (const { point, value, halfWidth } of taken) {
    const away = Math.abs(value - signature.means[point]!);
    if (away > EXCLUDED_AT * spreadWith(signature, point, halfWidth)) return -Infinity;
  }
  const n = taken.length;
  const matrix = new Float64Array(n * n);
  const offset = new Float64Array(n);
  taken.forEach((a, i) => {
    offset[i] = a.value - signature.means[a.point]!;
    taken.forEach((b, j) => {
      matrix[i * n + j] = signature.covariance[a.point]![b.point]! * WIDENING ** 2;
    });
    matrix[i * n + i]! += a.halfWidth ** 2 / 3;
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
  return -0.5 * (distance + logDeterminant + n * Math.log(2 * Math.PI));
}

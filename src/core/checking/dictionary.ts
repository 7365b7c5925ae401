import { ampRangesFor, type Measured, type MeterFigures } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import { hasFigure, isEitherWay, isGapped, type Checkpoint, type Held } from '../observe/checkpoint';
import { burdensFor, currentsAlone, drawPoints, drawsLike, type Likeness } from '../observe/draws';
import { burdenAt, type MeterUse } from '../observe/meter';
import { mayMove, observe } from '../observe/observe';
import { rangeShares } from '../observe/ranges';
import { readingsIn } from '../observe/responses';
import type { Amps } from '../quantities/units';
import type { Alike, FaultCode, FaultData } from '../parts/mistake';
import type { Expected } from './expected';
import { meterUseAt, type Candidate, type FaultContext } from './faults/fault';
import { everyFault, faultsOf } from './faults/index';
import { heldForLooks, heldWith } from './looksHeld';
import type { Sight } from './seen';
import { sightOf } from './sight';

/** What each checkpoint reads under one candidate: mean and covariance over the spread of its parts; and how lamps look. */
export interface Signature extends Sight {
  readonly data: FaultData;
  /** A second thing that is wrong at the same bench. */
  readonly also?: { readonly code: FaultCode; readonly data: FaultData };
  readonly prior: number;
  /** Mistakes that make the same circuit, each with its own weight within `prior`. */
  readonly alike?: readonly Alike[];
  readonly means: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** At each checkpoint that is a current: what it reads on each of its ranges, as shares of its mean. */
  readonly onRanges?: readonly (readonly number[])[];
}

/** A mistake and those that make the same circuit, each with its own weight. */
export function eachOf({
  code,
  data,
  prior,
  alike = [],
}: Pick<Signature, 'code' | 'data' | 'prior' | 'alike'>): Alike[] {
  const own = alike.reduce((left, one) => left - one.prior, prior);
  return [{ code, data, prior: own }, ...alike];
}

/** A checkpoint as a session keeps it. */
export type JudgedPoint = Checkpoint & {
  /** The largest figure a right build shows there: it decides the meter's usual range. */
  readonly usual: number;
  /** Ranges of the meter on which a hand may read a current, the usual one first. */
  readonly ranges?: readonly Amps[];
  /** The probes may be held either way: a figure counts without its sign. */
  readonly eitherWay?: boolean;
};

/** What a session keeps of a checkpoint and of what is expected there. */
export function judgedPoint({
  point,
  worstHigh,
  ranges,
}: Pick<Expected, 'point' | 'worstHigh' | 'ranges'>): JudgedPoint {
  return {
    ...point,
    usual: worstHigh,
    ...(ranges ? { ranges: ranges.map(({ range }) => range) } : {}),
    ...(isEitherWay(point) ? { eitherWay: true } : {}),
  };
}

/** A figure as it counts at a checkpoint. */
export function asCounted({ eitherWay }: Pick<JudgedPoint, 'eitherWay'>, value: number): number {
  return eitherWay ? Math.abs(value) : value;
}

/** All candidates of a lesson, computed once and kept with the session. */
export interface FaultDictionary {
  readonly points: readonly JudgedPoint[];
  readonly signatures: readonly Signature[];
  /** Candidates whose circuits did not settle, and are not weighed. */
  readonly unsettled: number;
  /** What is held while the lamps are looked at, where that is one thing for all of them. */
  readonly looksHeld?: Held;
}

/** What a checkpoint is read with: one of the meter's ranges, a watch, an ear. */
export function measuredAt(point: Checkpoint): Measured {
  if (point.measure === 'hertz' || point.measure === 'seconds') return point.measure;
  return isGapped(point) ? 'amps' : 'volts';
}

/** Values that a resistor may happen to have are drawn less than mistakes that are made often. */
const RARE = { prior: 0.06, samples: 80 } as const;

/** One of several workers that share the candidates out: candidate k is done by the one whose number k leaves. */
export interface FaultShare {
  readonly at: number;
  readonly of: number;
}

/** Signatures of one share of the candidates, each with its place among all. */
export interface FaultSignatures {
  readonly signed: readonly { readonly place: number; readonly signature: Signature }[];
  readonly unsettled: number;
}

const ALONE: FaultShare = { at: 0, of: 1 };

/**
 * Computes the faults of a circuit: the readings its checkpoints would give, drawn over the parts' spreads. Which
 * worker computes a candidate changes nothing of it.
 * Source of the approach: Hochwald & Bastian, IEEE Trans. CAS 26(7), 1979 (fault dictionaries).
 *
 * @param samples draws for each candidate; a few hundred are enough for mean and covariance
 * @param share which of the candidates
 * @param onProgress share of these that are done, 0 to 1
 */
export function faultSignatures(
  context: FaultContext,
  meter: MeterFigures,
  { samples, seed }: { samples: number; seed: number },
  share: FaultShare = ALONE,
  onProgress?: (done: number) => void,
): FaultSignatures {
  const points = context.points.filter(hasFigure);
  const alone = currentsAlone(context.circuit, points);
  const burdens = alone.map((amps) => (amps === undefined ? 0 : burdenAt(meter, amps)));
  const ranges = alone.map((amps) => (amps === undefined ? [] : ampRangesFor(meter, amps)));
  const signed: { place: number; signature: Signature }[] = [];
  let unsettled = 0;
  const like = likeness(context, points, burdens, samples, seed);
  const drawn = { points, meter, burdens, ranges, like, samples, seed };
  // What moves follows the right build's readings, whose meter is counted: on every range by the same share.
  const rightShares = sharesOf(context.circuit, () => 'right', drawn, alone);
  const candidates = like ? faultsOf(context) : everyFault(context);
  for (const [place, candidate] of candidates.entries()) {
    if (place % share.of !== share.at) continue;
    const seen = observe(withoutWires(candidate.circuit));
    const figures = figuresOf(candidate, seen, drawn)?.map((values, i) =>
      isEitherWay(points[i]!) ? values.map(Math.abs) : values,
    );
    if (!figures) unsettled++;
    else {
      const sight = sightOf(candidate, candidate.circuit, context, seen);
      const onRanges =
        like || candidate.code === 'right'
          ? rightShares
          : sharesOf(candidate.circuit, meterUseAt(candidate), {
              ...drawn,
              points: freed(points, candidate),
            });
      signed.push({
        place,
        signature: { ...signature(candidate, figures, sight), ...(onRanges ? { onRanges } : {}) },
      });
    }
    onProgress?.((place + 1) / candidates.length);
  }
  return { signed, unsettled };
}

/** What all candidates of a dictionary are drawn with. */
interface Drawn {
  readonly points: readonly Checkpoint[];
  readonly meter: MeterFigures;
  readonly burdens: readonly number[];
  readonly ranges: readonly (readonly Amps[])[];
  readonly like: Likeness | undefined;
  readonly samples: number;
  readonly seed: number;
}

/** What a build reads on each range of each current; undefined where there is none to choose. */
function sharesOf(
  circuit: Circuit,
  useAt: (point: Checkpoint) => MeterUse,
  { points, meter, ranges }: Drawn,
  alone = currentsAlone(circuit, points),
): Signature['onRanges'] {
  if (ranges.every(({ length }) => length < 2)) return undefined;
  return points.map((point, i) => {
    const amps = alone[i];
    if (!isGapped(point) || amps === undefined) return [];
    return rangeShares(circuit, point, useAt(point), {
      ranges: ranges[i]!,
      alone: amps,
      own: burdenAt(meter, amps),
    });
  });
}

/** The readings of a candidate over its spreads; undefined where it does not settle. */
function figuresOf(
  candidate: Candidate,
  seen: ReturnType<typeof observe>,
  { points, meter, burdens, like, samples, seed }: Drawn,
): readonly Float64Array[] | undefined {
  const own = candidate.prior <= RARE.prior ? Math.min(samples, RARE.samples) : samples;
  const observed = () =>
    like && seen.ok && candidate.use !== 'across-lamp' && points.every((point) => !point.held)
      ? drawsLike(seen.value, points, meterUseAt(candidate), like, { samples: own, seed })
      : undefined;
  const drawn = (ohms: readonly number[]) => drawReadings(candidate, points, ohms, own, seed, like);
  if (candidate.code === 'right') return wholeDraws(like) ?? drawn(burdens) ?? observed();
  // What moves has been run once, and is not run again for the meter's range: its readings follow the right build's,
  // whose meter is counted.
  // What rests but cannot be drawn, a chip hung between other parts, is told as it was observed.
  if (seen.ok && (seen.value.kind === 'moving' || seen.value.starved)) return observed() ?? drawn(burdens);
  // Each is read on the range that its own current wants: a short is not read through ten ohms.
  return drawn(burdensFor(candidate.circuit, points, meter, seen.ok ? seen.value : undefined)) ?? observed();
}

/**
 * The shares of all workers as one dictionary.
 *
 * @param expected the largest right figure at each checkpoint and its ranges, in their order
 */
export function faultDictionary(
  { points }: Pick<FaultContext, 'points'>,
  expected: readonly Pick<Expected, 'worstHigh' | 'ranges'>[],
  shares: readonly FaultSignatures[],
): FaultDictionary {
  const signed = shares.flatMap((share) => share.signed).sort((a, b) => a.place - b.place);
  const looksHeld = heldForLooks(points);
  return {
    ...(looksHeld ? { looksHeld } : {}),
    points: points.filter(hasFigure).map((point, i) => judgedPoint({ ...expected[i]!, point })),
    signatures: signed.map(({ signature: one }) => one),
    unsettled: shares.reduce((sum, share) => sum + share.unsettled, 0),
  };
}

/** The draws of the right build that have been made to know how it spreads, where none is missing. */
function wholeDraws(like: Likeness | undefined): readonly Float64Array[] | undefined {
  const found = (like?.draws ?? []).flatMap((values) => (values ? [values] : []));
  return like && found.length === like.draws.length ? found : undefined;
}

/** How the right build's readings spread, of one that moves: each mistake is then run once, and spreads by the same shares. */
function likeness(
  { circuit }: FaultContext,
  points: readonly Checkpoint[],
  burdens: readonly number[],
  samples: number,
  seed: number,
): Likeness | undefined {
  if (!mayMove(circuit)) return undefined;
  const draws = drawPoints(circuit, points, () => 'right', burdens, { samples, seed });
  const held = points.some((point) => point.held);
  const seen = observe(circuit);
  const plain =
    seen.ok && !held ? readingsIn(seen.value, points, { meterUseAt: () => 'right', burdens: [] }) : undefined;
  const means = draws.map((values) => (values ? values.reduce((sum, v) => sum + v, 0) / values.length : 0));
  return { typical: plain ?? means, draws };
}

/**
 * What the checkpoints of a candidate would show, drawn over the spread of its parts.
 *
 * @param burdens ohms of the meter in series at each checkpoint
 * @param like how the right build's readings spread, where it moves
 * @returns one list of draws for each checkpoint, in their order; undefined when the circuit does not settle
 */
export function drawReadings(
  candidate: Candidate,
  points: readonly Checkpoint[],
  burdens: readonly number[],
  samples: number,
  seed: number,
  like?: Likeness,
): Float64Array[] | undefined {
  const { circuit, code } = candidate;
  const draws = { samples, seed };
  const spread = code === 'right' ? undefined : like;
  const drawn = drawPoints(circuit, freed(points, candidate), meterUseAt(candidate), burdens, draws, spread);
  return drawn.every((values): values is Float64Array => values !== undefined) ? [...drawn] : undefined;
}

/** A knob or button that is not where it should be is not put there for the reading. */
export function freed(points: readonly Checkpoint[], mistake: Candidate): readonly Checkpoint[] {
  return points.map((point) => {
    const held = heldWith(point.held, mistake);
    return held === point.held ? point : { ...point, held: held ?? {} };
  });
}

function signature(candidate: Candidate, figures: readonly Float64Array[], sight: Sight): Signature {
  const means = figures.map((values) => values.reduce((sum, v) => sum + v, 0) / values.length);
  const covariance = figures.map((a, i) =>
    figures.map((b, j) => {
      let sum = 0;
      for (let k = 0; k < a.length; k++) sum += (a[k]! - means[i]!) * (b[k]! - means[j]!);
      return sum / Math.max(1, a.length - 1);
    }),
  );
  const { data, prior, alike } = candidate;
  return { ...sight, data, prior, ...(alike ? { alike } : {}), means, covariance };
}

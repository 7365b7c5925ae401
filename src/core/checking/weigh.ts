import { lookLikelihood, unknownLikelihood, type SeenLook } from './seen';
import { deviation, logLikelihood, type Taken } from './likelihood';
import { measuredAt, type FaultDictionary, type Signature } from './dictionary';
import type { MeterFigures } from '../catalogue/meter';
import { RIGHT_STATES } from './faults/fault';

/** Shares of all benches that are right, and at which something is wrong that no list has: starting figures. */
const RIGHT_SHARE = 0.6;
const SOMETHING_ELSE = 0.02;

/** The candidates of a lesson with what is needed of each again and again. */
export interface Candidates {
  readonly dictionary: FaultDictionary;
  readonly meter: MeterFigures;
  readonly right: Signature;
  /** Candidates with the same number look alike at a glance. */
  readonly glances: readonly number[];
  /** How far a reading may lie from each candidate's mean, by its parts and the meter: [candidate][checkpoint]. */
  readonly widths: readonly (readonly number[])[];
  /** What each checkpoint is read with: readings by one meter are off together. */
  readonly meters: readonly string[];
  /** The prior of each, and of something else at the end, as shares of one. */
  readonly priors: readonly number[];
  /** Over how much each checkpoint's readings may lie, of all candidates. */
  readonly reach: readonly number[];
}

/** What was measured and seen at one bench. */
export interface Evidence {
  readonly taken: readonly Taken[];
  readonly looks: readonly SeenLook[];
}

export function candidatesOf(dictionary: FaultDictionary, meter: MeterFigures): Candidates {
  const { points, signatures } = dictionary;
  return {
    dictionary,
    meter,
    glances: glancesOf(signatures),
    right: signatures.find(({ code }) => code === 'right') ?? signatures[0]!,
    widths: signatures.map((signature) => points.map((_, i) => deviation(dictionary, signature, meter, i))),
    meters: points.map(measuredAt),
    priors: priorsOf(signatures),
    reach: points.map((_, i) => {
      const means = signatures.map(({ means: m }) => m[i]!);
      return 1.5 * (Math.max(...means) - Math.min(...means)) || 1;
    }),
  };
}

/** The same candidates with some more, each with its prior and its widths. */
export function withCandidates(
  candidates: Candidates,
  more: readonly { signature: Signature; prior: number; widths: readonly number[] }[],
): Candidates {
  if (more.length === 0) return candidates;
  const { dictionary, widths, priors } = candidates;
  const signatures = [...dictionary.signatures, ...more.map(({ signature }) => signature)];
  return {
    ...candidates,
    dictionary: { ...dictionary, signatures },
    glances: glancesOf(signatures),
    widths: [...widths, ...more.map((one) => one.widths)],
    priors: [...priors.slice(0, -1), ...more.map(({ prior }) => prior), priors[priors.length - 1]!],
  };
}

function glancesOf(signatures: readonly Signature[]): number[] {
  const lamps = [...new Set(signatures.flatMap(({ looks }) => Object.keys(looks)))];
  const known = new Map<string, number>();
  return signatures.map(({ looks, colour }) => {
    const glance = [...lamps.map((lamp) => looks[lamp] ?? 'dark'), colour?.lamp].join(' ');
    const number = known.get(glance) ?? known.size;
    known.set(glance, number);
    return number;
  });
}

/** Right builds share out what is right, mistakes the rest, each by its weight. */
function priorsOf(signatures: readonly Signature[]): number[] {
  const isRight = ({ code }: Signature) => RIGHT_STATES.has(code);
  const weight = (of: readonly Signature[]) => of.reduce((sum, { prior }) => sum + prior, 0) || 1;
  const right = weight(signatures.filter(isRight));
  const wrong = weight(signatures.filter((signature) => !isRight(signature)));
  const left = 1 - RIGHT_SHARE - SOMETHING_ELSE;
  return [
    ...signatures.map((one) =>
      isRight(one) ? (RIGHT_SHARE * one.prior) / right : (left * one.prior) / wrong,
    ),
    SOMETHING_ELSE,
  ];
}

/** Share of belief in each candidate after the evidence, and last in something else. */
export function weigh(
  { dictionary, right, meters, priors, reach }: Candidates,
  { taken, looks }: Evidence,
): number[] {
  const weights = dictionary.signatures.map(
    (signature, i) =>
      Math.log(priors[i]!) +
      logLikelihood(signature, taken, meters) +
      (looks.length > 0 ? lookLikelihood(signature, right, looks) : 0),
  );
  // Something else spreads its belief evenly over what any candidate could show, and half as much again.
  const flat = taken.reduce((sum, { point }) => sum - Math.log(reach[point]!), 0);
  weights.push(Math.log(priors[priors.length - 1]!) + flat + unknownLikelihood(right, looks));
  const top = Math.max(...weights);
  const raw = weights.map((weight) => Math.exp(weight - top));
  const total = raw.reduce((a, b) => a + b, 0);
  return raw.map((weight) => weight / total);
}

/** Half of a deviation of each: nearer than that, one reading tells two candidates no better than chance does. */
const ALIKE = 0.5;
const ALIKE_SPREAD = 0.25;

/**
 * Whether no checkpoint of these tells two candidates apart with this meter.
 *
 * @param one place of a candidate in the dictionary
 * @param points checkpoints by their places; left out, all of them
 */
export function alikeAt(
  { dictionary, widths }: Candidates,
  one: number,
  other: number,
  points?: readonly number[],
): boolean {
  const [a, b] = [dictionary.signatures[one]!, dictionary.signatures[other]!];
  const same = (i: number) => {
    const [wa, wb] = [widths[one]![i]!, widths[other]![i]!];
    return (
      Math.abs(a.means[i]! - b.means[i]!) < ALIKE * (wa + wb) && Math.abs(wa - wb) < ALIKE_SPREAD * (wa + wb)
    );
  };
  if (points) return points.every(same);
  for (let i = 0; i < dictionary.points.length; i++) if (!same(i)) return false;
  return true;
}

/** Whether neither a checkpoint nor a glance tells two candidates apart. */
export function indistinct(candidates: Candidates, one: number, other: number): boolean {
  return candidates.glances[one] === candidates.glances[other] && alikeAt(candidates, one, other);
}

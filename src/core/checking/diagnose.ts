import type { MeterFigures } from '../catalogue/meter';
import type { FaultDictionary, Signature } from './dictionary';
import type { FaultCode, FaultData } from '../parts/mistake';
import { deviation, logLikelihood, type Taken } from './likelihood';
import { lookLikelihood, UNKNOWN_LOOK, type SeenLook } from './seen';

export interface Cause {
  readonly code: FaultCode;
  readonly data: FaultData;
  /** Share of belief after the readings. */
  readonly probability: number;
}

export interface Diagnosis {
  /** Causes from the likeliest down; those that no checkpoint can tell apart stand in one group. */
  readonly groups: readonly { readonly causes: readonly Cause[]; readonly probability: number }[];
  /** How many times likelier the first group is than the next. */
  readonly lead: number;
  /** The checkpoint that is expected to tell most next, if one is left. */
  readonly next?: { readonly point: string; readonly bits: number };
}

const SOMETHING_ELSE_PRIOR = 0.25;
/** Groups below this share of belief are not named. */
const NAMED_FROM = 0.03;
/** Candidates below this share of belief change nothing that is named. */
const BELIEVED_FROM = 1e-6;

/**
 * Ranks what may be wrong with one bench, "something else" among the candidates.
 *
 * @param taken at least one reading, or one look
 */
export function diagnose(
  dictionary: FaultDictionary,
  meter: MeterFigures,
  taken: readonly Taken[],
  looks: readonly SeenLook[] = [],
): Diagnosis {
  const weights = dictionary.signatures.map(
    (s) => Math.log(s.prior) + logLikelihood(s, taken) + lookLikelihood(s.looks, looks),
  );
  const else_ = Math.log(SOMETHING_ELSE_PRIOR) + flatDensity(dictionary, taken) + UNKNOWN_LOOK * looks.length;
  const top = Math.max(else_, ...weights);
  const raw = [...weights, else_].map((w) => Math.exp(w - top));
  const total = raw.reduce((a, b) => a + b, 0);
  const beliefs = raw.map((w) => w / total);
  const groups = grouped(dictionary, meter, beliefs);
  const next = nextPoint(dictionary, meter, beliefs, taken);
  return {
    groups: groups.filter((g) => g.probability >= NAMED_FROM),
    lead: groups.length > 1 ? groups[0]!.probability / groups[1]!.probability : Infinity,
    ...(next ? { next } : {}),
  };
}

/** "Something else" spreads its belief evenly over what any candidate could show, and half as much again. */
function flatDensity(dictionary: FaultDictionary, taken: readonly Taken[]): number {
  return taken.reduce((sum, { point }) => {
    const means = dictionary.signatures.map((s) => s.means[point]!);
    return sum - Math.log(1.5 * (Math.max(...means) - Math.min(...means)) || 1);
  }, 0);
}

function grouped(
  dictionary: FaultDictionary,
  meter: MeterFigures,
  beliefs: readonly number[],
): Diagnosis['groups'] {
  const groups: Group[] = [];
  const order = beliefs
    .map((_, i) => i)
    .filter((i) => beliefs[i]! > BELIEVED_FROM)
    .sort((a, b) => beliefs[b]! - beliefs[a]!);
  for (const i of order) {
    const signature = dictionary.signatures[i];
    const cause: Cause = {
      code: signature?.code ?? 'something-else',
      data: signature?.data ?? {},
      probability: beliefs[i]!,
    };
    const same = signature && groups.find(({ lead }) => lead && isSame(dictionary, meter, lead, signature));
    if (same) {
      // One knob at two places is one cause: the likelier place speaks for both.
      const known = same.causes.some((one) => oneCause(one, cause));
      if (cause.probability > 1e-4 && !known) same.causes.push(cause);
      same.probability += cause.probability;
    } else {
      groups.push({
        ...(signature ? { lead: signature } : {}),
        causes: [cause],
        probability: cause.probability,
      });
    }
  }
  return groups
    .sort((a, b) => b.probability - a.probability)
    .map(({ causes, probability }) => ({ causes, probability }));
}

interface Group {
  readonly lead?: Signature;
  readonly causes: Cause[];
  probability: number;
}

/** Places of one knob and stages of one battery are one cause in several strengths. */
const IN_DEGREES: ReadonlySet<FaultCode> = new Set(['knob-elsewhere', 'supply-used']);

function oneCause(one: Pick<Cause, 'code' | 'data'>, other: Pick<Cause, 'code' | 'data'>): boolean {
  return one.code === other.code && one.data.part === other.data.part && IN_DEGREES.has(one.code);
}

function isSame(dictionary: FaultDictionary, meter: MeterFigures, one: Signature, other: Signature): boolean {
  return oneCause(one, other) || indistinct(dictionary, meter, one, other);
}

/** Whether no checkpoint, measured or not, would tell two candidates apart with this meter. */
function indistinct(
  dictionary: FaultDictionary,
  meter: MeterFigures,
  one: Signature,
  other: Signature,
): boolean {
  return dictionary.points.every((_, point) => {
    const width = deviation(dictionary, one, meter, point) + deviation(dictionary, other, meter, point);
    const spreads = [one, other].map((s) => Math.sqrt(Math.max(0, s.covariance[point]![point]!)));
    const alike = Math.abs(spreads[0]! - spreads[1]!) < 0.25 * width;
    return alike && Math.abs(one.means[point]! - other.means[point]!) < 0.5 * width;
  });
}

const GRID = 80;

/** The unmeasured checkpoint with the largest expected drop in entropy. */
function nextPoint(
  dictionary: FaultDictionary,
  meter: MeterFigures,
  beliefs: readonly number[],
  taken: readonly Taken[],
): Diagnosis['next'] {
  let best: Diagnosis['next'];
  dictionary.points.forEach(({ id }, point) => {
    if (taken.some((t) => t.point === point)) return;
    const bits = expectedBits(dictionary, meter, beliefs, point);
    if (bits > 0.05 && bits > (best?.bits ?? 0)) best = { point: id, bits };
  });
  return best;
}

/** Mutual information, in bits, between the candidates and a checkpoint's reading, on a grid of readings. */
function expectedBits(
  dictionary: FaultDictionary,
  meter: MeterFigures,
  beliefs: readonly number[],
  point: number,
): number {
  const curves = new Map<string, Curve>();
  dictionary.signatures.forEach((signature, i) => {
    if (!(beliefs[i]! > 1e-4)) return;
    const mean = signature.means[point]!;
    const sd = deviation(dictionary, signature, meter, point);
    // What reads alike tells nothing apart: it counts as one.
    const key = `${mean.toPrecision(9)} ${sd.toPrecision(9)}`;
    const known = curves.get(key);
    curves.set(key, { mean, sd, belief: beliefs[i]! + (known?.belief ?? 0) });
  });
  const live = [...curves.values()];
  if (live.length < 2) return 0;
  let bits = 0;
  for (const source of live) {
    for (let k = 0; k < GRID; k++) {
      const z = -4 + (8 * (k + 0.5)) / GRID;
      const own = normal(z, source.sd);
      const all = density(live, source.mean + z * source.sd);
      bits += source.belief * own * Math.log2(own / all) * ((8 * source.sd) / GRID);
    }
  }
  return bits;
}

/** How the readings of a checkpoint lie under one candidate, or under several that read alike. */
interface Curve {
  readonly mean: number;
  readonly sd: number;
  readonly belief: number;
}

/** Standard deviations beyond which a normal curve is nothing. */
const FAR = 9;

/** Density of a reading under all candidates together. */
function density(curves: readonly Curve[], reading: number): number {
  let sum = 0;
  for (let i = 0; i < curves.length; i++) {
    const { mean, sd, belief } = curves[i]!;
    const z = (reading - mean) / sd;
    if (z < FAR && z > -FAR) sum += belief * normal(z, sd);
  }
  return sum;
}

function normal(z: number, sd: number): number {
  return Math.exp(-0.5 * z * z) / (sd * Math.sqrt(2 * Math.PI));
}

import { isPlacedWord } from './placed';
import { GLANCE } from './seen';
import type { NextOutcome } from './outcomes';
import type { Candidates, Evidence } from './weigh';

/** What to measure, or to look at, next. */
export interface Next {
  /** Id of a checkpoint, or `GLANCE` for a look at the lamps. */
  readonly point: string;
  /** The drop in entropy that is expected of it. */
  readonly bits: number;
  /** What it may show, and what that would mean. */
  readonly outcomes?: readonly NextOutcome[];
}

/** What tells less than this is not worth a walk to the bench. */
const WORTH_BITS = 0.05;
/** A glance takes no probe: it goes first where it tells nearly as much. */
const GLANCE_FAVOUR = 1.3;
/** Words mix neighbours up: what a glance tells is less by this much. */
const GLANCE_SURE = 0.85;
const LIVE_FROM = 1e-4;

/** The measurement that is expected to tell most, preferring what needs no probe. */
export function nextMeasurement(
  candidates: Candidates,
  beliefs: readonly number[],
  { taken, looks }: Evidence,
): Next | undefined {
  const { dictionary, widths } = candidates;
  const live = dictionary.signatures.map((_, i) => i).filter((i) => beliefs[i]! > LIVE_FROM);
  let best: Next | undefined;
  let most = 0;
  const offer = (point: string, bits: number, favour: number) => {
    if (bits < WORTH_BITS || bits * favour <= most) return;
    most = bits * favour;
    best = { point, bits };
  };
  dictionary.points.forEach(({ id }, i) => {
    if (taken.some((t) => t.point === i)) return;
    const curves = live.map((k) => ({
      mean: dictionary.signatures[k]!.means[i]!,
      sd: widths[k]![i]!,
      belief: beliefs[k]!,
    }));
    offer(id, expectedBits(curves), 1);
  });
  if (looks.every(({ word }) => isPlacedWord(word)))
    offer(GLANCE, GLANCE_SURE * glanceBits(candidates, beliefs, live), GLANCE_FAVOUR);
  return best;
}

/** Entropy, in bits, of how the lamps look at a glance. */
function glanceBits({ glances }: Candidates, beliefs: readonly number[], live: readonly number[]): number {
  const classes = new Map<number, number>();
  for (const k of live) classes.set(glances[k]!, (classes.get(glances[k]!) ?? 0) + beliefs[k]!);
  return [...classes.values()].reduce((sum, share) => sum - share * Math.log2(share), 0);
}

/** How the readings of a checkpoint lie under one candidate, or under several that read alike. */
interface Curve {
  mean: number;
  sd: number;
  belief: number;
}

const GRID = 32;
/** Curves whose means and widths differ by less than this share of a width are one. */
const ONE_CURVE = 0.15;

/** Mutual information, in bits, between the candidates and a checkpoint's reading, on a grid of readings. */
function expectedBits(all: readonly Curve[]): number {
  const curves = merged(all);
  if (curves.length < 2) return 0;
  let bits = 0;
  for (const { mean, sd, belief } of curves) {
    for (let k = 0; k < GRID; k++) {
      const z = ZS[k]!;
      bits += belief * OWN[k]! * log2(OWN[k]! / (sd * density(curves, mean + z * sd)));
    }
  }
  return max(0, bits);
}

/** Looked up once: these stand in the innermost loops. */
const { exp, log2, max, sqrt, PI } = Math;

const REACH = 4;
const ZS = Array.from({ length: GRID }, (_, k) => -REACH + (2 * REACH * (k + 0.5)) / GRID);
const STEP = (2 * REACH) / GRID;
/** The normal curve at these places, times the step between them. */
const OWN = ZS.map((z) => (exp(-0.5 * z * z) * STEP) / sqrt(2 * PI));

/** Deviations beyond which a normal curve is nothing. */
const FAR = 6;
const PEAK = STEP / sqrt(2 * PI);

/** Density of a reading under all candidates together, times the step. */
function density(curves: readonly Curve[], reading: number): number {
  let sum = 0;
  for (let i = 0; i < curves.length; i++) {
    const { mean, sd, belief } = curves[i]!;
    const z = (reading - mean) / sd;
    if (z < FAR && z > -FAR) sum += (belief * exp(-0.5 * z * z)) / sd;
  }
  return sum * PEAK;
}

/** What reads alike tells nothing apart: it counts as one. */
function merged(all: readonly Curve[]): Curve[] {
  const found: Curve[] = [];
  for (const curve of [...all].sort((a, b) => a.mean - b.mean || a.sd - b.sd)) {
    const near = nearest(found, curve);
    if (near) near.belief += curve.belief;
    else found.push({ ...curve });
  }
  const total = found.reduce((sum, { belief }) => sum + belief, 0);
  return found.map((curve) => ({ ...curve, belief: curve.belief / total }));
}

/** Curves are looked at from the largest mean down, as far as one may still be near. */
function nearest(found: readonly Curve[], { mean, sd }: Curve): Curve | undefined {
  for (let i = found.length - 1; i >= 0 && i > found.length - 12; i--) {
    const other = found[i]!;
    if (mean - other.mean < ONE_CURVE * other.sd && Math.abs(other.sd - sd) < ONE_CURVE * (other.sd + sd))
      return other;
  }
  return undefined;
}

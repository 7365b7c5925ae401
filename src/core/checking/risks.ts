import { expandedUncertainty } from './verdict';
import { measuredAt } from './dictionary';
import { RIGHT_STATES } from './faults/fault';
import { GLANCE } from './seen';
import type { SessionExpectation } from './session';
import { candidatesOf, type Candidates } from './weigh';
import { rangeFor } from '../catalogue/meter';

/** The decision rule of one checkpoint, and what it risks. */
export interface PointRisk {
  readonly point: string;
  /** Guard band about each edge of the band: the reading's expanded uncertainty. */
  readonly guard: number;
  /** Of right builds, the share that this checkpoint by itself would call off. */
  readonly failRight: number;
  /** Of wrong builds, weighted by how often each mistake comes, the share that it would not call off. */
  readonly passWrong: number;
}

/** The fewest checkpoints that catch most. */
export interface Proposal {
  /** In the order in which they add most: ids of checkpoints, or a glance at the lamps. */
  readonly points: readonly {
    readonly point: string;
    /** Share of wrong builds caught with it and those before. */ readonly caught: number;
  }[];
  /** Share that all of them together would catch. */
  readonly most: number;
}

/** An eye passes over one odd lamp in twenty. */
const GLANCE_CATCHES = 0.95;
/** A checkpoint that catches less than this share more is left out of what is proposed. */
const WORTH = 0.01;

/**
 * Chance that a reading of each candidate falls outside the band widened by the guard band.
 * Source: JCGM 106:2012, 9.3: specific risks, from the spread of what is measured and of the measuring.
 */
export function risksOf(session: SessionExpectation): { points: PointRisk[]; proposal: Proposal } {
  const { dictionary, expected, meter } = session;
  const candidates = candidatesOf(dictionary, meter);
  const { signatures } = dictionary;
  const wrong = signatures.flatMap(({ code }, i) => (RIGHT_STATES.has(code) ? [] : [i]));
  const plan = signatures.indexOf(candidates.right);
  const total = wrong.reduce((sum, i) => sum + candidates.priors[i]!, 0) || 1;
  const guards = dictionary.points.map((point, k) => {
    const measured = measuredAt(point);
    const value = expected.points[k]!.typical;
    return expandedUncertainty(
      { value, range: rangeFor(meter, measured, point.usual), step: 0 },
      meter,
      measured,
    );
  });
  const off = (i: number, k: number) => {
    const { low, high } = expected.points[k]!;
    const [mean, sd] = [signatures[i]!.means[k]!, candidates.widths[i]![k]!];
    return below((low - guards[k]! - mean) / sd) + below((mean - high - guards[k]!) / sd);
  };
  const chances = wrong.map((i) => dictionary.points.map((_, k) => off(i, k)));
  const points = dictionary.points.map(({ id }, k): PointRisk => ({
    point: id,
    guard: guards[k]!,
    failRight: off(plan, k),
    passWrong: 1 - wrong.reduce((sum, i, n) => sum + candidates.priors[i]! * chances[n]![k]!, 0) / total,
  }));
  return { points, proposal: proposed(candidates, wrong, chances, total) };
}

function proposed(
  { dictionary, priors, glances, right }: Candidates,
  wrong: readonly number[],
  chances: readonly (readonly number[])[],
  total: number,
): Proposal {
  const plan = dictionary.signatures.indexOf(right);
  const ways = dictionary.points.map(({ id }, k) => ({ point: id, catches: (n: number) => chances[n]![k]! }));
  if (Object.keys(right.looks).length > 0)
    ways.unshift({
      point: GLANCE,
      catches: (n) => (glances[wrong[n]!] === glances[plan] ? 0 : GLANCE_CATCHES),
    });
  let missed = wrong.map((i) => priors[i]! / total);
  const caughtBy = (way: (typeof ways)[number]) =>
    missed.reduce((sum, left, n) => sum + left * way.catches(n), 0);
  const points: { point: string; caught: number }[] = [];
  const left = [...ways];
  let caught = 0;
  while (left.length > 0) {
    const best = left.reduce((a, b) => (caughtBy(b) > caughtBy(a) ? b : a));
    const more = caughtBy(best);
    if (more < WORTH) break;
    caught += more;
    points.push({ point: best.point, caught });
    missed = missed.map((share, n) => share * (1 - best.catches(n)));
    left.splice(left.indexOf(best), 1);
  }
  const rest = missed.reduce(
    (sum, share, n) => sum + share * left.reduce((miss, way) => miss * (1 - way.catches(n)), 1),
    0,
  );
  return { points, most: 1 - rest };
}

/**
 * The normal distribution's share below z.
 * Source: Abramowitz & Stegun 7.1.26; its error is under 1.5e-7.
 */
function below(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = 0.5 * poly * Math.exp(-x * x);
  return z < 0 ? tail : 1 - tail;
}

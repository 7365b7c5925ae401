import { withCandidates, type Candidates, type Evidence } from './weigh';
import { RIGHT_STATES } from './faults/fault';
import { comparedWith, deviation, logLikelihood } from './likelihood';
import type { Signature } from './dictionary';
import { lookLikelihood } from './seen';

/** From this belief in something else on, two mistakes at once are looked for. */
const UNEXPLAINED_FROM = 0.2;
/** So many single mistakes are taken together: those that leave least of the readings unexplained. */
const POOL_MOST = 60;
/** So many pairs are weighed with the single mistakes. */
const PAIRS_MOST = 12;
/** Deviations beyond which a reading is simply not explained. */
const UNEXPLAINED = 4;
/** How far what two mistakes do together is from what they do one after the other, as a share of the smaller. */
const TOGETHER = 0.12;

/**
 * The candidates with pairs of them that explain readings which no single one does. What two mistakes do together is
 * taken to multiply where a reading keeps its sign, and to add up where it does not.
 */
export function withPairs(
  candidates: Candidates,
  beliefs: readonly number[],
  evidence: Evidence,
): Candidates {
  if (evidence.taken.length === 0 || isExplained(candidates, beliefs, evidence)) return candidates;
  const pool = poolOf(candidates, evidence);
  const { signatures, points } = candidates.dictionary;
  const found: { signature: Signature; prior: number; weight: number }[] = [];
  pool.forEach((a, i) => {
    for (const b of pool.slice(i + 1)) {
      const [one, other] = [signatures[a]!, signatures[b]!];
      if (
        !goTogether(one, other) ||
        evidence.taken.some(({ point }) => isUnforeseen(candidates, one, other, point))
      )
        continue;
      const prior = priorAlone(candidates, a) * priorAlone(candidates, b);
      const signature = together(candidates, one, other);
      const weight =
        Math.log(prior) +
        logLikelihood(signature, evidence.taken, candidates.meters) +
        lookLikelihood(signature, candidates.right, evidence.looks);
      if (weight > -Infinity) found.push({ signature, prior, weight });
    }
  });
  const best = found.sort((a, b) => b.weight - a.weight).slice(0, PAIRS_MOST);
  return withCandidates(
    candidates,
    best.map(({ signature, prior }) => ({
      signature,
      prior,
      widths: points.map((_, i) => deviation(candidates.dictionary, signature, candidates.meter, i)),
    })),
  );
}

/** Deviations from which a reading surprises, and the chance of a word under which a look does. */
const SURPRISING = 2.5;
const SURPRISING_WORD = 0.1;

/** Whether the likeliest candidate explains all that was measured and seen. */
function isExplained(
  { dictionary, widths, right }: Candidates,
  beliefs: readonly number[],
  evidence: Evidence,
): boolean {
  const { signatures } = dictionary;
  if (beliefs[signatures.length]! >= UNEXPLAINED_FROM) return false;
  const first = beliefs.reduce((best, belief, i) => (belief > beliefs[best]! ? i : best), 0);
  const signature = signatures[first];
  // Where many share the belief, what no list has may lead with little.
  if (!signature) return false;
  return (
    evidence.taken.every(
      (taken) =>
        Math.abs(comparedWith(signature, taken).value - signature.means[taken.point]!) <
        SURPRISING * widths[first]![taken.point]!,
    ) && evidence.looks.every((look) => lookLikelihood(signature, right, [look]) > Math.log(SURPRISING_WORD))
  );
}

/** Mistakes that by themselves leave least of the readings unexplained; states of a right build among them. */
function poolOf({ dictionary, widths }: Candidates, { taken }: Evidence): number[] {
  const seen = new Set<string>();
  return dictionary.signatures
    .map((signature, place) => ({
      place,
      left: taken.reduce((sum, one) => {
        const { point, value } = comparedWith(signature, one);
        const off = Math.abs(value - signature.means[point]!) / widths[place]![point]!;
        return sum + Math.min(UNEXPLAINED, off) ** 2;
      }, 0),
    }))
    .filter(({ place }) => {
      const { code, means } = dictionary.signatures[place]!;
      if (code === 'right') return false;
      // Of mistakes that read alike one is enough.
      const reads = means.map((mean) => mean.toPrecision(5)).join(' ');
      if (seen.has(reads)) return false;
      seen.add(reads);
      return true;
    })
    .sort((a, b) => a.left - b.left)
    .slice(0, POOL_MOST)
    .map(({ place }) => place);
}

/** Two things that can be wrong at once: not the same part twice, nor two states of a right build. */
function goTogether(one: Signature, other: Signature): boolean {
  if (RIGHT_STATES.has(one.code) && RIGHT_STATES.has(other.code)) return false;
  return one.data.part === undefined || one.data.part !== other.data.part;
}

/** How often a mistake comes by itself beside a right build. */
function priorAlone({ dictionary, priors, right }: Candidates, place: number): number {
  return priors[place]! / priors[dictionary.signatures.indexOf(right)]!;
}

function together({ right }: Candidates, one: Signature, other: Signature): Signature {
  const [first, second] = one.prior >= other.prior ? [one, other] : [other, one];
  const means = right.means.map((plain, i) => jointly(plain, one.means[i]!, other.means[i]!));
  const covariance = right.covariance.map((row, i) =>
    row.map((_, j) => {
      if (i !== j) return 0;
      const plain = right.means[i]!;
      const smaller = Math.min(Math.abs(one.means[i]! - plain), Math.abs(other.means[i]! - plain));
      const turned = isTurned(plain, one.means[i]!) || isTurned(plain, other.means[i]!);
      const unsure = turned ? 0 : TOGETHER * smaller;
      return Math.max(one.covariance[i]![i]!, other.covariance[i]![i]!) + unsure ** 2;
    }),
  );
  const lamps = [...new Set([right, one, other].flatMap(({ looks }) => Object.keys(looks)))];
  const looks = lamps.flatMap((lamp) => {
    // Either that puts it out puts it out for both.
    const [a, b] = [one.looks[lamp], other.looks[lamp]];
    const look = a === 'dark' || b === 'dark' ? 'dark' : a === right.looks[lamp] ? b : a;
    return look === undefined ? [] : [[lamp, look] as const];
  });
  return {
    code: first.code,
    data: first.data,
    also: { code: second.code, data: second.data },
    prior: 0,
    means,
    covariance,
    ...(first.onRanges ? { onRanges: first.onRanges } : {}),
    looks: Object.fromEntries(looks),
    colour: one.colour ?? other.colour,
    hot: one.hot || other.hot,
    loose: one.loose || other.loose,
  };
}

/** What two mistakes read together, from what each reads alone. */
function jointly(plain: number, one: number, other: number): number {
  // Probes the other way round turn whatever stands there.
  if (isTurned(plain, one)) return -other;
  if (isTurned(plain, other)) return -one;
  const multiplies = plain !== 0 && one / plain > 0 && other / plain > 0;
  return multiplies ? (one * other) / plain : one + other - plain;
}

/**
 * Whether nothing is known of what two do to a reading together: one takes it all away, or turns it, where the other
 * makes it more.
 */
function isUnforeseen({ right }: Candidates, one: Signature, other: Signature, point: number): boolean {
  const [plain, a, b] = [right.means[point]!, one.means[point]!, other.means[point]!];
  if (isTurned(plain, a) || isTurned(plain, b) || (a / plain > 0 && b / plain > 0)) return false;
  return (a - plain) * (b - plain) < 0;
}

function isTurned(plain: number, reads: number): boolean {
  return plain !== 0 && Math.abs(reads + plain) < 1e-6 * Math.abs(plain);
}

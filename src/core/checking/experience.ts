import type { FaultCode } from '../parts/mistake';
import { eachOf, type FaultDictionary } from './dictionary';
import { RIGHT_STATES } from './faults/fault';

/** How often each mistake was really found. */
export type FaultCounts = Readonly<Partial<Record<FaultCode, number>>>;

/** The starting weights count as so many faults that were found: a house's own figures outweigh them slowly. */
export const STARTING_COUNT = 30;

/**
 * The dictionary with mistakes weighed by what a house has found: of each sort its share is the mean of the starting
 * weights, counted as `STARTING_COUNT` faults, and of the faults that were found (a Dirichlet prior).
 * Source: Gelman et al., Bayesian Data Analysis, 3.4.
 */
export function withExperience(dictionary: FaultDictionary, counts: FaultCounts): FaultDictionary {
  const wrong = dictionary.signatures.filter(({ code }) => !RIGHT_STATES.has(code));
  const total = wrong.reduce((sum, { prior }) => sum + prior, 0);
  const weights = new Map<FaultCode, number>();
  for (const { code, prior } of wrong.flatMap(eachOf)) weights.set(code, (weights.get(code) ?? 0) + prior);
  const found = [...weights.keys()].reduce((sum, code) => sum + (counts[code] ?? 0), 0);
  if (found === 0 || total === 0) return dictionary;
  const factor = (code: FaultCode) => {
    const start = weights.get(code)! / total;
    return (STARTING_COUNT * start + (counts[code] ?? 0)) / (STARTING_COUNT + found) / start;
  };
  return {
    ...dictionary,
    signatures: dictionary.signatures.map((one) => {
      if (RIGHT_STATES.has(one.code)) return one;
      const weighed = eachOf(one).map((each) => ({ ...each, prior: each.prior * factor(each.code) }));
      const prior = weighed.reduce((sum, each) => sum + each.prior, 0);
      return { ...one, prior, ...(one.alike ? { alike: weighed.slice(1) } : {}) };
    }),
  };
}

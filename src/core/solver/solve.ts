import type { Circuit } from '../circuit/circuit';
import { accepted, refused, type Outcome } from '../findings/finding';
import type { Settling } from './newton';
import { prepare, unsettled } from './prepare';
import { readSolution, type Solution } from './report';
import { restOf } from './resting';

export interface Solved extends Solution {
  readonly settling: Settling;
  /** A second state in which the same circuit rests as well: from full light, or with a latch the other way. */
  readonly also?: Solution & { readonly by: 'light' | 'latch' };
}

/**
 * The steady state of a circuit: node volts, and volts, amps and watts of every part.
 *
 * @returns the figures with how they were come by, or the nodes that float, clash or did not settle, or the timers
 *   that oscillate
 * @example solve(oneLamp) // value.parts.D1.amps → 0.010769
 */
export function solve(circuit: Circuit): Outcome<Solved> {
  const bench = prepare(circuit);
  if (!bench.ok) return bench;
  const { compiled } = bench.value;
  const { settling, also } = restOf(bench.value);
  if (!settling.converged) return refused(unsettled(bench.value, settling));
  const solution = readSolution(compiled);
  if (!also) return accepted({ ...solution, settling });
  compiled.equations.x.set(also.x);
  return accepted({ ...solution, settling, also: { ...readSolution(compiled), by: also.by } });
}

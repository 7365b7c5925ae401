import type { Circuit } from '../circuit/circuit';
import { compile, type Compiled } from '../circuit/compile';
import { accepted, finding, refused, type Finding, type Outcome } from '../findings/finding';
import type { Settling } from './newton';
import { OperatingPoint } from './operatingPoint';
import { readSolution, type Solution } from './report';

export interface Solved extends Solution {
  readonly settling: Settling;
  /** Where a lamp shines on its own sensor: the state reached from full light, when it is another one. */
  readonly fromLit?: Solution;
}

/**
 * The steady state of a circuit: node volts, and volts, amps and watts of every part.
 *
 * @returns the figures with how they were come by, or the nodes that float, clash or did not settle, or the timers
 *   that oscillate
 * @example solve(circuit) // parts.D1.amps → 0.010758
 */
export function solve(circuit: Circuit): Outcome<Solved> {
  const bench = prepare(circuit);
  if (!bench.ok) return bench;
  const { compiled, point } = bench.value;
  const settling = point.solve();
  if (!settling.converged) return refused(unsettled(bench.value, settling));
  const solution = readSolution(compiled);
  if (!point.lit) return accepted({ ...solution, settling });
  const dark = compiled.equations.x.slice();
  const again = point.solve(true, 'lit');
  const same = !again.converged || !differs(compiled, dark);
  return accepted({ ...solution, settling, ...(same ? {} : { fromLit: readSolution(compiled) }) });
}

/** Volts between two states that make them two. */
const APART = 1e-4;

function differs({ equations, nodeCount }: Compiled, other: Float64Array): boolean {
  return equations.x.subarray(0, nodeCount).some((volts, i) => Math.abs(volts - other[i]!) > APART);
}

/** Why there is no figure: timers without a steady state, or nodes that did not settle. */
export function unsettled({ compiled, point }: Prepared, settling: Settling): Finding {
  if (point.oscillates) {
    const timers = compiled.placed.filter(({ instance }) => instance.latch).map(({ part }) => part.id);
    return finding('oscillates', { parts: timers.join(', ') });
  }
  return finding('did-not-settle', { nodes: settling.worstNode, residual: settling.residual });
}

/** A compiled circuit with its solver, for work that solves it many times. */
export interface Prepared {
  readonly compiled: Compiled;
  readonly point: OperatingPoint;
}

export function prepare(circuit: Circuit): Outcome<Prepared> {
  const compiled = compile(circuit);
  return compiled.ok
    ? accepted({ compiled: compiled.value, point: new OperatingPoint(compiled.value) })
    : compiled;
}

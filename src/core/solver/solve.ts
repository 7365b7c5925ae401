import type { Circuit } from '../circuit/circuit';
import { compile, type Compiled } from '../circuit/compile';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Settling } from './newton';
import { OperatingPoint } from './operatingPoint';
import { readSolution, type Solution } from './report';

export interface Solved extends Solution {
  readonly settling: Settling;
}

/**
 * The steady state of a circuit: node volts, and volts, amps and watts of every part.
 *
 * @returns the figures with how they were come by, or the nodes that float, clash or did not settle
 * @example solve(circuit) // parts.D1.amps → 0.010758
 */
export function solve(circuit: Circuit): Outcome<Solved> {
  const compiled = compile(circuit);
  if (!compiled.ok) return compiled;
  const settling = new OperatingPoint(compiled.value).solve();
  if (!settling.converged) return refused(unsettled(settling));
  return accepted({ ...readSolution(compiled.value), settling });
}

export function unsettled(settling: Settling) {
  return finding('did-not-settle', {
    nodes: settling.worstNode,
    residual: settling.residual,
  });
}

/** A compiled circuit with its solver, for work that solves it many times. */
export interface Workbench {
  readonly compiled: Compiled;
  readonly point: OperatingPoint;
}

export function workbench(circuit: Circuit): Outcome<Workbench> {
  const compiled = compile(circuit);
  return compiled.ok
    ? accepted({ compiled: compiled.value, point: new OperatingPoint(compiled.value) })
    : compiled;
}

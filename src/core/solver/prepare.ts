import type { Circuit } from '../circuit/circuit';
import { compile, type Compiled } from '../circuit/compile';
import { accepted, finding, type Finding, type Outcome } from '../findings/finding';
import type { Settling } from './newton';
import { OperatingPoint } from './operatingPoint';

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

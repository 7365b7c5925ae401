import type { Check } from '../circuit/circuit';
import type { Compiled } from '../circuit/compile';
import { ampsReader } from '../solver/report';

/** Reads one check off the equations as they stand. */
export type Probe = () => number;

export function probesOf(compiled: Compiled): Probe[] {
  return compiled.circuit.checks.map((check) => probe(compiled, check));
}

function probe(compiled: Compiled, check: Check): Probe {
  if (check.measure === 'amps') {
    return ampsReader(
      compiled,
      compiled.placed.find((p) => p.part.id === check.part)!,
    );
  }
  const { x } = compiled.equations;
  const from = compiled.nodeIndex.get(check.from)!;
  const to = compiled.nodeIndex.get(check.to)!;
  return () => x[from]! - x[to]!;
}

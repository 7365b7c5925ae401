import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { floatingNodes } from '../circuit/structure';
import { accepted, type Outcome } from '../findings/finding';
import type { PartReport } from '../solver/report';
import { solve } from '../solver/solve';
import { follow } from './moving';
import type { Observation } from './observation';

/** Ohms from a node that hangs in the air to ground: no current that any meter shows. */
const LEAK_OHMS = 1e12;

/**
 * What a build does: the only way from a circuit to its behaviour. What is joined to nothing carries nothing; a circuit
 * without a state of rest is followed over time.
 *
 * @returns volts and amps at rest or on average, or why no figure can be given
 * @example observe(circuit) // { kind: 'still', parts: { D1: { amps: 0.010758, … } }, … }
 */
export function observe(circuit: Circuit): Outcome<Observation> {
  const whole = tied(circuit);
  if (isDriven(whole)) return follow(whole, circuit);
  const solved = solve(whole);
  if (!solved.ok) return solved.findings[0]?.code === 'oscillates' ? follow(whole, circuit) : solved;
  return accepted({ kind: 'still', circuit, ...solved.value });
}

/** Sources that move of themselves: nothing rests beside them. */
function isDriven(circuit: Circuit): boolean {
  return circuit.parts.some(
    (part) => isKind(part, 'signal') || (isKind(part, 'pin') && part.params.drive === 'pwm'),
  );
}

/** The circuit with everything that hangs in the air tied to ground by more ohms than any meter sees. */
export function tied(circuit: Circuit): Circuit {
  const floating = floatingNodes(circuit);
  if (floating.length === 0) return circuit;
  const leaks = floating.map((node): Part => ({
    id: `leak ${node}`,
    kind: 'resistor',
    pins: { a: node, b: circuit.ground },
    params: { ohms: LEAK_OHMS, tolerance: 0, watts: 1 },
  }));
  return { ...circuit, parts: [...circuit.parts, ...leaks] };
}

const NOTHING: PartReport = { volts: 0, amps: 0, watts: 0, pins: {} };

/** What one part does in an observation; nothing where it is not there. */
export function reportOf(seen: Pick<Observation, 'parts'>, id: string): PartReport {
  return seen.parts[id] ?? NOTHING;
}

/** Current that a build takes from its supply. */
export function supplyAmps(seen: Observation): number {
  const supply = seen.circuit.parts.find((part) => isKind(part, 'supply'));
  return supply ? Math.abs(reportOf(seen, supply.id).amps) : 0;
}

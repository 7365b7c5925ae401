import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { pressOf } from '../devices/switch';
import { withoutWires } from '../circuit/wires';
import { floatingNodes } from '../circuit/structure';
import { accepted, type Outcome } from '../findings/finding';
import type { PartReport } from '../solver/report';
import { solve } from '../solver/solve';
import { hearsSound } from './held';
import { follow } from './moving';
import type { Observation } from './observation';
import { followProgram, isProgrammed } from './programmed';
import { decided } from './ruled';

/** What a part does that is not there. */
const NOTHING: PartReport = { volts: 0, amps: 0, watts: 0, pins: {} };

/** Ohms from a node that hangs in the air to ground: no current that any meter shows. */
const LEAK_OHMS = 1e12;

/**
 * What a build does: the only way from a circuit to its behaviour. What is joined to nothing carries nothing; a circuit
 * without a state of rest is followed over time.
 *
 * @returns volts and amps at rest or on average, or why no figure can be given
 * @example observe(oneLamp) // value.parts.D1.amps → 0.010769
 */
export function observe(circuit: Circuit): Outcome<Observation> {
  const whole = decided(tied(circuit));
  if (isProgrammed(whole)) return followProgram(whole, circuit);
  if (isDriven(whole)) return follow(whole, circuit);
  const solved = solve(whole);
  if (solved.ok) return accepted({ kind: 'still', circuit, ...solved.value });
  if (!whole.parts.some((part) => isKind(part, 'timer'))) return solved;
  const moving = follow(whole, circuit);
  if (moving.ok) return moving;
  const powered = withoutUnpowered(circuit);
  if (powered !== circuit) {
    const rest = observe(powered);
    if (rest.ok) return accepted(shownAs(circuit, rest.value));
  }
  const strayed = follow(withStrays(whole), circuit, SHORTLY);
  if (strayed.ok) return accepted({ ...strayed.value, erratic: true });
  const railed = withoutChips(circuit, offTheRails(circuit));
  const rest = railed === circuit ? strayed : observe(railed);
  return rest.ok ? accepted(shownAs(circuit, rest.value)) : strayed;
}

/** A chip that swings nothing but strays goes round so fast that nothing else moves meanwhile, and does so for good. */
const SHORTLY = { rounds: 12, steps: 5000 } as const;

/** Chips whose ground or supply pin is on no rail: hung between other parts, they starve as soon as they do something. */
function offTheRails(circuit: Circuit): ReadonlySet<string> {
  const plain = withoutWires(circuit);
  const supply = sourceOf(plain);
  const railed = (part: Part) =>
    part.pins['ground'] === supply?.pins['minus'] && part.pins['supply'] === supply?.pins['plus'];
  return new Set(plain.parts.filter((part) => isKind(part, 'timer') && !railed(part)).map(({ id }) => id));
}

function withoutChips(circuit: Circuit, dead: ReadonlySet<string>): Circuit {
  return dead.size > 0 ? { ...circuit, parts: circuit.parts.filter(({ id }) => !dead.has(id)) } : circuit;
}

/** The circuit without the chips whose ground or supply pin leads nowhere: they do nothing that could be relied on. */
function withoutUnpowered(circuit: Circuit): Circuit {
  const ends = new Map<string, number>();
  for (const { pins } of circuit.parts)
    for (const net of Object.values(pins)) ends.set(net, (ends.get(net) ?? 0) + 1);
  const dead = (part: Part) =>
    isKind(part, 'timer') && [part.pins['ground'], part.pins['supply']].some((net) => ends.get(net!) === 1);
  return withoutChips(circuit, new Set(circuit.parts.filter(dead).map(({ id }) => id)));
}

/** What was seen of a circuit without some of its parts, as that of the whole: those carry nothing. */
function shownAs(circuit: Circuit, seen: Observation): Observation {
  const missing = circuit.parts.filter(({ id }) => !seen.parts[id]);
  const parts = { ...seen.parts, ...Object.fromEntries(missing.map(({ id }) => [id, NOTHING])) };
  if (seen.kind === 'still') return { ...seen, circuit, parts, starved: true };
  const none = () => new Float64Array(seen.run.time.length);
  const amps = Object.fromEntries(missing.map(({ id }) => [id, { amps: none() }]));
  return { ...seen, circuit, parts, run: { ...seen.run, parts: { ...seen.run.parts, ...amps } } };
}

/** Farads between the rows of a board and to everything around: what a chip without its capacitor has to swing. */
const STRAY_FARADS = 2e-11;

/** The circuit with the board's own few picofarads at every pin of a chip that is on no rail. */
function withStrays(circuit: Circuit): Circuit {
  const rails = new Set(Object.values(sourceOf(circuit)?.pins ?? {}));
  const nets = circuit.parts.flatMap((part) => (isKind(part, 'timer') ? Object.values(part.pins) : []));
  const strays = [...new Set(nets)]
    .filter((net) => !rails.has(net) && net !== circuit.ground)
    .map((net): Part => ({
      id: `stray ${net}`,
      kind: 'capacitor',
      pins: { a: net, b: circuit.ground },
      params: { farads: STRAY_FARADS, polarised: false, volts: 0, tolerance: 0 },
    }));
  return { ...circuit, parts: [...circuit.parts, ...strays] };
}

/** Whether a circuit may move at all: something in it keeps its own time, or is driven or pressed. */
export function mayMove(circuit: Circuit): boolean {
  return isDriven(circuit) || circuit.parts.some((part) => isKind(part, 'timer') || hearsSound(part));
}

/** What moves of itself, or is pressed and let go: nothing rests beside it. */
function isDriven(circuit: Circuit): boolean {
  return circuit.parts.some(
    (part) =>
      (isKind(part, 'signal') && !(hearsSound(part) && part.params.amplitude === 0)) ||
      (isKind(part, 'pin') && (part.params.drive === 'pwm' || part.params.drive === 'table')) ||
      (isKind(part, 'switch') && pressOf(part.params) !== undefined),
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

/** What one part does in an observation; nothing where it is not there. */
export function reportOf(seen: Pick<Observation, 'parts'>, id: string): PartReport {
  return seen.parts[id] ?? NOTHING;
}

/** What a meter shows across a part: over a transistor from its collector to its emitter, else from its first leg to its second. */
export function voltsAcross(part: Part, { nodes, parts }: Pick<Observation, 'nodes' | 'parts'>): number {
  const { collector, emitter } = part.pins;
  if (!isKind(part, 'transistor') || collector === undefined || emitter === undefined)
    return (parts[part.id] ?? NOTHING).volts;
  return (nodes[collector] ?? 0) - (nodes[emitter] ?? 0);
}

/** Current that a build takes from its supply. */
export function supplyAmps(seen: Observation): number {
  const supply = sourceOf(seen.circuit);
  return supply ? Math.abs(reportOf(seen, supply.id).amps) : 0;
}

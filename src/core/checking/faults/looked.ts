import type { Part } from '../../circuit/circuit';
import { sourceOf } from '../../circuit/source';
import { mistakesOf } from '../../parts/index';
import type { FaultCode, Mistake } from '../../parts/mistake';
import type { FaultContext } from './fault';

/** Above this many parts, only those whose readings are taken are looked at one by one, and the supply. */
const LOOKED_MOST = 16;

export function isLarge({ circuit }: FaultContext): boolean {
  return circuit.parts.length > LOOKED_MOST;
}

/** What a hand may do wrong with any part, whatever its value: of a circuit in which all hangs together, all of it shows. */
const OF_ANY_PART: ReadonlySet<FaultCode> = new Set([
  'part-missing',
  'part-shorted',
  'part-reversed',
  'pins-exchanged',
  'wrong-capacitor',
  'resistor-missing',
  'resistor-shorted',
  'lamp-reversed',
  'lamp-open',
  'lamp-shorted',
]);

/**
 * The mistakes of parts that are not looked at themselves, but show where others are: a lamp by its light, and behind a
 * transistor any part.
 */
export function fromFurther(context: FaultContext): Mistake[] {
  const { circuit } = context;
  const near = new Set(lookedAt(context));
  const amplified = circuit.parts.some(({ kind }) => kind === 'transistor');
  return circuit.parts
    .filter((part) => !near.has(part) && (amplified || part.kind === 'led'))
    .flatMap((part) => mistakesOf(part, context).filter(({ code }) => OF_ANY_PART.has(code)));
}

/** The parts whose faults are worth telling apart with the checkpoints that there are. */
export function lookedAt(context: FaultContext): readonly Part[] {
  const { circuit, points } = context;
  if (!isLarge(context)) return circuit.parts;
  const measured = new Set(points.map(({ part }) => part));
  const supply = sourceOf(circuit);
  const near = new Set(
    circuit.parts.flatMap((part) =>
      measured.has(part.id) && part.id !== supply?.id ? Object.values(part.pins) : [],
    ),
  );
  for (const net of Object.values(supply?.pins ?? {})) near.delete(net);
  return circuit.parts.filter(
    (part) => part.id === supply?.id || Object.values(part.pins).some((net) => near.has(net)),
  );
}

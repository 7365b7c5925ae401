import type { Part } from '../../circuit/circuit';
import { sourceOf } from '../../circuit/source';
import type { FaultContext } from './fault';

/** Above this many parts, only those whose readings are taken are looked at one by one, and the supply. */
const LOOKED_MOST = 16;

export function isLarge({ circuit }: FaultContext): boolean {
  return circuit.parts.length > LOOKED_MOST;
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

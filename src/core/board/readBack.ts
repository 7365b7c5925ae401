import { isKind, partOf, type Circuit, type Part } from '../circuit/circuit';
import { DEVICES } from '../devices/index';
import { boardOf, type Placement, type Plan } from './plan';
import { holeOf } from './geometry';

/**
 * Reads a plan back into the circuit it really makes: legs in one strip are joined, nothing else is.
 * Nodes are named by their strips; ground is the strip of the supply's minus leg.
 *
 * @param plan with every leg in a hole that the board has
 * @param wanted the lesson's circuit, for the parts' figures
 */
export function readBack(plan: Plan, wanted: Circuit): Circuit {
  const board = boardOf(plan);
  const strip = (hole: string) => holeOf(board, hole)?.strip ?? hole;
  const parts = plan.placements.flatMap((placement) => {
    const pins = Object.fromEntries(Object.entries(placement.legs).map(([pin, hole]) => [pin, strip(hole)]));
    const part = placedPart(placement, wanted);
    return part ? [standIn(part, placement, pins)] : [];
  });
  const source = parts.find((part) => isKind(part, 'supply'));
  return {
    title: wanted.title,
    ground: source?.pins['minus'] ?? parts[0]?.pins['a'] ?? '',
    parts,
    checks: [],
  };
}

function placedPart(placement: Placement, wanted: Circuit): Part | undefined {
  if (placement.kind === 'jumper') return { id: placement.part, kind: 'wire', pins: {}, params: {} };
  return partOf(wanted, placement.part);
}

function standIn(part: Part, placement: Placement, pins: Record<string, string>): Part {
  const other = placement.standIn;
  const [first, second] = Object.values(pins) as [string, string];
  if (!other) return { ...part, pins };
  if (other.kind === 'wire') {
    return { id: part.id, kind: 'wire', pins: { a: first, b: second }, params: {} };
  }
  if (other.kind === 'resistor' && isKind(part, 'resistor')) {
    return { ...part, pins, params: { ...part.params, ohms: other.ohms } };
  }
  if (other.kind === 'led' && isKind(part, 'led')) {
    const fields = DEVICES.led.resolve({ type: other.type, maxAmps: part.params.maxAmps });
    return 'problem' in fields ? { ...part, pins } : { ...part, pins, params: fields };
  }
  return { ...part, pins };
}

import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { DEVICES } from '../devices/index';
import { thingsOf } from '../parts/thing';
import { copperOf } from './copper';
import type { Placement, Plan } from './plan';

/**
 * Reads a plan back into the circuit it really makes: legs in one strip are joined, nothing else is.
 * Nodes are named by their strips; ground is the strip of the supply's minus leg.
 *
 * @param plan with every leg in a hole that the board has
 * @param wanted the lesson's circuit, for the parts' figures
 */
export function readBack(plan: Plan, wanted: Circuit): Circuit {
  const copper = copperOf(plan);
  const bodies = new Map(thingsOf(wanted).map((body) => [body.id, body]));
  const parts = plan.placements.flatMap((placement): Part[] => {
    const nets = Object.fromEntries(Object.entries(placement.legs).map(([leg, hole]) => [leg, copper(hole)]));
    if (placement.kind === 'jumper') return [{ id: placement.part, kind: 'wire', pins: nets, params: {} }];
    const body = bodies.get(placement.part);
    if (!body) {
      const extra = extraPart(placement, nets);
      return extra ? [extra] : [];
    }
    return body.parts.map((part) => standIn(part, placement, pinsOf(part, nets)));
  });
  return {
    title: wanted.title,
    ground: sourceOf({ parts })?.pins['minus'] ?? Object.values(parts[0]?.pins ?? {})[0] ?? '',
    parts,
    checks: [],
  };
}

/** The plan with only these pieces on the board: what stands there half-way. */
export function soFar(plan: Plan, ids: ReadonlySet<string>): Plan {
  return { ...plan, placements: plan.placements.filter(({ part }) => ids.has(part)) };
}

/** A part from the store that the lesson's circuit does not have: its placement says what it is. */
export function extraPart(placement: Placement, nets: Readonly<Record<string, string>>): Part | undefined {
  const { part: id, standIn: what } = placement;
  if (what?.kind === 'resistor') {
    return { id, kind: 'resistor', pins: nets, params: { ohms: what.ohms, tolerance: 0.05, watts: 0.25 } };
  }
  if (what?.kind !== 'led') return undefined;
  const fields = DEVICES.led.resolve({ type: what.type, maxAmps: 0.02 });
  return 'problem' in fields ? undefined : { id, kind: 'led', pins: nets, params: fields };
}

/** The nets at a part's own pins, from those at the legs of the thing that holds it. */
function pinsOf(part: Part, nets: Record<string, string>): Record<string, string> {
  if (!part.body) return nets;
  const { legs } = part.body;
  return Object.fromEntries(
    Object.entries(part.pins).map(([pin, inside]) => [pin, pin in legs ? nets[legs[pin]!]! : inside]),
  );
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

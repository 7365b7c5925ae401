import type { Circuit } from '../circuit/circuit';
import { finding, type Finding } from '../findings/finding';
import { footprintOf, thingsOf, type Thing } from '../parts/thing';
import { boardOf } from './copper';
import { holeOf } from './geometry';
import type { Placement, Plan } from './plan';
import { bodyShape, lies, meet, stands, type Shape } from './room';

interface Lying {
  readonly placement: Placement;
  readonly thing: Pick<Thing, 'kind'>;
  readonly shape: Shape;
}

/**
 * Bodies that would be in one another's way: a leg or a wire's end under a body, or two that stand in the same place.
 * Flexible leads and tapes take no room.
 */
export function inTheWay(plan: Plan, circuit: Circuit): Finding[] {
  const board = boardOf(plan);
  if (board.copper === 'tapes') return [];
  const things = new Map(thingsOf(circuit).map((thing) => [thing.id, thing]));
  const places = (placement: Placement) =>
    Object.values(placement.legs).flatMap((name) => holeOf(board, name) ?? []);
  const lying = plan.placements.flatMap((placement): Lying[] => {
    const thing =
      placement.kind === 'jumper' ? undefined : (things.get(placement.part) ?? standIn(placement));
    if (!thing || footprintOf(thing).form === 'leads') return [];
    return [{ placement, thing, shape: bodyShape(thing, places(placement)) }];
  });
  const found: Finding[] = [];
  for (const { placement, shape, thing } of lying) {
    for (const other of plan.placements) {
      if (other === placement || (board.copper === 'pads' && other.kind === 'jumper')) continue;
      const under = places(other).find((place) => lies(place, shape));
      const body = lying.find((one) => one.placement === other);
      const met = body !== undefined && stands(thing) && stands(body.thing) && meet(shape, body.shape);
      if (under) found.push(finding('in-the-way', { part: other.part, other: placement.part }, 'warning'));
      else if (met && placement.part < other.part)
        found.push(finding('in-the-way', { part: other.part, other: placement.part }, 'warning'));
    }
  }
  return found;
}

/** What a part from the store is, that the lesson does not ask for. */
function standIn({ standIn: what }: Placement): Pick<Thing, 'kind'> | undefined {
  return what && { kind: what.kind };
}

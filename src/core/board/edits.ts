import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { boardOf, takenHoles, type Placement, type Plan, type StandIn } from './plan';
import { holeOf, type HoleName } from './geometry';

type Legs = Readonly<Record<string, HoleName>>;

/** Puts one leg into another hole. */
export function moveLeg(plan: Plan, part: string, pin: string, hole: HoleName): Outcome<Plan> {
  return relegged(plan, part, (legs) => ({ ...legs, [pin]: hole }));
}

/** Shifts a whole part by rows and columns; columns step over the trench. */
export function shiftPart(plan: Plan, part: string, rows: number, columns: number): Outcome<Plan> {
  return relegged(plan, part, (legs) =>
    Object.fromEntries(Object.entries(legs).map(([pin, hole]) => [pin, shifted(plan, hole, rows, columns)])),
  );
}

/** Turns a part end for end: its first and last legs change places. */
export function turnPart(plan: Plan, part: string): Outcome<Plan> {
  return relegged(plan, part, (legs) => {
    const pins = Object.keys(legs);
    const holes = Object.values(legs).reverse();
    return Object.fromEntries(pins.map((pin, i) => [pin, holes[i]!]));
  });
}

/** Puts something else in a part's place, or the part itself back. */
export function standInFor(plan: Plan, part: string, standIn: StandIn | undefined): Plan {
  return changed(plan, part, (placement) => ({ ...placement, standIn }));
}

/** The hole next to a leg's in a direction, or the same when the board ends there. */
export function shifted(plan: Plan, name: HoleName, rows: number, columns: number): HoleName {
  const board = boardOf(plan);
  const hole = holeOf(board, name);
  if (!hole) return name;
  const order = hole.rail ? board.rails : [...board.left, ...board.right];
  const column = order[order.indexOf(hole.column as never) + columns];
  return column === undefined ? name : `${column}${hole.row + rows}`;
}

function relegged(plan: Plan, part: string, change: (legs: Legs) => Legs): Outcome<Plan> {
  const moved = changed(plan, part, (placement) => ({ ...placement, legs: change(placement.legs) }));
  const placement = moved.placements.find((p) => p.part === part);
  const holes = Object.values(placement?.legs ?? {});
  const board = boardOf(plan);
  const missing = holes.find((hole) => !holeOf(board, hole));
  if (missing !== undefined) return refused(finding('hole-missing', { hole: missing, part }));
  const taken = takenHoles({ ...plan, placements: plan.placements.filter((p) => p.part !== part) });
  for (const hole of holes) {
    const other = taken.get(hole);
    if (other) return refused(finding('hole-taken', { hole, part, other: other.part }));
  }
  const double = holes.find((hole, i) => holes.indexOf(hole) !== i);
  if (double !== undefined) {
    return refused(finding('hole-taken', { hole: double, part, other: part }));
  }
  return accepted(moved);
}

function changed(plan: Plan, part: string, change: (placement: Placement) => Placement): Plan {
  return {
    ...plan,
    placements: plan.placements.map((p) => (p.part === part ? change(p) : p)),
  };
}

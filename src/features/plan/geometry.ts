import { boardHoles, boardOf, holeOf, type Hole, type HoleName, type Plan } from '@/core';

/** Drawing units per pitch of 2.54 mm. */
export const UNIT = 18;
const LEFT = 1.1;
const TOP = 1.7;

export interface Point {
  readonly x: number;
  readonly y: number;
}

export function at(hole: Pick<Hole, 'x' | 'y'>): Point {
  return { x: (hole.x + LEFT) * UNIT, y: (hole.y + TOP) * UNIT };
}

export function atHole(plan: Plan, name: HoleName): Point {
  const hole = holeOf(boardOf(plan), name);
  return hole ? at(hole) : { x: 0, y: 0 };
}

/** The hole nearest to a place in the drawing, if one is close. */
export function nearestHole(plan: Plan, place: Point): Hole | undefined {
  let best: Hole | undefined;
  let distance = UNIT * 1.2;
  for (const hole of boardHoles(boardOf(plan))) {
    const { x, y } = at(hole);
    const away = Math.hypot(x - place.x, y - place.y);
    if (away < distance) {
      best = hole;
      distance = away;
    }
  }
  return best;
}

/** The last row that is drawn: enough to see every leg, and a few rows more. */
export function rowsShown(plan: Plan, whole: boolean): number {
  const board = boardOf(plan);
  if (whole) return board.rows;
  const used = plan.placements.flatMap((p) =>
    Object.values(p.legs).map((name) => holeOf(board, name)?.row ?? 1),
  );
  return Math.min(board.rows, Math.max(15, Math.max(...used) + 4));
}

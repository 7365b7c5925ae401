import { boardHoles, boardOf, type Corners, type HoleName, type Plan } from '@/core';
import { at, atHole, extentOf, UNIT, viewOf, type Point } from '../plan/geometry';

/** Four holes near the corners of what is drawn of a board: where they lie in the drawing, and what they are called. */
export interface Anchors {
  readonly holes: readonly [HoleName, HoleName, HoleName, HoleName];
  readonly spots: Corners;
  /** Size of the drawing. */
  readonly width: number;
  readonly height: number;
}

/** The holes that a picture is laid under its plan by, clockwise from the top left of the upright drawing. */
export function anchorsOf(plan: Plan): Anchors | undefined {
  const view = viewOf(plan, 'upright');
  const extent = extentOf(plan, false);
  // A hole with a leg in it is not seen in a picture.
  const taken = new Set(plan.placements.flatMap(({ legs }) => Object.values(legs)));
  const drawn = boardHoles(boardOf(plan))
    .filter(({ x, y, name }) => x <= extent.right && y <= extent.foot - 1 && !taken.has(name))
    .map((hole) => ({ name: hole.name, ...at(hole, view) }));
  const most = (of: (spot: Point) => number) =>
    drawn.reduce<(typeof drawn)[number] | undefined>(
      (best, one) => (best && of(best) >= of(one) ? best : one),
      undefined,
    );
  const corners = [
    most(({ x, y }) => -x - y),
    most(({ x, y }) => x - y),
    most(({ x, y }) => x + y),
    most(({ x, y }) => y - x),
  ];
  const [a, b, c, d] = corners;
  if (!a || !b || !c || !d || new Set(corners).size < 4) return undefined;
  const foot = [at({ x: extent.left, y: extent.top }, view), at({ x: extent.right, y: extent.foot }, view)];
  return {
    holes: [a.name, b.name, c.name, d.name],
    spots: [a, b, c, d].map(({ x, y }) => ({ x, y })) as unknown as Corners,
    width: Math.max(...foot.map(({ x }) => x)) + 1.1 * UNIT,
    height: Math.max(...foot.map(({ y }) => y)) + (view === 'flat' ? 1.1 : 0.5) * UNIT,
  };
}

/** A finger comes no nearer than this. */
const NEAR = 2 * UNIT;

/** The part of the plan whose legs, or the line between them, lie nearest to a place in the upright drawing. */
export function partNear(plan: Plan, place: Point): string | undefined {
  const view = viewOf(plan, 'upright');
  const away = plan.placements.map(({ part, legs }) => {
    const spots = Object.values(legs).map((hole) => atHole(plan, hole, view));
    const parts = spots.map((spot, i) => toLine(place, spot, spots[i + 1] ?? spot));
    return { part, far: Math.min(...parts) };
  });
  return away.filter(({ far }) => far < NEAR).sort((a, b) => a.far - b.far)[0]?.part;
}

function toLine(place: Point, from: Point, to: Point): number {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : ((place.x - from.x) * dx + (place.y - from.y) * dy) / length;
  const share = Math.min(1, Math.max(0, along));
  return Math.hypot(place.x - from.x - share * dx, place.y - from.y - share * dy);
}

import { roomOf, thingOf, type Circuit, type Plan, type Placement } from '@/core';
import { atHole, UNIT, type Point, type View } from './geometry';
import { CHARACTER, LETTERS, overlap, type Box } from './lettering';

/** Drawing units that a leg or body takes to either side of its axis. */
const AROUND = 6;

/**
 * Whether a label beside a part would lie over another part: then its name alone stands over its end.
 *
 * @param beyond drawing units from its legs to where its label begins
 */
export function isCrowded(
  { plan, circuit, view }: { plan: Plan; circuit: Circuit; view: View },
  placement: Placement,
  characters: number,
  beyond = AROUND,
): boolean {
  const own = boxOf(endsOf(plan, placement, view));
  const middle = (own.top + own.foot) / 2;
  const left = own.right + beyond;
  const around = ({ part }: Placement) => {
    const thing = thingOf(circuit, part);
    return thing ? Math.max(AROUND, UNIT * roomOf(thing).across) : AROUND;
  };
  const label = {
    left,
    right: left + CHARACTER * LETTERS.label * characters,
    top: middle - 7,
    foot: middle + 3,
  };
  return plan.placements.some(
    (other) => other !== placement && overlap(label, boxOf(endsOf(plan, other, view), around(other))),
  );
}

function endsOf(plan: Plan, { legs }: Placement, view: View): Point[] {
  return Object.values(legs).map((hole) => atHole(plan, hole, view));
}

function boxOf(points: readonly Point[], around = 0): Box {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return {
    left: Math.min(...xs) - around,
    right: Math.max(...xs) + around,
    top: Math.min(...ys) - around,
    foot: Math.max(...ys) + around,
  };
}

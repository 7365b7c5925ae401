import type { Room } from '../parts/footprint';
import { heightOf, roomOf, type Thing } from '../parts/thing';

/** Looked up once: these stand in the innermost loops. */
const { hypot, max, min } = Math;

/** The ground that a body takes, seen from above, in pitches: a disc, or a rectangle along the board. */
export type Shape =
  | { readonly form: 'disc'; readonly x: number; readonly y: number; readonly radius: number }
  | {
      readonly form: 'box';
      readonly left: number;
      readonly right: number;
      readonly top: number;
      readonly foot: number;
    };

interface Place {
  readonly x: number;
  readonly y: number;
}

/** A hole this close to the edge of a body is still free. */
const EDGE = 0.05;
/** From this height on a body stands in the way of others; what lies flat may lie beside it. */
const STANDING = 2;

/** The ground of a thing with its legs in these places. */
export function bodyShape(thing: Pick<Thing, 'kind'>, legs: readonly Place[]): Shape {
  return shapeIn(roomOf(thing), legs);
}

function shapeIn({ along, across, round }: Room, legs: readonly Place[]): Shape {
  const [xs, ys] = [legs.map(({ x }) => x), legs.map(({ y }) => y)];
  const [left, right, top, foot] = [min(...xs), max(...xs), min(...ys), max(...ys)];
  if (round) return { form: 'disc', x: (left + right) / 2, y: (top + foot) / 2, radius: across };
  const lying = right - left > foot - top;
  const [aside, down] = lying ? [along, across] : [across, along];
  return { form: 'box', left: left - aside, right: right + aside, top: top - down, foot: foot + down };
}

/** Whether a hole lies under a body. */
export function lies(place: Place, shape: Shape): boolean {
  if (shape.form === 'disc') return hypot(place.x - shape.x, place.y - shape.y) < shape.radius - EDGE;
  const inX = place.x > shape.left - EDGE && place.x < shape.right + EDGE;
  const inY = place.y > shape.top - EDGE && place.y < shape.foot + EDGE;
  return inX && inY;
}

/** Whether a thing stands so high that no other standing one can be where it is. */
export function stands(thing: Pick<Thing, 'kind'>): boolean {
  return heightOf(thing) >= STANDING && roomOf(thing).across > 0;
}

/** Whether two bodies would be in each other's way. */
export function meet(one: Shape, other: Shape): boolean {
  if (one.form === 'box' && other.form === 'box') {
    const apart =
      one.right <= other.left + EDGE ||
      other.right <= one.left + EDGE ||
      one.foot <= other.top + EDGE ||
      other.foot <= one.top + EDGE;
    return !apart;
  }
  if (one.form === 'disc' && other.form === 'disc') {
    return hypot(one.x - other.x, one.y - other.y) < one.radius + other.radius - EDGE;
  }
  const [disc, box] = one.form === 'disc' ? [one, other] : [other as Extract<Shape, { form: 'disc' }>, one];
  if (box.form !== 'box') return false;
  const x = max(box.left, min(disc.x, box.right));
  const y = max(box.top, min(disc.y, box.foot));
  return hypot(disc.x - x, disc.y - y) < disc.radius - EDGE;
}

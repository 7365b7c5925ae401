import { distance, type Hole } from '../geometry';
import type { Lattice } from './lattice';
import type { Occupancy } from './occupancy';
import { WEIGHTS } from './weights';

/** Looked up once: these stand in the innermost loops. */
const { abs, hypot, max, min, round, sign } = Math;

/** A wire between two holes, for the net of a number. */
export interface Link {
  readonly net: number;
  readonly a: number;
  readonly b: number;
}

/** What a new wire finds on the board: legs and bodies, the wires so far, and how many of them lie over each hole. */
export interface Ground {
  readonly occupancy: Occupancy;
  readonly links: readonly Link[];
  readonly under: Uint16Array;
}

export function coveredBy(lattice: Lattice, links: readonly Link[]): Uint16Array {
  const under = new Uint16Array(lattice.holes.length);
  for (const { a, b } of links) for (const { hole } of passed(lattice, a, b)) under[hole]!++;
  return under;
}

/** The cost of a wire; where it comes to `most` without all of it, that is enough to know. */
export function wireCost(
  { occupancy, links, under }: Ground,
  a: number,
  b: number,
  net: number,
  most = Infinity,
): number {
  const { holes, board } = occupancy.lattice;
  const [from, to] = [holes[a]!, holes[b]!];
  let cost = WEIGHTS.wire * distance(from, to);
  const arched = occupancy.isOverChip(from, to);
  if (arched) cost += WEIGHTS.arch;
  else if (from.x !== to.x && from.y !== to.y)
    cost += occupancy.straight ? WEIGHTS.slant.plugged : WEIGHTS.slant.soldered;
  if (board.copper !== 'pads') cost += WEIGHTS.overLeg * (under[a]! + under[b]!);
  for (const end of [a, b]) if (occupancy.isLeanedOver(end)) cost += WEIGHTS.underLamp;
  if (cost >= most) return cost;
  for (const link of links) {
    if (link.net === net && board.copper === 'pads') continue;
    if (crosses(from, to, holes[link.a]!, holes[link.b]!)) cost += WEIGHTS.crossing;
  }
  return board.copper === 'pads' || cost >= most ? cost : cost + passingCost(occupancy, a, b);
}

/** What it costs that a wire passes over bodies, and over holes with a leg or the end of a wire in them. */
function passingCost(occupancy: Occupancy, a: number, b: number): number {
  let cost = 0;
  const { lattice } = occupancy;
  const arched = occupancy.isOverChip(lattice.holes[a]!, lattice.holes[b]!);
  for (const { hole, off } of passed(lattice, a, b)) {
    // Over the chip it is in the air.
    if (arched && occupancy.isUnderArch(hole)) continue;
    if (occupancy.netAt[hole]! >= 0) cost += off < 1e-9 ? WEIGHTS.overLeg : WEIGHTS.nearLeg;
    else if (!occupancy.isFree(hole)) cost += WEIGHTS.overBody;
  }
  return cost;
}

/** Holes with a leg or the end of a wire in them that some wire lies right over. */
export function legsUnder({ lattice, netAt }: Occupancy, links: readonly Link[]): number {
  if (lattice.board.copper === 'pads') return 0;
  const over = links.flatMap(({ a, b }) => passed(lattice, a, b));
  return over.filter(({ hole, off }) => off < 1e-9 && netAt[hole]! >= 0).length;
}

/** How near to the middle of a hole a wire lies over it, in pitches. */
const OVER = 0.4;

/** The holes that a straight wire from one to another lies over, and how far its axis is off their middles. */
export function passed(lattice: Lattice, a: number, b: number): { hole: number; off: number }[] {
  const [from, to] = [lattice.holes[a]!, lattice.holes[b]!];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const steps = max(abs(dx), abs(dy));
  const straight = steps / hypot(dx, dy);
  const found: { hole: number; off: number }[] = [];
  for (let i = 1; i < steps; i++) {
    const [x, y] = [from.x + (dx / steps) * i, from.y + (dy / steps) * i];
    const [column, row] = [round(x), round(y)];
    const off = max(abs(x - column), abs(y - row)) * straight;
    if (off > OVER) continue;
    const hole = lattice.placeAt(column, row);
    if (hole >= 0) found.push({ hole, off });
  }
  return found;
}

/** Whether two straight wires cross or lie over each other, their ends not counted when they share one. */
export function crosses(a: Hole, b: Hole, c: Hole, d: Hole): boolean {
  const [abc, abd, cda, cdb] = [side(a, b, c), side(a, b, d), side(c, d, a), side(c, d, b)];
  if (abc === 0 && abd === 0) {
    const [x, y] = [overlap(a.x, b.x, c.x, d.x), overlap(a.y, b.y, c.y, d.y)];
    return x >= 0 && y >= 0 && x + y > 0;
  }
  return abc * abd < 0 && cda * cdb < 0;
}

function side(p: Hole, q: Hole, r: Hole): number {
  return sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
}

function overlap(p: number, q: number, r: number, s: number): number {
  return min(max(p, q), max(r, s)) - max(min(p, q), min(r, s));
}

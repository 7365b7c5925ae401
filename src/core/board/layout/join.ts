import { distance, type Hole } from '../geometry';
import type { Lattice } from './lattice';
import type { Occupancy } from './occupancy';
import { WEIGHTS } from './weights';

/** A wire between two holes, for the net of a number. */
export interface Link {
  readonly net: number;
  readonly a: number;
  readonly b: number;
}

interface Group {
  /** Holes into which the end of a wire may go. */
  open: number[];
  /** Whether legs are joined there already, or it is a rail that a wire may use on its way. */
  readonly legs: boolean;
}

/** Columns to either side of a run on which a wire may still meet it. */
const REACH = 6;

export interface JoinRequest {
  readonly occupancy: Occupancy;
  /** Nets in the order in which their wires are laid. */
  readonly nets: readonly number[];
  readonly plus: number;
  readonly minus: number;
  readonly kept: readonly Link[];
}

/**
 * Wires the groups of each net together by a shortest tree (Kruskal 1956), each wire in the free holes
 * that keep it short, straight, and clear of the others.
 *
 * @returns the wires, or undefined when some strip has no hole left
 */
export function joinNets(request: JoinRequest): Link[] | undefined {
  const { occupancy, kept } = request;
  const { lattice } = occupancy;
  const links: Link[] = [];
  const takeEnd = (hole: number, net: number) => {
    if (lattice.board.copper !== 'pads') occupancy.take(hole, net);
  };
  for (const link of kept) {
    const own = [link.a, link.b].every((hole) => occupancy.joins(hole, link.net) && occupancy.isFree(hole));
    if (!own && lattice.board.copper !== 'pads') continue;
    takeEnd(link.a, link.net);
    takeEnd(link.b, link.net);
    links.push(link);
  }
  for (const net of request.nets) {
    const joined = joinOne(request, net, links, takeEnd);
    if (!joined) return undefined;
    links.push(...joined);
  }
  return links;
}

/** The wires of one net, beside those that were laid before. */
function joinOne(
  request: JoinRequest,
  net: number,
  laid: readonly Link[],
  takeEnd: (hole: number, net: number) => void,
): Link[] | undefined {
  const { occupancy } = request;
  const { lattice } = occupancy;
  const groups = groupsOf(request, net);
  const root = groups.map((_, i) => i);
  const find = (i: number): number => (root[i] === i ? i : find(root[i]!));
  const holds = (group: Group, hole: number) =>
    group.open.includes(hole) || group.open.some((other) => sameCopper(lattice, other, hole));
  const edges: { readonly link: Link; readonly ends: readonly [number, number]; readonly kept: boolean }[] =
    [];
  for (const link of laid) {
    const [i, j] = [link.a, link.b].map((hole) => groups.findIndex((group) => holds(group, hole)));
    if (link.net !== net || i! < 0 || j! < 0) continue;
    root[find(i!)] = find(j!);
    edges.push({ link, ends: [i!, j!], kept: true });
  }
  const links = [...laid];
  for (let joined = components(groups, find); joined > 1; joined--) {
    const best = cheapest(occupancy, groups, find, links, net);
    if (!best) return undefined;
    root[find(best.i)] = find(best.j);
    takeEnd(best.a, net);
    takeEnd(best.b, net);
    if (lattice.board.copper !== 'pads') {
      for (const group of groups)
        group.open = group.open.filter((hole) => hole !== best.a && hole !== best.b);
    }
    const link = { net, ...inReadingOrder(lattice, best.a, best.b) };
    links.push(link);
    edges.push({ link, ends: [best.i, best.j], kept: false });
  }
  return withoutDeadEnds(groups, edges);
}

/** Wires that lead to a rail from which nothing goes on are left out. */
function withoutDeadEnds(
  groups: readonly Group[],
  edges: readonly { readonly link: Link; readonly ends: readonly [number, number]; readonly kept: boolean }[],
): Link[] {
  let left = [...edges];
  for (;;) {
    const degree = (group: number) => left.filter(({ ends }) => ends.includes(group)).length;
    const dead = (group: number) => !groups[group]!.legs && degree(group) === 1;
    const needed = left.filter(({ ends, kept }) => kept || !ends.some(dead));
    if (needed.length === left.length) return needed.filter(({ kept }) => !kept).map(({ link }) => link);
    left = needed;
  }
}

function sameCopper(lattice: Lattice, a: number, b: number): boolean {
  return lattice.board.copper !== 'strips' && lattice.strip[a] === lattice.strip[b];
}

function components(groups: readonly Group[], find: (i: number) => number): number {
  return new Set(groups.map((_, i) => find(i))).size;
}

function cheapest(
  occupancy: Occupancy,
  groups: readonly Group[],
  find: (i: number) => number,
  links: readonly Link[],
  net: number,
): { a: number; b: number; i: number; j: number } | undefined {
  const { holes } = occupancy.lattice;
  let best: { a: number; b: number; i: number; j: number } | undefined;
  let least = Infinity;
  for (let i = 0; i < groups.length; i++) {
    for (let j = i + 1; j < groups.length; j++) {
      if (find(i) === find(j)) continue;
      for (const a of groups[i]!.open) {
        for (const b of groups[j]!.open) {
          const [from, to] = [holes[a]!, holes[b]!];
          const square = (from.x - to.x) ** 2 + (from.y - to.y) ** 2;
          if (square * WEIGHTS.wire * WEIGHTS.wire >= least * least) continue;
          const cost = wireCost(occupancy, a, b, links, net);
          if (cost < least) {
            least = cost;
            best = { a, b, i, j };
          }
        }
      }
    }
  }
  return best;
}

function wireCost(occupancy: Occupancy, a: number, b: number, links: readonly Link[], net: number): number {
  const { holes, board } = occupancy.lattice;
  const [from, to] = [holes[a]!, holes[b]!];
  let cost = WEIGHTS.wire * distance(from, to);
  if (from.x !== to.x && from.y !== to.y) cost += WEIGHTS.slant;
  for (const link of links) {
    if (link.net === net && board.copper === 'pads') continue;
    if (crosses(from, to, holes[link.a]!, holes[link.b]!)) cost += WEIGHTS.crossing;
  }
  if (board.copper === 'pads') return cost;
  return cost + passingCost(occupancy, a, b) + WEIGHTS.overLeg * endsUnder(occupancy, a, b, links);
}

/** What it costs that a wire passes over bodies, and over holes with a leg or the end of a wire in them. */
function passingCost(occupancy: Occupancy, a: number, b: number): number {
  let cost = 0;
  for (const { hole, off } of passed(occupancy.lattice, a, b)) {
    if (occupancy.netAt[hole]! >= 0) cost += off < 1e-9 ? WEIGHTS.overLeg : WEIGHTS.nearLeg;
    else if (!occupancy.isFree(hole)) cost += WEIGHTS.overBody;
  }
  return cost;
}

/** How many ends of a wire would go into holes that another wire lies over. */
function endsUnder({ lattice }: Occupancy, a: number, b: number, links: readonly Link[]): number {
  let under = 0;
  for (const link of links) {
    if (passed(lattice, link.a, link.b).some(({ hole }) => hole === a || hole === b)) under++;
  }
  return under;
}

/** How near to the middle of a hole a wire lies over it, in pitches. */
const OVER = 0.4;

/** The holes that a straight wire from one to another lies over, and how far its axis is off their middles. */
function passed(lattice: Lattice, a: number, b: number): { hole: number; off: number }[] {
  const [from, to] = [lattice.holes[a]!, lattice.holes[b]!];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const steps = Math.max(Math.abs(dx), Math.abs(dy));
  const straight = steps / Math.hypot(dx, dy);
  const found: { hole: number; off: number }[] = [];
  for (let i = 1; i < steps; i++) {
    const [x, y] = [from.x + (dx / steps) * i, from.y + (dy / steps) * i];
    const [column, row] = [Math.round(x), Math.round(y)];
    const off = Math.max(Math.abs(x - column), Math.abs(y - row)) * straight;
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
  return Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
}

function overlap(p: number, q: number, r: number, s: number): number {
  return Math.min(Math.max(p, q), Math.max(r, s)) - Math.max(Math.min(p, q), Math.min(r, s));
}

/** Rail ends first, then upper, then left. */
function inReadingOrder(lattice: Lattice, a: number, b: number): { a: number; b: number } {
  const [one, two] = [lattice.holes[a]!, lattice.holes[b]!];
  if (one.rail !== two.rail) return one.rail ? { a, b } : { a: b, b: a };
  const first = one.y !== two.y ? one.y < two.y : one.x <= two.x;
  return first ? { a, b } : { a: b, b: a };
}

function groupsOf({ occupancy, plus, minus }: JoinRequest, net: number): Group[] {
  const { lattice } = occupancy;
  const groups = occupancy
    .groupsOf(net)
    .map((legs): Group => ({ open: openHoles(occupancy, legs, net), legs: true }));
  const sign = net === plus ? '+' : net === minus ? '-' : '';
  if (!sign || lattice.board.rails.length === 0) return groups;
  // A power net may use every rail of its sign that lies beside one of its legs.
  const rows = occupancy
    .legsOf(net)
    .map((leg) => lattice.holes[leg]!)
    .filter((hole) => !hole.rail);
  const wanted = new Set<string>();
  for (const { x, row } of rows) {
    const half = lattice.board.splitAfter && row > lattice.board.splitAfter ? ' lower' : '';
    wanted.add(`${x > 8 ? 'R' : 'L'}${sign}${half}`);
  }
  for (const legs of occupancy.groupsOf(net)) wanted.delete(lattice.holes[legs[0]!]!.strip);
  for (const strip of wanted) {
    const open = lattice.holes.flatMap((hole, i) => (hole.strip === strip && occupancy.isFree(i) ? [i] : []));
    groups.push({ open, legs: false });
  }
  return groups;
}

function openHoles(occupancy: Occupancy, legs: readonly number[], net: number): number[] {
  const { lattice } = occupancy;
  if (lattice.board.copper === 'pads') return [...legs];
  const strip = lattice.members[lattice.strip[legs[0]!]!]!;
  if (lattice.board.copper === 'rows') return strip.filter((hole) => occupancy.isFree(hole));
  const xs = legs.map((leg) => lattice.holes[leg]!.x);
  const [low, high] = [Math.min(...xs) - REACH, Math.max(...xs) + REACH];
  return strip.filter((hole) => {
    const { x } = lattice.holes[hole]!;
    return x >= low && x <= high && occupancy.allows(hole, net) && occupancy.joins(hole, net);
  });
}

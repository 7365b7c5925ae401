import type { Lattice } from './lattice';
import type { Occupancy } from './occupancy';
import { WEIGHTS } from './weights';
import { coveredBy, passed, wireCost, type Ground, type Link } from './wirePrice';

/** Looked up once: these stand in the innermost loops. */
const { max, min } = Math;
const NEVER = Infinity;

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
  /** Wires between the two pairs of rails, whose ends have their holes already. */
  readonly rails: readonly Link[];
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
  const own = kept.filter(
    ({ net, a, b }) =>
      lattice.board.copper === 'pads' ||
      [a, b].every((hole) => occupancy.joins(hole, net) && occupancy.isFree(hole)),
  );
  for (const link of own) takeEnds(occupancy, link);
  let links: Link[] = [...request.rails, ...own];
  for (const net of request.nets) {
    const joined = joinOne(request, net, links);
    if (!joined) return undefined;
    links = [...links, ...joined];
  }
  return links.filter((link) => !request.rails.includes(link) || isUsed(occupancy, link));
}

/** Whether anything but the wire itself hangs on the rail that it leads to. */
function isUsed({ lattice, netAt }: Occupancy, { b }: Link): boolean {
  return lattice.members[lattice.strip[b]!]!.some((hole) => hole !== b && netAt[hole]! >= 0);
}

/** On pads a wire ends under the leg itself and takes no place of its own. */
export function takeEnds(occupancy: Occupancy, { a, b, net }: Link): void {
  if (occupancy.lattice.board.copper === 'pads') return;
  occupancy.take(a, net);
  occupancy.take(b, net);
}

/** The wires of one net, beside those that were laid before. */
export function joinOne(request: JoinRequest, net: number, laid: readonly Link[]): Link[] | undefined {
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
  const ground: Ground = { occupancy, links, under: coveredBy(lattice, links) };
  for (let joined = components(groups, find); joined > 1; joined--) {
    const best = cheapest(ground, groups, find, net);
    if (!best) return undefined;
    root[find(best.i)] = find(best.j);
    const link = { net, ...inReadingOrder(lattice, best.a, best.b) };
    takeEnds(occupancy, link);
    if (lattice.board.copper !== 'pads') {
      for (const group of groups)
        group.open = group.open.filter((hole) => hole !== best.a && hole !== best.b);
    }
    links.push(link);
    for (const { hole } of passed(lattice, link.a, link.b)) ground.under[hole]!++;
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
  ground: Ground,
  groups: readonly Group[],
  find: (i: number) => number,
  net: number,
): { a: number; b: number; i: number; j: number } | undefined {
  const { holes } = ground.occupancy.lattice;
  let best: { a: number; b: number; i: number; j: number } | undefined;
  let least = NEVER;
  for (let i = 0; i < groups.length; i++) {
    for (let j = i + 1; j < groups.length; j++) {
      if (find(i) === find(j)) continue;
      for (const a of groups[i]!.open) {
        for (const b of groups[j]!.open) {
          const [from, to] = [holes[a]!, holes[b]!];
          const square = (from.x - to.x) ** 2 + (from.y - to.y) ** 2;
          if (square * WEIGHTS.wire * WEIGHTS.wire >= least * least) continue;
          const cost = wireCost(ground, a, b, net, least);
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
  const [low, high] = [min(...xs) - REACH, max(...xs) + REACH];
  return strip.filter((hole) => {
    const { x } = lattice.holes[hole]!;
    return x >= low && x <= high && occupancy.allows(hole, net) && occupancy.joins(hole, net);
  });
}

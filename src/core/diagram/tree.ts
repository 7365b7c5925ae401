import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';

/** A circuit between its supply's ends, as things in a row and side by side. */
export type Tree =
  | { readonly form: 'part'; readonly part: Part; readonly from: string; readonly to: string }
  | {
      readonly form: 'series' | 'parallel';
      readonly parts: readonly Tree[];
      readonly from: string;
      readonly to: string;
      /** How many rows within rows there are. */
      readonly depth: number;
    };

/** A ladder of more rungs than this would be drawn too small to be read. */
const DEEPEST = 100;

/**
 * Takes a circuit apart into series and parallel, from the supply's plus to its minus.
 * Source: the reduction of two-terminal series-parallel graphs (Valdes, Tarjan & Lawler 1982).
 *
 * @returns the tree, or undefined when the circuit is no such graph or one within another too often
 */
export function seriesParallel(circuit: Circuit): Tree | undefined {
  const supply = sourceOf(circuit);
  if (!supply) return undefined;
  const [plus, minus] = [supply.pins['plus']!, supply.pins['minus']!];
  const edges: Tree[] = [];
  for (const part of circuit.parts) {
    if (part === supply || part.kind === 'wire') continue;
    const ends = endsOf(part, circuit);
    if (ends.length !== 2) return undefined;
    edges.push({ form: 'part', part, from: ends[0]!, to: ends[1]! });
  }
  for (;;) {
    const joined = joinParallel(edges) ?? joinSeries(edges, plus, minus);
    if (!joined) break;
    if (depthOf(joined) > DEEPEST) return undefined;
  }
  const [only] = edges;
  return only && edges.length === 1 ? turned(only, plus) : undefined;
}

/**
 * A controller's pin stands where it lets current pass: from the rail where what hangs on it leads to ground, to ground
 * where that leads to the rail; one that only reads, beside what it reads.
 */
function endsOf(part: Part, circuit: Circuit): string[] {
  const { pin, ground, rail } = part.pins;
  if (!isKind(part, 'pin') || rail === undefined) return [...new Set(Object.values(part.pins))];
  const reached = endsReached(circuit, pin!, rail, ground!);
  return reached.has(rail) ? [pin!, ground!] : [rail, pin!];
}

/** The ends of the supply to which the way on from a net leads, through things that are no pins themselves. */
function endsReached(circuit: Circuit, from: string, ...ends: readonly string[]): ReadonlySet<string> {
  const seen = new Set([from]);
  const next = [from];
  for (let net = next.pop(); net !== undefined; net = next.pop()) {
    for (const part of circuit.parts) {
      const legs = Object.values(part.pins);
      if (isKind(part, 'pin') || isKind(part, 'supply') || !legs.includes(net)) continue;
      for (const reached of legs) {
        if (seen.has(reached)) continue;
        seen.add(reached);
        if (!ends.includes(reached)) next.push(reached);
      }
    }
  }
  return seen;
}

/** Joins the first edges that run between the same two nodes, in their place. */
function joinParallel(edges: Tree[]): Tree | undefined {
  const between = grouped(edges, ({ from, to }) => [JSON.stringify([from, to].sort())]);
  for (const same of between.values()) {
    if (same.length < 2) continue;
    const { from, to } = same[0]!;
    const parts = same.flatMap((edge) => {
      const way = edge.from === from ? edge : turned(edge, from);
      return way.form === 'parallel' ? way.parts : [way];
    });
    return replaced(edges, same, { form: 'parallel', parts, from, to, depth: deeper(parts) });
  }
  return undefined;
}

/** Joins the two edges of the first node that has no others. */
function joinSeries(edges: Tree[], plus: string, minus: string): Tree | undefined {
  for (const [node, here] of grouped(edges, ({ from, to }) => [from, to])) {
    if (node === plus || node === minus || here.length !== 2) continue;
    const [one, other] = here as [Tree, Tree];
    const first = one.to === node ? one : turnedTo(one, node);
    const second = other.from === node ? other : turned(other, node);
    const parts = [first, second].flatMap((tree) => (tree.form === 'series' ? tree.parts : [tree]));
    const joined = { form: 'series', parts, from: first.from, to: second.to, depth: deeper(parts) } as const;
    return replaced(edges, here, joined);
  }
  return undefined;
}

/** Edges by the names that each is found under, in the order in which they come. */
function grouped(edges: readonly Tree[], namesOf: (edge: Tree) => readonly string[]): Map<string, Tree[]> {
  const groups = new Map<string, Tree[]>();
  for (const edge of edges) {
    for (const name of namesOf(edge)) {
      const group = groups.get(name);
      if (group) group.push(edge);
      else groups.set(name, [edge]);
    }
  }
  return groups;
}

function replaced(edges: Tree[], gone: readonly Tree[], joined: Tree): Tree {
  const place = edges.indexOf(gone[0]!);
  const left = edges.filter((edge) => !gone.includes(edge));
  left.splice(Math.min(place, left.length), 0, joined);
  edges.length = 0;
  for (const edge of left) edges.push(edge);
  return joined;
}

function deeper(parts: readonly Tree[]): number {
  return 1 + parts.reduce((deepest, part) => Math.max(deepest, depthOf(part)), 0);
}

function depthOf(tree: Tree): number {
  return tree.form === 'part' ? 0 : tree.depth;
}

/** The same tree seen from its other end, when it does not start at `from` already. */
function turned(tree: Tree, from: string): Tree {
  if (tree.from === from) return tree;
  const { from: a, to: b } = tree;
  if (tree.form === 'part') return { ...tree, from: b, to: a };
  const parts = tree.parts.map((part) => turned(part, part.to));
  return { ...tree, parts: tree.form === 'series' ? parts.reverse() : parts, from: b, to: a };
}

function turnedTo(tree: Tree, to: string): Tree {
  return tree.to === to ? tree : turned(tree, tree.to);
}

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
    };

/**
 * Takes a circuit apart into series and parallel, from the supply's plus to its minus.
 * Source: the reduction of two-terminal series-parallel graphs (Valdes, Tarjan & Lawler 1982).
 *
 * @returns the tree, or undefined when the circuit is no such graph
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
    if (!joinParallel(edges) && !joinSeries(edges, plus, minus)) break;
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

function joinParallel(edges: Tree[]): boolean {
  for (let i = 0; i < edges.length; i++) {
    const { from, to } = edges[i]!;
    const same = edges.filter(
      (edge) => (edge.from === from && edge.to === to) || (edge.from === to && edge.to === from),
    );
    if (same.length < 2) continue;
    const parts = same.flatMap((edge) => {
      const way = edge.from === from ? edge : turned(edge, from);
      return way.form === 'parallel' ? way.parts : [way];
    });
    const first = edges.indexOf(same[0]!);
    const rest = edges.filter((edge) => !same.includes(edge));
    edges.splice(0, edges.length, ...rest);
    edges.splice(Math.min(first, edges.length), 0, { form: 'parallel', parts, from, to });
    return true;
  }
  return false;
}

function joinSeries(edges: Tree[], plus: string, minus: string): boolean {
  const nodes = new Set(edges.flatMap((edge) => [edge.from, edge.to]));
  for (const node of nodes) {
    if (node === plus || node === minus) continue;
    const here = edges.filter((edge) => edge.from === node || edge.to === node);
    if (here.length !== 2) continue;
    const [one, other] = here as [Tree, Tree];
    const first = one.to === node ? one : turnedTo(one, node);
    const second = other.from === node ? other : turned(other, node);
    const parts = [first, second].flatMap((tree) => (tree.form === 'series' ? tree.parts : [tree]));
    const place = edges.indexOf(one);
    const rest = edges.filter((edge) => edge !== one && edge !== other);
    edges.splice(0, edges.length, ...rest);
    edges.splice(Math.min(place, edges.length), 0, {
      form: 'series',
      parts,
      from: first.from,
      to: second.to,
    });
    return true;
  }
  return false;
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

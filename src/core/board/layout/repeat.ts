import type { Thing } from '../../parts/thing';
import type { Lattice } from './lattice';
import type { Wiring } from './wiring';

/** One thing of a block, as it lies. */
export interface Lying {
  readonly body: Thing;
  readonly holes: readonly number[];
  readonly covered: readonly number[];
}

/**
 * What two blocks have in common when one may be built like the other: the same kinds of things, joined among
 * themselves and to the rest in the same way.
 */
export function likenessOf(block: readonly Thing[], wiring: Wiring): string {
  const inner = new Map<string, number>();
  const own = new Set(block.flatMap((body) => Object.values(body.legs)));
  const outside = (net: string) =>
    wiring.bodies.some((body) => !block.includes(body) && Object.values(body.legs).includes(net));
  const shared = new Set(
    [...own].filter((net) => net === wiring.plus || net === wiring.minus || outside(net)),
  );
  const nameOf = (net: string) => {
    if (shared.has(net)) return net;
    if (!inner.has(net)) inner.set(net, inner.size);
    return `#${inner.get(net)}`;
  };
  return block.map((body) => `${body.kind}(${Object.values(body.legs).map(nameOf).join()})`).join(' ');
}

/** Every way to lay a block as another lies, moved as a whole; over the trench it is turned over sideways. */
export function* repeats(
  model: readonly Lying[],
  lattice: Lattice,
): Generator<readonly Omit<Lying, 'body'>[]> {
  const every = model.flatMap(({ holes, covered }) => [...holes, ...covered]);
  const all = every.filter((hole) => lattice.columnOf[hole]! >= 0);
  // What hangs on a rail stays on its side: the rails are not mirrored.
  const onRails = all.length < every.length;
  if (all.length === 0) return;
  const plugged = lattice.board.copper === 'rows';
  const columns = all.map((hole) => lattice.columnOf[hole]!);
  const [left, right] = [Math.min(...columns), Math.max(...columns)];
  const oneSided = right < 5 || left > 4;
  const flips = plugged && oneSided && !onRails ? [false, true] : [false];
  const acrosses = plugged
    ? [0]
    : Array.from({ length: lattice.columns - (right - left) }, (_, i) => i - left);
  const ranks = all.map((hole) => lattice.rankOf[hole]!);
  const [top, foot] = [Math.min(...ranks), Math.max(...ranks)];
  for (let down = -top; foot + down < lattice.ranks; down++) {
    for (const across of acrosses) {
      for (const flip of flips) {
        const move = (hole: number) => {
          const { rail, x, y } = lattice.holes[hole]!;
          if (rail) return lattice.placeAt(x, y + down);
          const column = lattice.columnOf[hole]! + across;
          return lattice.at(flip ? 9 - column : column, lattice.rankOf[hole]! + down);
        };
        const moved = model.map(({ holes, covered }) => ({
          holes: holes.map(move),
          covered: covered.map(move).filter((hole) => hole >= 0),
        }));
        if (moved.every(({ holes }) => holes.every((hole) => hole >= 0))) yield moved;
      }
    }
  }
}

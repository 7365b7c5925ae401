import type { Occupancy } from './occupancy';
import { passed, type Link } from './wirePrice';

/** Numbers of the nets of the supply's two ends. */
export interface PowerNets {
  readonly plus: number | undefined;
  readonly minus: number | undefined;
}

/** Rows in which the rails of both sides are joined. */
const [PLUS_ROW, MINUS_ROW] = [2, 3];

/**
 * Joins the rails of one side to those of the other at the end where the supply comes in, plus in one row and minus in the
 * next: a chip wants both on both sides. Their holes are taken, and nothing else goes under them. Where something was put
 * there by hand, they are joined as it comes.
 *
 * @returns the wires, none where there are no rails
 */
export function linkRails(occupancy: Occupancy, { plus, minus }: PowerNets): Link[] {
  const { lattice } = occupancy;
  return [
    { net: plus, from: `L+${PLUS_ROW}`, to: `R+${PLUS_ROW}` },
    { net: minus, from: `L-${MINUS_ROW}`, to: `R-${MINUS_ROW}` },
  ].flatMap(({ net, from, to }) => {
    const [a, b] = [lattice.number(from), lattice.number(to)];
    if (net === undefined || a < 0 || b < 0) return [];
    const under = passed(lattice, a, b).map(({ hole }) => hole);
    const isFree = [a, b, ...under].every((hole) => occupancy.isFree(hole));
    if (!isFree || occupancy.ownerOf(a) !== net) return [];
    occupancy.take(a, net);
    occupancy.take(b, net);
    for (const hole of under) occupancy.cover(hole);
    return [{ net, a, b }];
  });
}

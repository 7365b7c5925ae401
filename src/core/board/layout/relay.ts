import { joinOne, takeEnds, type JoinRequest } from './join';
import type { Occupancy } from './occupancy';
import { WEIGHTS } from './weights';
import { coveredBy, crosses, wireCost, type Link } from './wirePrice';

/**
 * The wires of each net that crosses others laid once more, now that all others lie: a wire laid early could not know
 * what would come.
 */
export function withoutCrossings(request: JoinRequest, links: readonly Link[]): Link[] {
  const { occupancy } = request;
  const { holes } = occupancy.lattice;
  const meets = (one: Link, other: Link) =>
    crosses(holes[one.a]!, holes[one.b]!, holes[other.a]!, holes[other.b]!);
  const costs = (some: readonly Link[], others: readonly Link[]) => {
    const ground = { occupancy, links: others, under: coveredBy(occupancy.lattice, others) };
    return some.reduce((sum, { a, b, net }) => sum + WEIGHTS.jumper + wireCost(ground, a, b, net), 0);
  };
  const stays = (link: Link) => request.kept.includes(link) || request.rails.includes(link);
  let all = [...links];
  for (const net of request.nets) {
    const own = all.filter((link) => link.net === net && !stays(link));
    const others = all.filter((link) => !own.includes(link));
    if (!own.some((link) => others.some((other) => other.net !== net && meets(link, other)))) continue;
    for (const link of own) releaseEnds(occupancy, link);
    const before = costs(own, others);
    const again = joinOne(request, net, others);
    for (const link of again ?? []) releaseEnds(occupancy, link);
    const better = again && costs(again, others) < before - 1e-9 ? again : own;
    for (const link of better) takeEnds(occupancy, link);
    all = [...others, ...better];
  }
  return all;
}

function releaseEnds(occupancy: Occupancy, { a, b }: Link): void {
  if (occupancy.lattice.board.copper === 'pads') return;
  occupancy.release(a);
  occupancy.release(b);
}

import type { Circuit } from '../../circuit/circuit';
import { isSource } from '../../circuit/source';
import { thingsOf, type Thing } from '../../parts/thing';

/** Nets that more things hang on than this join blocks rather than belong to one. */
const HUB_LEGS = 3;

/** A circuit as the layout sees it: things, their nets, and which things belong together. */
export interface Wiring {
  /** Without the supply. */
  readonly bodies: readonly Thing[];
  readonly supply: Thing | undefined;
  readonly plus: string;
  readonly minus: string;
  /** Legs on each net. */
  readonly legs: ReadonlyMap<string, number>;
  /** Number of the block that each thing belongs to, in the order of the lesson. */
  readonly block: ReadonlyMap<string, number>;
}

export function wiringOf(circuit: Circuit): Wiring {
  const all = thingsOf(circuit);
  const supply = all.find((body) => isSource(circuit, body.id));
  const bodies = all.filter((body) => body !== supply);
  const legs = new Map<string, number>();
  for (const body of all) {
    for (const net of Object.values(body.legs)) legs.set(net, (legs.get(net) ?? 0) + 1);
  }
  const plus = supply?.legs['plus'] ?? '';
  const minus = supply?.legs['minus'] ?? circuit.ground;
  const isHub = (net: string) => net === plus || net === minus || (legs.get(net) ?? 0) > HUB_LEGS;
  const isRail = (net: string) => net === plus || net === minus;
  return { bodies, supply, plus, minus, legs, block: blocksOf(bodies, isHub, isRail) };
}

/**
 * Things that hang together by nets that are no hubs make one block: a string, a rung, a channel. What stands between a
 * rail and a hub belongs to whatever was on that hub before.
 */
function blocksOf(
  bodies: readonly Thing[],
  isHub: (net: string) => boolean,
  isRail: (net: string) => boolean,
): Map<string, number> {
  const hubBlock = new Map<string, string>();
  const netBlock = new Map<string, number>();
  const block = new Map<string, number>();
  let next = 0;
  for (const body of bodies) {
    const nets = Object.values(body.legs).filter((net) => !isHub(net));
    const met = nets.flatMap((net) => netBlock.get(net) ?? []);
    const hubs = Object.values(body.legs).filter((net) => isHub(net) && !isRail(net));
    const host =
      nets.length === 0 ? hubs.map((net) => hubBlock.get(net)).find((id) => id !== undefined) : undefined;
    const mine = met.length ? Math.min(...met) : host !== undefined ? block.get(host)! : next++;
    for (const net of hubs) if (!hubBlock.has(net)) hubBlock.set(net, body.id);
    for (const [net, number] of netBlock) if (met.includes(number)) netBlock.set(net, mine);
    for (const [id, number] of block) if (met.includes(number)) block.set(id, mine);
    for (const net of nets) netBlock.set(net, mine);
    block.set(body.id, mine);
  }
  return block;
}

/** Ids of the things of each block, in the order of the lesson. */
export function blockLists(wiring: Wiring): string[][] {
  const lists = new Map<number, string[]>();
  for (const { id } of wiring.bodies) {
    const number = wiring.block.get(id)!;
    lists.set(number, [...(lists.get(number) ?? []), id]);
  }
  return [...lists.values()];
}

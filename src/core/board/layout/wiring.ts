import { isKind, type Circuit } from '../../circuit/circuit';
import { bodiesOf, type Body } from '../bodies';

/** Nets that more things hang on than this join stages rather than belong to one. */
const HUB_LEGS = 3;

/** A circuit as the layout sees it: things, their nets, and which things belong together. */
export interface Wiring {
  /** Without the supply. */
  readonly bodies: readonly Body[];
  readonly supply: Body | undefined;
  readonly plus: string;
  readonly minus: string;
  /** Legs on each net. */
  readonly legs: ReadonlyMap<string, number>;
  /** Number of the stage that each thing belongs to, in the order of the lesson. */
  readonly stage: ReadonlyMap<string, number>;
}

export function wiringOf(circuit: Circuit): Wiring {
  const all = bodiesOf(circuit);
  const supply = all.find((body) => body.parts.some((part) => isKind(part, 'supply')));
  const bodies = all.filter((body) => body !== supply);
  const legs = new Map<string, number>();
  for (const body of all) {
    for (const net of Object.values(body.legs)) legs.set(net, (legs.get(net) ?? 0) + 1);
  }
  const plus = supply?.legs['plus'] ?? '';
  const minus = supply?.legs['minus'] ?? circuit.ground;
  const isHub = (net: string) => net === plus || net === minus || (legs.get(net) ?? 0) > HUB_LEGS;
  return { bodies, supply, plus, minus, legs, stage: stagesOf(bodies, isHub) };
}

/** Things that hang together by nets that are no hubs make one stage: a string, a rung, a channel. */
function stagesOf(bodies: readonly Body[], isHub: (net: string) => boolean): Map<string, number> {
  const netStage = new Map<string, number>();
  const stage = new Map<string, number>();
  let next = 0;
  for (const body of bodies) {
    const nets = Object.values(body.legs).filter((net) => !isHub(net));
    const met = nets.flatMap((net) => netStage.get(net) ?? []);
    const mine = met.length ? Math.min(...met) : next++;
    for (const [net, number] of netStage) if (met.includes(number)) netStage.set(net, mine);
    for (const [id, number] of stage) if (met.includes(number)) stage.set(id, mine);
    for (const net of nets) netStage.set(net, mine);
    stage.set(body.id, mine);
  }
  return stage;
}

/** Ids of the things of each stage, in the order of the lesson. */
export function stageLists(wiring: Wiring): string[][] {
  const lists = new Map<number, string[]>();
  for (const { id } of wiring.bodies) {
    const number = wiring.stage.get(id)!;
    lists.set(number, [...(lists.get(number) ?? []), id]);
  }
  return [...lists.values()];
}

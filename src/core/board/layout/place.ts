import { footprintOf, type Thing } from '../../parts/thing';
import { Bodies } from './bodies';
import { candidatesFor, isLamp, type Candidate } from './candidates';
import { Ground } from './ground';
import type { Lattice } from './lattice';
import { NETS_APART, Occupancy } from './occupancy';
import { Prices, type Setting } from './prices';
import { likenessOf, repeats, type Lying } from './repeat';
import { WEIGHTS } from './weights';
import { linkRails, type PowerNets } from './railLinks';
import type { Link } from './wirePrice';
import type { Wiring } from './wiring';

/** Looked up once: these stand in the innermost loops. */
const { abs, min } = Math;
const NEVER = Infinity;

export interface Arrangement {
  readonly occupancy: Occupancy;
  readonly placed: readonly Lying[];
  /** Wires from one pair of rails to the other, laid before anything else. */
  readonly rails: readonly Link[];
  /** Things that found no place. */
  readonly left: readonly string[];
}

/** Ways to put each kind of thing on a bare board, from usual to odd, kept from layout to layout. */
const WAYS = new WeakMap<Lattice, Map<string, readonly Candidate[]>>();

/** Puts one thing after another where it costs least, given those that lie there already. */
export class Placer {
  readonly occupancy: Occupancy;
  private readonly placed: Lying[] = [];
  /** How the first block of each shape lies. */
  private readonly models = new Map<string, readonly Lying[]>();
  private readonly left: string[] = [];
  private readonly bodies: Bodies;
  private readonly ground: Ground;
  private readonly prices: Prices;

  constructor(private readonly setting: Setting) {
    this.occupancy = new Occupancy(
      setting.lattice,
      setting.netNumber.size,
      setting.legsInRails && setting.lattice.board.copper === 'rows',
    );
    this.bodies = new Bodies(setting.lattice, this.occupancy);
    this.ground = new Ground(setting.lattice, setting.perBand);
    this.prices = new Prices(setting, this.occupancy, this.ground);
  }

  run(order: readonly Thing[]): Arrangement {
    const { supply } = this.setting.wiring;
    const kept = order.filter((body) => this.setting.kept.has(body.id));
    const loose = order.filter((body) => !this.setting.kept.has(body.id));
    const railed = this.setting.lattice.board.rails.length > 0;
    const leads = supply ? this.putSupply(supply, railed) : [];
    for (const body of kept) this.putKept(body);
    const rails =
      this.occupancy.straight && order.some(isAstride) ? linkRails(this.occupancy, this.powerNets()) : [];
    for (const block of runsOf(loose, this.setting.wiring)) this.putBlock(block);
    if (supply && !this.setting.kept.has(supply.id)) this.putLeads(supply, leads);
    return { occupancy: this.occupancy, placed: this.placed, left: this.left, rails };
  }

  private powerNets(): PowerNets {
    const { wiring, netNumber } = this.setting;
    return { plus: netNumber.get(wiring.plus), minus: netNumber.get(wiring.minus) };
  }

  private net(name: string): number {
    return this.setting.netNumber.get(name)!;
  }

  /** Where it stays by hand, or its plus and minus on the rails where there are any; what else it has is led to last. */
  private putSupply(supply: Thing, railed: boolean): number[] {
    const { lattice, kept } = this.setting;
    const own = kept.get(supply.id);
    if (own) this.commit(supply, { holes: own, covered: [], oddity: 0 });
    if (own || !railed) return [];
    return Object.entries(supply.legs).flatMap(([leg, net]) => {
      if (leg !== 'plus' && leg !== 'minus') return [];
      const hole = lattice.number(leg === 'plus' ? 'L+1' : 'L-1');
      this.prices.take(hole, this.net(net));
      return [hole];
    });
  }

  private putKept(body: Thing): void {
    const holes = this.setting.kept.get(body.id)!;
    const nets = Object.values(body.legs).map((net) => this.net(net));
    const way = this.waysOf(body).find((c) => c.holes.every((hole, i) => hole === holes[i]));
    const fits = holes.every((hole, i) => hole >= 0 && this.occupancy.allows(hole, nets[i]!));
    if (fits && !clash(this.setting.lattice, holes, nets)) {
      this.commit(body, { holes, covered: way?.covered ?? [], oddity: 0 });
    } else this.put(body);
  }

  private waysOf(body: Thing): readonly Candidate[] {
    const { lattice, lamps, legsInRails } = this.setting;
    const sort = `${body.kind} ${Object.keys(body.legs).join()} ${lamps} ${legsInRails}`;
    const ways = WAYS.get(lattice) ?? new Map<string, readonly Candidate[]>();
    WAYS.set(lattice, ways);
    const known = ways.get(sort);
    if (known) return known;
    const all = candidatesFor(body, lattice, lamps, legsInRails).map((way) => ({
      ...way,
      oddity: way.oddity + this.placeCost(way.holes),
    }));
    const sorted = all.sort((a, b) => a.oddity - b.oddity);
    ways.set(sort, sorted);
    return sorted;
  }

  /** What a place costs by itself: far down, across the trench, at the edge where the supply comes in. */
  private placeCost(holes: readonly number[]): number {
    const { holes: all, board } = this.setting.lattice;
    let cost = 0;
    for (const i of holes) {
      const { x, y, row } = all[i]!;
      if (board.copper === 'rows') {
        cost += WEIGHTS.rank * row + (x > 8 ? WEIGHTS.otherSide : 0);
        if (board.rails.length && row < 3) cost += WEIGHTS.edge;
      } else {
        cost += WEIGHTS.rank * (x + 0.6 * y) + (x < 3 ? WEIGHTS.edge : 0);
      }
    }
    return cost / holes.length;
  }

  /** A block like one that lies there already is laid like it, as a whole, if there is a place. */
  private putBlock(block: readonly Thing[]): void {
    const whole = this.setting.spacing === 'clear' && block.length > 1 && isWhole(block, this.setting.wiring);
    const shape = whole ? likenessOf(block, this.setting.wiring) : '';
    const model = this.models.get(shape);
    if (model && this.repeat(block, model)) return;
    const before = this.placed.length;
    for (const body of block) this.put(body);
    const lying = this.placed.slice(before);
    if (whole && lying.length === block.length && !model) this.models.set(shape, lying);
  }

  private repeat(block: readonly Thing[], model: readonly Lying[]): boolean {
    const { lattice, wiring } = this.setting;
    const number = wiring.block.get(block[0]!.id) ?? 0;
    const nets = block.map((body) => Object.values(body.legs).map((net) => this.net(net)));
    const prices = new Map([...new Set(nets.flat())].map((net) => [net, this.prices.legPrices(net, number)]));
    let best: readonly Omit<Lying, 'body'>[] | undefined;
    let least = NEVER;
    for (const way of repeats(model, lattice)) {
      const cost = this.wholeCost(way, block, nets, prices, least);
      if (cost < least) {
        least = cost;
        best = way;
      }
    }
    // Where it would have to lie among other blocks, things find better places one by one.
    if (!best || least >= WEIGHTS.mingled + block.length * WEIGHTS.jumper) return false;
    block.forEach((body, i) => this.commit(body, { ...best[i]!, oddity: 0 }));
    return true;
  }

  private wholeCost(
    way: readonly Omit<Lying, 'body'>[],
    block: readonly Thing[],
    nets: readonly (readonly number[])[],
    prices: ReadonlyMap<number, Float64Array>,
    most: number,
  ): number {
    let cost = 0;
    for (let i = 0; i < way.length; i++) {
      const { holes, covered } = way[i]!;
      cost += this.placeCost(holes);
      for (let leg = 0; leg < holes.length; leg++) cost += prices.get(nets[i]![leg]!)![holes[leg]!]!;
      if (cost >= most) return NEVER;
      for (const hole of covered) if (!this.prices.mayCover(hole)) return NEVER;
      if (this.bodies.blocked(block[i]!, holes)) return NEVER;
      if (isLamp(block[i]!)) cost += this.bodies.crowding(holes);
    }
    if (
      clash(
        this.setting.lattice,
        way.flatMap(({ holes }) => holes),
        nets.flat(),
      )
    )
      return NEVER;
    return cost;
  }

  private put(body: Thing): void {
    if (footprintOf(body).form === 'leads') return this.putLeads(body);
    const nets = Object.values(body.legs).map((net) => this.net(net));
    const block = this.setting.wiring.block.get(body.id) ?? 0;
    const prices = nets.map((net) => this.prices.legPrices(net, block));
    const atLeast = prices.reduce((sum, price) => sum + smallest(price), 0);
    let best: Candidate | undefined;
    let least = NEVER;
    for (const way of this.waysOf(body)) {
      // They come in the order of their oddity: from here on none can be cheaper.
      if (way.oddity + atLeast >= least) break;
      const cost = this.costOf(way, prices, nets, body, least);
      if (cost < least) {
        least = cost;
        best = way;
      }
    }
    if (best) this.commit(body, best);
    else this.left.push(body.id);
  }

  private costOf(
    way: Candidate,
    prices: readonly Float64Array[],
    nets: readonly number[],
    body: Thing,
    most: number,
  ): number {
    let cost = way.oddity;
    for (let i = 0; i < prices.length; i++) cost += prices[i]![way.holes[i]!]!;
    if (cost >= most) return NEVER;
    for (const hole of way.covered) if (!this.prices.mayCover(hole)) return NEVER;
    if (clash(this.setting.lattice, way.holes, nets)) return NEVER;
    if (this.bodies.blocked(body, way.holes)) return NEVER;
    return cost + (isLamp(body) ? this.bodies.crowding(way.holes) : this.bodies.beside(way.covered));
  }

  private commit(body: Thing, way: Candidate): void {
    const nets = Object.values(body.legs).map((net) => this.net(net));
    const block = this.setting.wiring.block.get(body.id);
    way.holes.forEach((hole, i) => {
      this.prices.take(hole, nets[i]!);
    });
    for (const hole of way.covered) this.occupancy.cover(hole);
    if (isLamp(body)) this.leanToTheRight(way.holes);
    if (this.occupancy.straight && isAstride(body)) this.occupancy.putChip(way.holes);
    this.bodies.take(body, way.holes);
    if (block !== undefined) this.ground.claim(way.holes, block);
    this.placed.push({ body, holes: way.holes, covered: way.covered });
  }

  /** A lamp on a plug-in board is bent a little to the side, so that one sees its legs: it hides the next column. */
  private leanToTheRight(holes: readonly number[]): void {
    const { lattice } = this.setting;
    if (lattice.board.copper !== 'rows') return;
    for (const hole of holes) {
      const next = lattice.at(lattice.columnOf[hole]! + 1, lattice.rankOf[hole]!);
      if (next >= 0) this.occupancy.leanOver(next);
    }
  }

  /** A lead from a controller's pin belongs among the things that it leads to. */
  private blockLedTo(body: Thing, net: string): number {
    const { wiring } = this.setting;
    const end =
      body === wiring.supply
        ? wiring.bodies.find(({ legs }) => Object.values(legs).includes(net))
        : undefined;
    return (end && wiring.block.get(end.id)) ?? -1;
  }

  /** Flexible leads go one by one to the nearest hole of their nets, after those that have theirs. */
  private putLeads(body: Thing, begun: readonly number[] = []): void {
    const { lattice } = this.setting;
    const holes = [...begun];
    for (const [leg, name] of Object.entries(body.legs).slice(begun.length)) {
      const fed = leg === 'plus' || leg === 'minus';
      const [net, block] = [this.net(name), fed ? -1 : this.blockLedTo(body, name)];
      let best = -1;
      let least = NEVER;
      for (let hole = 0; hole < lattice.holes.length; hole++) {
        if (holes.includes(hole)) continue;
        const { x, y } = lattice.holes[hole]!;
        const edge = lattice.board.copper === 'rows' ? min(x - 3, 14 - x) : x - 1;
        // Leads come in from the edge: further in they would lie in the way of wires.
        const place = (lattice.board.copper === 'rows' ? 0.6 : 0.12) * edge + 0.02 * y;
        if (place >= least) continue;
        const cost = place + this.prices.legCost(hole, net, block);
        if (cost < least) {
          least = cost;
          best = hole;
        }
      }
      if (best < 0) {
        this.left.push(body.id);
        return;
      }
      holes.push(best);
      this.prices.take(best, net);
    }
    this.placed.push({ body, holes, covered: [] });
  }
}

/** Whether a thing stands over the trench of a plug-in board, with pins on both sides. */
function isAstride(body: Thing): boolean {
  return footprintOf(body).form === 'dual';
}

/** The order cut where one block ends and the next begins. */
function runsOf(order: readonly Thing[], wiring: Wiring): Thing[][] {
  const runs: Thing[][] = [];
  let last: number | undefined;
  for (const body of order) {
    const block = wiring.block.get(body.id);
    if (block === last && runs.length) runs[runs.length - 1]!.push(body);
    else runs.push([body]);
    last = block;
  }
  return runs;
}

function isWhole(block: readonly Thing[], wiring: Wiring): boolean {
  const number = wiring.block.get(block[0]!.id);
  return wiring.bodies.filter(({ id }) => wiring.block.get(id) === number).length === block.length;
}

/** Whether two legs of one thing would be joined by copper though their nets differ. */
function clash(lattice: Lattice, holes: readonly number[], nets: readonly number[]): boolean {
  for (let i = 0; i < holes.length; i++) {
    for (let j = i + 1; j < holes.length; j++) {
      if (nets[i] === nets[j] || lattice.strip[holes[i]!] !== lattice.strip[holes[j]!]) continue;
      const apart = abs(lattice.holes[holes[i]!]!.x - lattice.holes[holes[j]!]!.x);
      if (lattice.board.copper !== 'strips' || apart < NETS_APART) return true;
    }
  }
  return false;
}

function smallest(prices: Float64Array): number {
  let least = NEVER;
  for (const price of prices) if (price < least) least = price;
  return least;
}

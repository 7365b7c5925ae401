import type { LampHabit } from './candidates';
import type { Ground } from './ground';
import type { Lattice } from './lattice';
import type { Occupancy } from './occupancy';
import { WEIGHTS } from './weights';
import type { Wiring } from './wiring';

/** Looked up once: these stand in the innermost loops. */
const { abs, min, sqrt } = Math;
const NEVER = Infinity;

/** How far apart blocks are kept: in rows of their own, or as close as they go. */
export type Spacing = 'clear' | 'compact';

export interface Setting {
  readonly lattice: Lattice;
  readonly wiring: Wiring;
  readonly spacing: Spacing;
  readonly lamps: LampHabit;
  /** Whether legs go straight into the rails. */
  readonly legsInRails: boolean;
  readonly netNumber: ReadonlyMap<string, number>;
  /** Holes of the things that stay where they were put by hand. */
  readonly kept: ReadonlyMap<string, readonly number[]>;
  /** Stages side by side on a soldered board before the next row of them begins. */
  readonly perBand?: number | undefined;
}

/** What it costs to put a leg into a hole, given what lies there already: mostly the wires it will need. */
export class Prices {
  /** Numbers of the power nets, where the board has rails for them. */
  private readonly railed: readonly (number | undefined)[];
  /** Legs of each net that have no hole yet. */
  private readonly toCome = new Map<number, number>();

  constructor(
    private readonly setting: Setting,
    private readonly occupancy: Occupancy,
    private readonly ground: Ground,
  ) {
    const { wiring, netNumber, lattice } = setting;
    const power = [netNumber.get(wiring.plus), netNumber.get(wiring.minus)];
    this.railed = lattice.board.rails.length > 0 ? power : [];
    for (const [net, legs] of setting.wiring.legs) this.toCome.set(setting.netNumber.get(net)!, legs);
  }

  take(hole: number, net: number): void {
    this.occupancy.take(hole, net);
    this.toCome.set(net, this.toCome.get(net)! - 1);
  }

  /** A part may lie over a free hole unless a strip of five needs just that one for a wire or a leg to come. */
  mayCover(hole: number): boolean {
    const { occupancy } = this;
    if (!occupancy.isFree(hole)) return false;
    if (this.setting.lattice.board.copper !== 'rows') return true;
    const owner = occupancy.ownerOf(hole);
    return owner < 0 || !this.wantsWireHole(owner, hole, true) || occupancy.freeBeside(hole) > 1;
  }

  /** What a leg of a net would cost in every hole; infinite where it may not go. */
  legPrices(net: number, block: number): Float64Array {
    const prices = new Float64Array(this.setting.lattice.holes.length);
    for (let hole = 0; hole < prices.length; hole++) prices[hole] = this.legCost(hole, net, block);
    return prices;
  }

  legCost(hole: number, net: number, block: number): number {
    const { occupancy } = this;
    const { lattice } = this.setting;
    if (!occupancy.allows(hole, net) || !this.mayUse(hole, net)) return NEVER;
    const joined = occupancy.joins(hole, net);
    const plugged = lattice.board.copper === 'rows';
    if (plugged && this.wantsWireHole(net, hole, joined) && occupancy.freeBeside(hole) < 2) return NEVER;
    const apart = this.setting.spacing === 'clear' && this.ground.isForeign(hole, block);
    if (!plugged && this.ground.isAboveBand(hole, block)) return NEVER;
    const cost = apart ? WEIGHTS.mingled : 0;
    if (joined) return lattice.board.copper === 'strips' ? cost + this.alongStrip(hole) : cost;
    if (this.isRailed(net)) return cost + WEIGHTS.jumper + 2 * WEIGHTS.wire;
    const legs = occupancy.legsOf(net);
    if (legs.length === 0) return cost;
    const away = this.nearest(legs, hole);
    return lattice.board.copper === 'pads'
      ? cost + WEIGHTS.link + WEIGHTS.linkPitch * away
      : cost + WEIGHTS.jumper + WEIGHTS.wire * away;
  }

  /** A long run of strip costs like wire: things of one block stay together. */
  private alongStrip(hole: number): number {
    const { holes } = this.setting.lattice;
    const aways = this.occupancy.besides(hole).filter((other) => other >= 0);
    return WEIGHTS.wire * min(...aways.map((other) => abs(holes[other]!.x - holes[hole]!.x)));
  }

  private nearest(legs: readonly number[], hole: number): number {
    const { holes } = this.setting.lattice;
    const { x, y } = holes[hole]!;
    let least = NEVER;
    for (const leg of legs) {
      const other = holes[leg]!;
      least = min(least, (other.x - x) ** 2 + (other.y - y) ** 2);
    }
    return sqrt(least);
  }

  /** A rail takes legs of its own sign alone, where any go into rails. */
  private mayUse(hole: number, net: number): boolean {
    const { rail, strip } = this.setting.lattice.holes[hole]!;
    if (!rail) return true;
    const [plus, minus] = this.railed;
    return this.setting.legsInRails && net === (strip.charAt(1) === '+' ? plus : minus);
  }

  isRailed(net: number): boolean {
    return net === this.railed[0] || net === this.railed[1];
  }

  /** Whether a strip of five must keep a hole for a wire: more legs are to come, or the net lies elsewhere too. */
  private wantsWireHole(net: number, hole: number, joined: boolean): boolean {
    if (this.isRailed(net) || this.toCome.get(net)! > (joined ? 0 : 1)) return true;
    const strip = this.setting.lattice.strip;
    return joined && this.occupancy.legsOf(net).some((leg) => strip[leg] !== strip[hole]);
  }
}

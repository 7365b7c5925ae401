import { passesChip, type ChipRows } from '../arches';
import { TRENCH_X } from '../geometry';
import type { Lattice } from './lattice';

const NOBODY = -1;
const NONE = [-1, -1] as const;
/** Holes from a leg to one of another net on the same strip: between them go a cut and the end of a wire. */
export const NETS_APART = 3;

interface Spot {
  readonly x: number;
  readonly y: number;
}

/**
 * Which holes are taken, which are covered by a part lying over them, and which net each piece of copper carries.
 * On rows of five a strip belongs to one net. On strips that may be cut, runs of one net lie between cuts, and a
 * cut needs a hole of its own between two nets. On pads every hole stands alone.
 */
export class Occupancy {
  /** Net at each hole that holds a leg, else −1. */
  readonly netAt: Int32Array;
  private readonly covers: Uint8Array;
  /** Holes that a lamp leans over: free, but hidden. */
  private readonly leaned: Uint8Array;
  private readonly stripNet: Int32Array;
  private readonly chips: ChipRows[] = [];
  /** Holes with legs, for each net. */
  private readonly ofNet: number[][];

  constructor(
    readonly lattice: Lattice,
    nets: number,
    /** Wires lie along rows and columns, and over chips in an arch. */
    readonly straight = false,
  ) {
    this.netAt = new Int32Array(lattice.holes.length).fill(NOBODY);
    this.covers = new Uint8Array(lattice.holes.length);
    this.leaned = new Uint8Array(lattice.holes.length);
    this.stripNet = new Int32Array(lattice.members.length).fill(NOBODY);
    this.ofNet = Array.from({ length: nets }, () => []);
  }

  /** A chip astride the trench: its rows from the first to the last. */
  putChip(holes: readonly number[]): void {
    const ys = holes.map((hole) => this.lattice.holes[hole]!.y);
    this.chips.push({ top: Math.min(...ys), foot: Math.max(...ys) });
  }

  /** Whether a wire between two places of a plug-in board passes over a chip. */
  isOverChip(from: Spot, to: Spot): boolean {
    return passesChip(from, to, this.chips);
  }

  /** Whether a hole holds a pin of a chip, or lies in the rows beside the trench that an arch spans. */
  isUnderArch(hole: number): boolean {
    const { x, y } = this.lattice.holes[hole]!;
    return Math.abs(x - TRENCH_X) < 2 && this.chips.some(({ top, foot }) => y >= top && y <= foot);
  }

  /** The net that a strip of five belongs to, −1 while it is free. */
  ownerOf(hole: number): number {
    return this.stripNet[this.lattice.strip[hole]!]!;
  }

  legsOf(net: number): readonly number[] {
    return this.ofNet[net]!;
  }

  isFree(hole: number): boolean {
    return this.netAt[hole] === NOBODY && this.covers[hole] === 0;
  }

  /** Whether a leg (or the end of a wire) of `net` may go into a free hole. */
  allows(hole: number, net: number): boolean {
    if (!this.isFree(hole)) return false;
    if (this.lattice.board.copper !== 'strips') {
      const owner = this.stripNet[this.lattice.strip[hole]!]!;
      return owner === NOBODY || owner === net;
    }
    const [left, right] = this.besides(hole);
    return this.clear(hole, left, net) && this.clear(hole, right, net);
  }

  private clear(hole: number, other: number, net: number): boolean {
    if (other < 0 || this.netAt[other] === net) return true;
    return Math.abs(this.lattice.holes[other]!.x - this.lattice.holes[hole]!.x) >= NETS_APART;
  }

  /** The nearest legs on the same strip to the left and right, −1 where there is none. */
  besides(hole: number): readonly [number, number] {
    const strip = this.lattice.members[this.lattice.strip[hole]!]!;
    if (this.stripNet[this.lattice.strip[hole]!] === NOBODY) return NONE;
    const place = this.lattice.placeOf[hole]!;
    let left = place - 1;
    while (left >= 0 && this.netAt[strip[left]!] === NOBODY) left--;
    let right = place + 1;
    while (right < strip.length && this.netAt[strip[right]!] === NOBODY) right++;
    return [left < 0 ? -1 : strip[left]!, right < strip.length ? strip[right]! : -1];
  }

  /** Whether a leg of `net` in this hole would be joined by copper to another leg of its net. */
  joins(hole: number, net: number): boolean {
    const { copper } = this.lattice.board;
    if (copper === 'pads') return false;
    if (copper !== 'strips') return this.stripNet[this.lattice.strip[hole]!] === net;
    const [left, right] = this.besides(hole);
    return (left >= 0 && this.netAt[left] === net) || (right >= 0 && this.netAt[right] === net);
  }

  take(hole: number, net: number): void {
    this.netAt[hole] = net;
    this.stripNet[this.lattice.strip[hole]!] = net;
    this.ofNet[net]!.push(hole);
  }

  /** Takes the end of a wire out again: the copper stays with its net, whose legs are there. */
  release(hole: number): void {
    const net = this.netAt[hole]!;
    if (net === NOBODY) return;
    this.netAt[hole] = NOBODY;
    this.ofNet[net]!.splice(this.ofNet[net]!.lastIndexOf(hole), 1);
  }

  leanOver(hole: number): void {
    this.leaned[hole] = 1;
  }

  isLeanedOver(hole: number): boolean {
    return this.leaned[hole] === 1;
  }

  isCovered(hole: number): boolean {
    return this.covers[hole] !== 0;
  }

  cover(hole: number): void {
    this.covers[hole]!++;
  }

  /** Free holes of the strip of five that a hole belongs to. */
  freeBeside(hole: number): number {
    let free = 0;
    for (const other of this.lattice.members[this.lattice.strip[hole]!]!) if (this.isFree(other)) free++;
    return free;
  }

  /** The legs of a net in groups that copper joins already. */
  groupsOf(net: number): number[][] {
    const { copper } = this.lattice.board;
    const groups = new Map<string, number[]>();
    for (const hole of this.ofNet[net]!) {
      const key =
        copper === 'pads'
          ? `${hole}`
          : copper === 'strips'
            ? this.runOf(hole)
            : `${this.lattice.strip[hole]}`;
      groups.set(key, [...(groups.get(key) ?? []), hole]);
    }
    return [...groups.values()];
  }

  /** The first hole of the run of one net that a leg on a strip belongs to. */
  private runOf(hole: number): string {
    const net = this.netAt[hole];
    let first = hole;
    for (
      let [left] = this.besides(first);
      left >= 0 && this.netAt[left] === net;
      [left] = this.besides(first)
    ) {
      first = left;
    }
    return `${first}`;
  }
}

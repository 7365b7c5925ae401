import type { Lattice } from './lattice';

/** Columns beside a block that stay free on a soldered board. */
const MARGIN = 1;

/** Which block of a circuit each part of the board belongs to. */
export class Ground {
  /** Block whose ground each hole lies in, else −1. */
  private readonly blockAt: Int32Array;
  private readonly grounds = new Map<number, { left: number; right: number; top: number; foot: number }>();

  /** The lowest row that each band of blocks reaches. */
  private readonly feet: number[] = [];

  constructor(
    private readonly lattice: Lattice,
    private readonly perBand = Infinity,
  ) {
    this.blockAt = new Int32Array(lattice.holes.length).fill(-1);
  }

  /** Whether a hole lies in the ground of another block. */
  isForeign(hole: number, block: number): boolean {
    return this.blockAt[hole]! >= 0 && this.blockAt[hole] !== block;
  }

  /** Whether a hole lies above where the band of a block may begin. */
  isAboveBand(hole: number, block: number): boolean {
    if (block < this.perBand) return false;
    const before = this.feet[Math.floor(block / this.perBand) - 1];
    return before !== undefined && this.lattice.holes[hole]!.y < before;
  }

  /**
   * Marks the ground of a block as its own: the rows on its side of a plug-in board; on a soldered board the
   * rectangle around all of its things so far.
   */
  claim(holes: readonly number[], block: number): void {
    const { lattice } = this;
    const plugged = lattice.board.copper === 'rows';
    const before = plugged ? undefined : this.grounds.get(block);
    const own = holes.map((hole) => lattice.holes[hole]!);
    const xs = [...own.map((hole) => hole.x), ...(before ? [before.left, before.right] : [])];
    const ys = [...own.map((hole) => hole.y), ...(before ? [before.top, before.foot] : [])];
    const ground = {
      left: Math.min(...xs),
      right: Math.max(...xs),
      top: Math.min(...ys),
      foot: Math.max(...ys),
    };
    this.grounds.set(block, ground);
    const band = Math.floor(block / this.perBand);
    this.feet[band] = Math.max(this.feet[band] ?? 0, ground.foot);
    lattice.holes.forEach(({ x, y }, i) => {
      if (y < ground.top || y > ground.foot || this.blockAt[i]! >= 0) return;
      const inside = plugged
        ? (x < 8 && ground.left < 8) || (x > 8 && ground.right > 8)
        : x >= ground.left - MARGIN && x <= ground.right + MARGIN;
      if (inside) this.blockAt[i] = block;
    });
  }
}

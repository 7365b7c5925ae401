import type { Thing } from '../../parts/thing';
import { bodyShape, meet, stands, type Shape } from '../room';
import { isLamp } from './candidates';
import type { Lattice } from './lattice';
import type { Occupancy } from './occupancy';
import { ROOM, WEIGHTS } from './weights';

/** The bodies that stand on the board already, and what it costs to put another beside them. */
export class Bodies {
  private readonly standing: Shape[] = [];
  private readonly lamps: { x: number; y: number }[] = [];

  constructor(
    private readonly lattice: Lattice,
    private readonly occupancy: Occupancy,
  ) {}

  take(thing: Thing, holes: readonly number[]): void {
    if (stands(thing)) this.standing.push(this.shape(thing, holes));
    if (isLamp(thing)) this.lamps.push(this.middle(holes));
  }

  /** Whether another body stands where this one would. */
  blocked(thing: Thing, holes: readonly number[]): boolean {
    if (!stands(thing)) return false;
    const own = this.shape(thing, holes);
    return this.standing.some((other) => meet(own, other));
  }

  /** Lamps closer together than fingers like. */
  crowding(holes: readonly number[]): number {
    const middle = this.middle(holes);
    const room = this.lattice.board.copper === 'rows' ? ROOM.plugged : ROOM.soldered;
    let cost = 0;
    for (const other of this.lamps) {
      const away = Math.hypot(other.x - middle.x, other.y - middle.y);
      if (away < room) cost += WEIGHTS.crowded * (room - away);
    }
    return cost;
  }

  /** Parts that lie side by side in neighbouring columns are hard to get at. */
  beside(covered: readonly number[]): number {
    const { lattice } = this;
    let close = 0;
    for (const hole of covered) {
      for (const away of [-1, 1]) {
        const other = lattice.at(lattice.columnOf[hole]! + away, lattice.rankOf[hole]!);
        if (other >= 0 && this.occupancy.isCovered(other)) close++;
      }
    }
    return WEIGHTS.beside * close;
  }

  private shape(thing: Thing, holes: readonly number[]): Shape {
    return bodyShape(
      thing,
      holes.map((hole) => this.lattice.holes[hole]!),
    );
  }

  private middle(holes: readonly number[]): { x: number; y: number } {
    const own = holes.map((hole) => this.lattice.holes[hole]!);
    return {
      x: own.reduce((sum, hole) => sum + hole.x, 0) / own.length,
      y: own.reduce((sum, hole) => sum + hole.y, 0) / own.length,
    };
  }
}

import type { Lattice } from './lattice';
import type { Occupancy } from './occupancy';

/** Looked up once: these stand in the innermost loops. */
const { floor } = Math;

/** The holes at which strips are cut, so that no two nets share copper: halfway between them. */
export function cutsFor(lattice: Lattice, occupancy: Occupancy): string[] {
  if (lattice.board.copper !== 'strips') return [];
  return lattice.members.flatMap((strip) => {
    const taken = strip.filter((hole) => occupancy.netAt[hole]! >= 0);
    return taken.slice(1).flatMap((hole, i) => {
      const before = taken[i]!;
      if (occupancy.netAt[before] === occupancy.netAt[hole]) return [];
      const between = strip.slice(strip.indexOf(before) + 1, strip.indexOf(hole));
      return [lattice.holes[between[floor((between.length - 1) / 2)]!]!.name];
    });
  });
}

import { finding, type Finding } from '../../findings/finding';
import { lampsSeen } from '../../observe/looks';
import type { Observation } from '../../observe/observation';

/** Up to this many flashes a second no eye is troubled; up to the second it sees one steady light. */
export const FLASHES_QUIET = 3;
export const FLASHES_MOST = 60;

/** The caution about flashes that trouble an eye. */
export function flashFindings(seen: Observation): Finding[] {
  const flashing = lampsSeen(seen).filter(({ hertz = 0 }) => hertz > FLASHES_QUIET && hertz < FLASHES_MOST);
  if (flashing.length === 0) return [];
  const hertz = Math.max(...flashing.map((lamp) => lamp.hertz ?? 0));
  return [finding('flashes-fast', { hertz, lamps: flashing.map(({ part }) => part).join(', ') }, 'warning')];
}

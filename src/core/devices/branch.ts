import type { Equations, Instance, Seat } from './device';
import { BranchStamp } from './stamps';

/** A two-pin part that keeps (va − vb) = ohms·i + emf: ohms near zero are as exact as large ones. */
export function ohmsBranchInstance(
  at: Seat,
  ohms: number,
  emf: (eq: Equations) => number = () => 0,
): Pick<Instance, 'stamp' | 'currents' | 'straight'> & { setOhms(value: number): void } {
  const branch = new BranchStamp(at, at.nodes[0]!, at.nodes[1]!, at.branch);
  let value = ohms;
  return {
    straight: true,
    stamp(eq) {
      branch.ohmic(eq, value, emf(eq));
    },
    currents(x, out) {
      out[0] = x[at.branch]!;
      out[1] = -x[at.branch]!;
    },
    setOhms(set) {
      value = set;
    },
  };
}

import type { Equations, Instance, Wiring } from './device';
import { stampOhmsBranch } from './stamps';

/** A two-pin part that keeps (va − vb) = ohms·i: ohms near zero are as exact as large ones. */
export function ohmsBranchInstance(ohms: number, at: Wiring): Instance {
  const [a, b] = [at.nodes[0]!, at.nodes[1]!];
  let value = ohms;
  return {
    stamp(eq: Equations) {
      stampOhmsBranch(eq, a, b, at.branch, value, 0);
    },
    currents(x, out) {
      out[0] = x[at.branch]!;
      out[1] = -x[at.branch]!;
    },
    set(_index, drawn) {
      value = drawn;
    },
  };
}

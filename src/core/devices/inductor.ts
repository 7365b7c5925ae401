import { LIMITS } from '../numerics/limits';
import type { Ohms } from '../quantities/units';
import type { Device } from './device';
import { ohmsField, quantityField } from './fields';
import { BranchStamp } from './stamps';

const fields = { henries: quantityField('H', 1e-9, 1e3), ohms: ohmsField.default(0) };

export interface InductorParams {
  readonly henries: number;
  readonly ohms: Ohms;
}

/** A coil with the ohms of its winding; in the steady state only these are left. */
export const inductor: Device<'inductor', typeof fields, InductorParams> = {
  kind: 'inductor',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => given,
  branches: () => 1,
  paths: () => [[0, 1]],
  forces: (p) => (p.ohms === 0 ? { between: [0, 1], volts: 0 } : undefined),
  spreads: () => [],
  instance(p, at) {
    const [a, b] = [at.nodes[0]!, at.nodes[1]!];
    const branch = new BranchStamp(at, a, b, at.branch);
    let henries = p.henries;
    let ohms = Math.max(p.ohms, LIMITS.idealOhms);
    const storage = {
      initial: undefined,
      past: 0,
      state: (x: Float64Array) => x[at.branch]!,
      rate: (x: Float64Array) => (x[a]! - x[b]! - ohms * x[at.branch]!) / henries,
    };
    return {
      storage,
      straight: true,
      stamp(eq) {
        branch.flow(eq);
        if (eq.regime === 'steady' || eq.regime === 'start') return branch.equation(eq, 1, ohms, 0);
        // (θ/L)·(v − ohms·i) − (i − past) = 0
        const weight = (eq.regime === 'step' ? eq.theta : LIMITS.instantSeconds) / henries;
        branch.equation(eq, weight, weight * ohms + 1, -storage.past);
      },
      currents(x, out) {
        out[0] = x[at.branch]!;
        out[1] = -x[at.branch]!;
      },
      knobs: {
        henries(value) {
          henries = value;
        },
        ohms(value) {
          ohms = Math.max(value, LIMITS.idealOhms);
        },
      },
    };
  },
};

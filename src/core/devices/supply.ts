import { LIMITS } from '../numerics/limits';
import type { Amps, Ohms, Volts } from '../quantities/units';
import { rectangular, type Device } from './device';
import { ohmsField, quantityField, toleranceField } from './fields';
import { stampBranchCurrent, stampOhmsBranch } from './stamps';

const fields = {
  volts: quantityField('V', -1000, 1000),
  tolerance: toleranceField.default(0),
  ohms: ohmsField.default(0),
  limitAmps: quantityField('A', 1e-6, 1000).optional(),
};

export interface SupplyParams {
  readonly volts: Volts;
  readonly tolerance: number;
  readonly ohms: Ohms;
  readonly limitAmps?: Amps | undefined;
}

/** A battery, port or bench supply; above its limit it holds the current, not the voltage, with a sharp corner. */
export const supply: Device<'supply', typeof fields, SupplyParams> = {
  kind: 'supply',
  pins: ['plus', 'minus'],
  fields,
  resolve: (given) => given,
  branches: () => 1,
  paths: () => [[0, 1]],
  spreads: (p) => rectangular('volts', p.volts, p.tolerance),
  instance(p, at) {
    const [plus, minus] = [at.nodes[0]!, at.nodes[1]!];
    const ohms = Math.max(p.ohms, LIMITS.idealOhms);
    const limit = p.limitAmps ?? Infinity;
    let emf = p.volts;
    return {
      stamp(eq) {
        const { x, matrix, residual, stride } = eq;
        const i = x[at.branch]!;
        const headroom = emf * eq.source + ohms * i - (x[plus]! - x[minus]!);
        if (limit * eq.source + i < headroom) {
          stampBranchCurrent(eq, plus, minus, at.branch);
          residual[at.branch]! += limit * eq.source + i;
          matrix[at.branch * stride + at.branch]! += 1;
        } else {
          stampOhmsBranch(eq, plus, minus, at.branch, ohms, emf * eq.source);
        }
      },
      currents(x, out) {
        out[0] = x[at.branch]!;
        out[1] = -x[at.branch]!;
      },
      set(_index, drawn) {
        emf = drawn;
      },
    };
  },
};

import { LIMITS } from '../numerics/limits';
import type { Amps, Ohms, Volts } from '../quantities/units';
import { rectangular, type Device } from './device';
import { ohmsField, quantityField, toleranceField } from './fields';
import { BranchStamp } from './stamps';

const fields = {
  volts: quantityField('V', -1000, 1000),
  tolerance: toleranceField.default(0),
  ohms: ohmsField.default(0),
  limitAmps: quantityField('A', 1e-6, 1000).optional(),
  limitTolerance: toleranceField.default(0),
};

export interface SupplyParams {
  readonly volts: Volts;
  readonly tolerance: number;
  readonly ohms: Ohms;
  readonly limitAmps?: Amps | undefined;
  /** How far the current that it holds may lie from its limit, as a share. */
  readonly limitTolerance?: number | undefined;
}

/** A battery, port or bench supply; above its limit it holds the current, not the voltage, with a sharp corner. */
export const supply: Device<'supply', typeof fields, SupplyParams> = {
  kind: 'supply',
  pins: ['plus', 'minus'],
  fields,
  resolve: (given) => given,
  branches: () => 1,
  paths: () => [[0, 1]],
  forces: (p) => (p.ohms === 0 && !p.limitAmps ? { between: [0, 1], volts: p.volts } : undefined),
  spreads: (p) => [
    ...rectangular('volts', p.volts, p.tolerance),
    ...rectangular('limitAmps', p.limitAmps ?? 0, p.limitTolerance ?? 0),
  ],
  instance(p, at) {
    const [plus, minus] = [at.nodes[0]!, at.nodes[1]!];
    const branch = new BranchStamp(at, plus, minus, at.branch);
    let emf = p.volts;
    let ohms = Math.max(p.ohms, LIMITS.idealOhms);
    let limit = p.limitAmps ?? Infinity;
    return {
      straight: p.limitAmps === undefined,
      stamp(eq) {
        const { x } = eq;
        const amps = x[at.branch]!;
        const headroom = emf * eq.source + ohms * amps - (x[plus]! - x[minus]!);
        branch.flow(eq);
        if (limit * eq.source + amps < headroom) branch.equation(eq, 0, -1, -limit * eq.source);
        else branch.equation(eq, 1, ohms, emf * eq.source);
      },
      currents(x, out) {
        out[0] = x[at.branch]!;
        out[1] = -x[at.branch]!;
      },
      knobs: {
        volts(value) {
          emf = value;
        },
        ohms(value) {
          ohms = Math.max(value, LIMITS.idealOhms);
        },
        limitAmps(value) {
          limit = value;
        },
      },
    };
  },
};

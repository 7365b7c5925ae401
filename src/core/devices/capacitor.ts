import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import { rectangular, type Device } from './device';
import { quantityField, toleranceField } from './fields';
import { BranchStamp } from './stamps';

const fields = {
  farads: quantityField('F', 1e-13, 10),
  polarised: z.boolean().default(false),
  volts: quantityField('V', -1000, 1000).default(0),
  tolerance: toleranceField.optional(),
};

export interface CapacitorParams {
  readonly farads: number;
  readonly polarised: boolean;
  /** Volts it holds at t = 0. */
  readonly volts: number;
  readonly tolerance: number;
}

/** Siemens of a reversed electrolytic beyond what it stands, per farad: 10 mA a volt for 100 µF. */
const REVERSED_SIEMENS_PER_FARAD = 100;
/** Reverse volts that an electrolytic stands without conducting; the oxide of its other foil carries this much. */
const REVERSED_FROM = 1.5;

/**
 * A capacitor; open in the steady state. A polarised one conducts when it is the wrong way round: a straight line from
 * 1.5 V on, in proportion to its size (assumed figures; data sheets only forbid it).
 */
export const capacitor: Device<'capacitor', typeof fields, CapacitorParams> = {
  kind: 'capacitor',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => ({ ...given, tolerance: given.tolerance ?? (given.polarised ? 0.2 : 0.1) }),
  branches: () => 1,
  paths: () => [],
  changingPaths: [[0, 1]],
  spreads: (p) => rectangular('farads', p.farads, p.tolerance),
  instance(p, at) {
    const [a, b] = [at.nodes[0]!, at.nodes[1]!];
    const branch = new BranchStamp(at, a, b, at.branch);
    let farads = p.farads;
    const leak = p.polarised ? REVERSED_SIEMENS_PER_FARAD * p.farads : 0;
    const leakAmps = (volts: number) => (volts < -REVERSED_FROM ? leak * (volts + REVERSED_FROM) : 0);
    const storage = {
      initial: p.volts,
      past: p.volts,
      state: (x: Float64Array) => x[a]! - x[b]!,
      rate: (x: Float64Array) => (x[at.branch]! - leakAmps(x[a]! - x[b]!)) / farads,
    };
    return {
      storage,
      straight: !p.polarised,
      stamp(eq) {
        branch.flow(eq);
        const volts = eq.x[a]! - eq.x[b]!;
        const slope = volts < -REVERSED_FROM ? leak : 0;
        const still = eq.regime === 'steady' || (at.takesVolts && eq.regime !== 'step');
        const keep = still ? 0 : 1;
        // Without keeping, the equation is i − leak(v) = 0; else (v − past) − (θ/C)·(i − leak(v)) = 0.
        const weight = still ? 1 : (eq.regime === 'step' ? eq.theta : LIMITS.instantSeconds) / farads;
        const constant = leakAmps(volts) - slope * volts;
        branch.equation(eq, keep + weight * slope, weight, keep * storage.past - weight * constant);
      },
      currents(x, out) {
        out[0] = x[at.branch]!;
        out[1] = -x[at.branch]!;
      },
      knobs: {
        farads(value) {
          farads = value;
        },
      },
    };
  },
};

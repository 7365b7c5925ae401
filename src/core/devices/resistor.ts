import { LIMITS } from '../numerics/limits';
import type { Ohms, Watts } from '../quantities/units';
import { ohmsBranchInstance } from './branch';
import { rectangular, type Device, type Instance, type Seat } from './device';
import { ohmsField, quantityField, toleranceField } from './fields';
import { ConductanceStamp } from './stamps';

const fields = {
  ohms: ohmsField,
  tolerance: toleranceField.default(0.05),
  watts: quantityField('W', 0.001, 1000).default(0.25),
};

export interface ResistorParams {
  readonly ohms: Ohms;
  readonly tolerance: number;
  readonly watts: Watts;
}

/** Below this a conductance would swamp the node equations, so the part gets a branch of its own. */
const SMALL_OHMS = 0.01;

export const resistor: Device<'resistor', typeof fields, ResistorParams> = {
  kind: 'resistor',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => given,
  branches: (p) => (p.ohms < SMALL_OHMS ? 1 : 0),
  paths: () => [[0, 1]],
  forces: (p) => (p.ohms === 0 ? { between: [0, 1], volts: 0 } : undefined),
  spreads: (p) => rectangular('ohms', p.ohms, p.tolerance),
  instance: (p, at) => (p.ohms < SMALL_OHMS ? smallOhms(p.ohms, at) : conductanceInstance(p.ohms, at)),
};

function smallOhms(ohms: Ohms, at: Seat): Instance {
  const branch = ohmsBranchInstance(at, Math.max(ohms, LIMITS.idealOhms));
  return { ...branch, knobs: { ohms: (value) => branch.setOhms(Math.max(value, LIMITS.idealOhms)) } };
}

/** Two pins joined by ohms that are never near zero. */
export function conductanceInstance(ohms: Ohms, at: Seat): Instance {
  const [a, b] = [at.nodes[0]!, at.nodes[1]!];
  const stamp = new ConductanceStamp(at, a, b);
  let siemens = 1 / ohms;
  return {
    straight: true,
    stamp(eq) {
      stamp.linear(eq, siemens);
    },
    currents(x, out) {
      out[0] = siemens * (x[a]! - x[b]!);
      out[1] = -out[0];
    },
    knobs: {
      ohms(value) {
        siemens = 1 / value;
      },
    },
  };
}

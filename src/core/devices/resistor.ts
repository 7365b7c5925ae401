import { LIMITS } from '../numerics/limits';
import type { Ohms, Watts } from '../quantities/units';
import { ohmsBranchInstance } from './branch';
import { rectangular, type Device, type Instance, type Wiring } from './device';
import { ohmsField, quantityField, toleranceField } from './fields';
import { stampConductance } from './stamps';

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
  spreads: (p) => rectangular('ohms', p.ohms, p.tolerance),
  instance: (p, at) =>
    p.ohms < SMALL_OHMS
      ? ohmsBranchInstance(Math.max(p.ohms, LIMITS.idealOhms), at)
      : conductanceInstance(p.ohms, at),
};

function conductanceInstance(ohms: Ohms, at: Wiring): Instance {
  const [a, b] = [at.nodes[0]!, at.nodes[1]!];
  let siemens = 1 / ohms;
  return {
    stamp(eq) {
      stampConductance(eq, a, b, siemens);
    },
    currents(x, out) {
      out[0] = siemens * (x[a]! - x[b]!);
      out[1] = -out[0];
    },
    set(_index, drawn) {
      siemens = 1 / drawn;
    },
  };
}

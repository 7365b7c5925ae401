import { LIMITS } from '../numerics/limits';
import type { Ohms } from '../quantities/units';
import { rectangular, type Device } from './device';
import { quantityField, shareField, toleranceField } from './fields';
import { stampOhmsBranch } from './stamps';

const fields = {
  ohms: quantityField('Ω', 1e-3, 1e9),
  tolerance: toleranceField.default(0.2),
  position: shareField(0, 1).default(0.5),
};

export interface PotentiometerParams {
  readonly ohms: Ohms;
  readonly tolerance: number;
  /** Share of the ohms between a and wiper. */
  readonly position: number;
}

export const potentiometer: Device<'potentiometer', typeof fields, PotentiometerParams> = {
  kind: 'potentiometer',
  pins: ['a', 'wiper', 'b'],
  fields,
  resolve: (given) => given,
  branches: () => 2,
  paths: () => [
    [0, 1],
    [1, 2],
  ],
  spreads: (p) => rectangular('ohms', p.ohms, p.tolerance),
  instance(p, at) {
    const [a, wiper, b] = [at.nodes[0]!, at.nodes[1]!, at.nodes[2]!];
    const [first, second] = [at.branch, at.branch + 1];
    let ohms = p.ohms;
    const part = (share: number) => Math.max(ohms * share, LIMITS.idealOhms);
    return {
      stamp(eq) {
        stampOhmsBranch(eq, a, wiper, first, part(p.position), 0);
        stampOhmsBranch(eq, wiper, b, second, part(1 - p.position), 0);
      },
      currents(x, out) {
        out[0] = x[first]!;
        out[1] = x[second]! - x[first]!;
        out[2] = -x[second]!;
      },
      set(_index, drawn) {
        ohms = drawn;
      },
    };
  },
};

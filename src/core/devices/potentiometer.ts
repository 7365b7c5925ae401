import { LIMITS } from '../numerics/limits';
import type { Ohms } from '../quantities/units';
import { rectangular, type Device, type Spread } from './device';
import { quantityField, shareField, toleranceField } from './fields';
import { BranchStamp } from './stamps';

const fields = {
  ohms: quantityField('Ω', 1e-3, 1e9),
  tolerance: toleranceField.default(0.2),
  position: shareField(0, 1).default(0.5),
  turn: shareField(0, 0.5).optional(),
};

export interface PotentiometerParams {
  readonly ohms: Ohms;
  readonly tolerance: number;
  /** Share of the ohms between a and wiper. */
  readonly position: number;
  /** How far to either side a hand may have left the knob; left out, it stands exactly. */
  readonly turn?: number | undefined;
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
  spreads: (p) => [...rectangular('ohms', p.ohms, p.tolerance), ...turned(p)],
  instance(p, at) {
    const [a, wiper, b] = [at.nodes[0]!, at.nodes[1]!, at.nodes[2]!];
    const [upper, lower] = [at.branch, at.branch + 1];
    const [above, below] = [new BranchStamp(at, a, wiper, upper), new BranchStamp(at, wiper, b, lower)];
    let { ohms, position } = p;
    const part = (share: number) => Math.max(ohms * share, LIMITS.idealOhms);
    return {
      straight: true,
      stamp(eq) {
        above.ohmic(eq, part(position), 0);
        below.ohmic(eq, part(1 - position), 0);
      },
      currents(x, out) {
        out[0] = x[upper]!;
        out[1] = x[lower]! - x[upper]!;
        out[2] = -x[lower]!;
      },
      knobs: {
        ohms(value) {
          ohms = value;
        },
        position(value) {
          position = value;
        },
      },
    };
  },
};

/** A knob set by hand stands anywhere within a little of where it should, as far as its travel goes. */
function turned({ position, turn = 0 }: PotentiometerParams): Spread[] {
  const [low, high] = [Math.max(0, position - turn), Math.min(1, position + turn)];
  return high > low ? [{ field: 'position', shape: 'rectangular', low, mode: position, high }] : [];
}

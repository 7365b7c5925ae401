import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import type { Hertz, Ohms, Volts } from '../quantities/units';
import type { Device, Equations } from './device';
import { ohmsBranchInstance } from './branch';
import { ohmsField, quantityField, shareField } from './fields';
import { NO_CURRENT } from './switch';
import { SquareWave } from './wave';

const fields = {
  drive: z.enum(['high', 'low', 'pwm', 'input']),
  volts: quantityField('V', 0, 24).default(5),
  ohms: ohmsField.default(25),
  duty: shareField(0, 1).default(0.5),
  hertz: quantityField('Hz', 0.001, 1e6).default(490),
};

export interface PinParams {
  readonly drive: 'high' | 'low' | 'pwm' | 'input';
  readonly volts: Volts;
  readonly ohms: Ohms;
  readonly duty: number;
  readonly hertz: Hertz;
}

/** A controller's pin: its high or low level behind ohms, switched between them, or an input that draws nothing. */
export const pin: Device<'pin', typeof fields, PinParams> = {
  kind: 'pin',
  pins: ['pin', 'ground'],
  fields,
  resolve: (given) => given,
  branches: (p) => (p.drive === 'input' ? 0 : 1),
  paths: (p) => (p.drive === 'input' ? [] : [[0, 1]]),
  forces(p) {
    if (p.drive === 'input' || p.ohms > 0) return undefined;
    return { between: [0, 1], volts: p.drive === 'pwm' ? NaN : p.drive === 'high' ? p.volts : 0 };
  },
  spreads: () => [],
  instance(p, at) {
    if (p.drive === 'input') return NO_CURRENT;
    let { volts, duty } = p;
    const wave = p.drive === 'pwm' ? new SquareWave(p.hertz, p.duty) : undefined;
    const level = (eq: Equations) => {
      if (p.drive === 'low') return 0;
      if (!wave) return volts;
      return eq.regime === 'steady' ? volts * duty : wave.up ? volts : 0;
    };
    const branch = ohmsBranchInstance(at, Math.max(p.ohms, LIMITS.idealOhms), (eq) => level(eq) * eq.source);
    return {
      straight: true,
      stamp: branch.stamp,
      currents: branch.currents,
      ...(wave ? { wave } : {}),
      knobs: {
        volts(value) {
          volts = value;
        },
        duty(value) {
          duty = value;
        },
        ohms: (value) => branch.setOhms(Math.max(value, LIMITS.idealOhms)),
      },
    };
  },
};

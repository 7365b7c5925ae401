import { z } from 'zod';
import { LAMPS, LAMP_TYPES } from '../catalogue/lamps';
import type { Amps, Ohms, Volts } from '../quantities/units';
import type { Device, Spread } from './device';
import { ohmsField, quantityField } from './fields';
import { junctionFields, junctionInstance, mergeJunction, type JunctionFigures } from './junction';

const fields = {
  type: z.enum(LAMP_TYPES).optional(),
  ...junctionFields,
  vfLow: quantityField('V', 0.01, 100).optional(),
  vfHigh: quantityField('V', 0.01, 100).optional(),
  maxAmps: quantityField('A', 1e-6, 10).default(0.02),
  inside: ohmsField.optional(),
};

export interface LedParams extends JunctionFigures {
  readonly vfLow: Volts;
  readonly vfHigh: Volts;
  readonly maxAmps: Amps;
  /** Ohms of a resistor built into the lamp, beside the chip's figures. */
  readonly inside?: Ohms | undefined;
}

export const led: Device<'led', typeof fields, LedParams> = {
  kind: 'led',
  pins: ['anode', 'cathode'],
  fields,
  resolve(given) {
    const row = given.type ? LAMPS[given.type] : undefined;
    const curve = mergeJunction(given, row);
    if ('problem' in curve) return curve;
    const vfLow = given.vfLow ?? row?.vfLow ?? curve.vf;
    const vfHigh = given.vfHigh ?? row?.vfHigh ?? curve.vf;
    return {
      ...curve,
      vfLow: Math.max(Math.min(vfLow, curve.vf), curve.rs * curve.at + 1e-3),
      vfHigh: Math.max(vfHigh, curve.vf),
      maxAmps: given.maxAmps,
      ...(given.inside === undefined ? {} : { inside: given.inside }),
    };
  },
  branches: () => 0,
  paths: () => [[0, 1]],
  spreads: (p): Spread[] =>
    p.vfHigh > p.vfLow
      ? [{ field: 'vf', shape: 'triangular', low: p.vfLow, mode: p.vf, high: p.vfHigh }]
      : [],
  instance: (p, at) => junctionInstance(p, at, p.inside),
};

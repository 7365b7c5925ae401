import { z } from 'zod';
import { DIODES, DIODE_TYPES } from '../catalogue/diodes';
import type { Device } from './device';
import { junctionFields, junctionInstance, mergeJunction, type JunctionFigures } from './junction';

const fields = { type: z.enum(DIODE_TYPES).optional(), ...junctionFields };

export const diode: Device<'diode', typeof fields, JunctionFigures> = {
  kind: 'diode',
  pins: ['anode', 'cathode'],
  fields,
  resolve: (given) => mergeJunction(given, given.type ? DIODES[given.type] : undefined),
  branches: () => 0,
  paths: () => [[0, 1]],
  spreads: () => [],
  instance: (p, at) => junctionInstance(p, at),
};

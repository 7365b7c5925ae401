import type { Ohms } from '../quantities/units';
import type { Device } from './device';
import { quantityField } from './fields';
import { conductanceInstance } from './resistor';

const fields = { ohms: quantityField('Ω', 0.1, 1e6).default(8) };

/** A small speaker as the ohms of its coil. */
export const speaker: Device<'speaker', typeof fields, { readonly ohms: Ohms }> = {
  kind: 'speaker',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => given,
  branches: () => 0,
  paths: () => [[0, 1]],
  spreads: () => [],
  instance: (p, at) => conductanceInstance(p.ohms, at),
};

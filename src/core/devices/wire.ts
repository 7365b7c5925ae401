import { LIMITS } from '../numerics/limits';
import { ohmsBranchInstance } from './branch';
import type { Device } from './device';

const fields = {};

export const wire: Device<'wire', typeof fields, Record<string, never>> = {
  kind: 'wire',
  pins: ['a', 'b'],
  fields,
  resolve: () => ({}),
  branches: () => 1,
  paths: () => [[0, 1]],
  forces: () => ({ between: [0, 1], volts: 0 }),
  spreads: () => [],
  instance: (_p, at) => ({ ...ohmsBranchInstance(at, LIMITS.idealOhms), knobs: {} }),
};

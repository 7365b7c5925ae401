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
  spreads: () => [],
  instance: (_p, at) => ohmsBranchInstance(LIMITS.idealOhms, at),
};

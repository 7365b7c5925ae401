import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import { ohmsBranchInstance } from './branch';
import type { Device, Instance } from './device';

const fields = { closed: z.boolean().default(false) };

export interface SwitchParams {
  readonly closed: boolean;
}

const open: Instance = {
  stamp() {},
  currents(_x, out) {
    out[0] = 0;
    out[1] = 0;
  },
  set() {},
};

/** Ideal both ways: no ohms closed, no current open. */
export const switchDevice: Device<'switch', typeof fields, SwitchParams> = {
  kind: 'switch',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => given,
  branches: (p) => (p.closed ? 1 : 0),
  paths: (p) => (p.closed ? [[0, 1]] : []),
  spreads: () => [],
  instance: (p, at) => (p.closed ? ohmsBranchInstance(LIMITS.idealOhms, at) : open),
};

import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import { ohmsBranchInstance } from './branch';
import type { Device, Instance } from './device';

const fields = { closed: z.boolean().default(false) };

export interface SwitchParams {
  readonly closed: boolean;
}

/** A part that no current passes. */
export const NO_CURRENT: Instance = {
  stamp() {},
  currents(_x, out) {
    out.fill(0);
  },
  knobs: {},
};

/** Ideal both ways: no ohms closed, no current open. */
export const switchDevice: Device<'switch', typeof fields, SwitchParams> = {
  kind: 'switch',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => given,
  branches: (p) => (p.closed ? 1 : 0),
  paths: (p) => (p.closed ? [[0, 1]] : []),
  forces: (p) => (p.closed ? { between: [0, 1], volts: 0 } : undefined),
  spreads: () => [],
  instance: (p, at) => (p.closed ? { ...ohmsBranchInstance(at, LIMITS.idealOhms), knobs: {} } : NO_CURRENT),
};

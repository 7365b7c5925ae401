import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import type { Seconds } from '../quantities/units';
import { ohmsBranchInstance } from './branch';
import type { Device, Instance, Seat } from './device';
import { quantityField } from './fields';
import { BranchStamp } from './stamps';

const fields = {
  closed: z.boolean().default(false),
  /** It stays as it is put; left out, it is closed only while it is pressed. */
  stays: z.boolean().optional(),
  /** An open button that is pressed once, and let go: from when, and for how long. */
  pressAt: quantityField('s', 0, 1e4).optional(),
  pressFor: quantityField('s', 1e-3, 1e4).optional(),
};

export interface SwitchParams {
  readonly closed: boolean;
  readonly stays?: boolean | undefined;
  readonly pressAt?: Seconds | undefined;
  readonly pressFor?: Seconds | undefined;
}

/** How long a button is pressed by whoever does not say. */
const TAP_SECONDS = 0.2;

/** The seconds between which a button is pressed, if it is. */
export function pressOf({
  closed,
  pressAt,
  pressFor,
}: SwitchParams): readonly [Seconds, Seconds] | undefined {
  return closed || pressAt === undefined ? undefined : [pressAt, pressAt + (pressFor ?? TAP_SECONDS)];
}

/** A part that no current passes. */
export const NO_CURRENT: Instance = {
  straight: true,
  stamp() {},
  currents(_x, out) {
    out.fill(0);
  },
  knobs: {},
};

/** Ideal both ways: no ohms closed, no current open; one that is pressed changes from one to the other. */
export const switchDevice: Device<'switch', typeof fields, SwitchParams> = {
  kind: 'switch',
  pins: ['a', 'b'],
  fields,
  resolve: (given) => given,
  branches: (p) => (p.closed || pressOf(p) ? 1 : 0),
  paths: (p) => (p.closed ? [[0, 1]] : []),
  forces: (p) => (p.closed ? { between: [0, 1], volts: 0 } : undefined),
  spreads: () => [],
  instance(p, at) {
    const press = pressOf(p);
    if (press) return pressedInstance(press, at);
    return p.closed ? { ...ohmsBranchInstance(at, LIMITS.idealOhms), knobs: {} } : NO_CURRENT;
  },
};

function pressedInstance([from, to]: readonly [Seconds, Seconds], at: Seat): Instance {
  const branch = new BranchStamp(at, at.nodes[0]!, at.nodes[1]!, at.branch);
  let down = false;
  let next = from;
  return {
    straight: true,
    stamp(eq) {
      branch.flow(eq);
      // Closed, its volts are none; open, its amps.
      if (down) branch.equation(eq, 1, LIMITS.idealOhms, 0);
      else branch.equation(eq, 0, 1, 0);
    },
    currents(x, out) {
      out[0] = x[at.branch]!;
      out[1] = -x[at.branch]!;
    },
    knobs: {},
    wave: {
      period: 0,
      longest: Infinity,
      enter(time) {
        down = time >= from && time < to;
        next = time < from ? from : time < to ? to : Infinity;
      },
      nextJump: () => next,
    },
  };
}

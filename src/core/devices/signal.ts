import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import type { Sound } from '../numerics/sound';
import type { Hertz, Ohms, Volts } from '../quantities/units';
import { ohmsBranchInstance } from './branch';
import type { Device, Equations } from './device';
import type { Wave } from './dynamics';
import { ohmsField, quantityField, shareField } from './fields';
import { SoundWave, SquareWave } from './wave';

const fields = {
  shape: z.enum(['sine', 'square']),
  amplitude: quantityField('V', -1000, 1000),
  hertz: quantityField('Hz', 0.001, 1e6),
  offset: quantityField('V', -1000, 1000).default(0),
  duty: shareField(0, 1).default(0.5),
  ohms: ohmsField.default(0),
  level: quantityField('V', 0, 1000).optional(),
};

export interface SignalParams {
  readonly shape: 'sine' | 'square';
  /** Peak, over the offset. */
  readonly amplitude: Volts;
  readonly hertz: Hertz;
  readonly offset: Volts;
  readonly duty: number;
  readonly ohms: Ohms;
  /** Peak of what is played through it, of one that is silent until then. */
  readonly level?: Volts | undefined;
  /** What is played, its largest swing the amplitude; no file carries it. */
  readonly sound?: Sound | undefined;
}

/** Steps in time to a period of a sine, at least. */
const STEPS_A_PERIOD = 12;

/** A signal source; in the steady state it stands at its offset. */
export const signal: Device<'signal', typeof fields, SignalParams> = {
  kind: 'signal',
  pins: ['plus', 'minus'],
  fields,
  resolve: (given) => given,
  branches: () => 1,
  paths: () => [[0, 1]],
  forces: (p) => (p.ohms === 0 ? { between: [0, 1], volts: NaN } : undefined),
  spreads: () => [],
  instance(p, at) {
    let { amplitude, offset } = p;
    const turn = 2 * Math.PI * p.hertz;
    const square = p.shape === 'square' ? new SquareWave(p.hertz, p.duty) : undefined;
    const sound = p.sound && new SoundWave(p.sound);
    const swing = (eq: Equations) => {
      if (eq.regime === 'steady') return 0;
      if (sound) return amplitude * sound.at(eq.time);
      if (square) return square.up ? amplitude : -amplitude;
      return amplitude * Math.sin(turn * eq.time);
    };
    const branch = ohmsBranchInstance(
      at,
      Math.max(p.ohms, LIMITS.idealOhms),
      (eq) => (offset + swing(eq)) * eq.source,
    );
    return {
      straight: true,
      stamp: branch.stamp,
      currents: branch.currents,
      wave: sound ?? square ?? sineWave(p.hertz),
      knobs: {
        amplitude(value) {
          amplitude = value;
        },
        offset(value) {
          offset = value;
        },
        ohms: (value) => branch.setOhms(Math.max(value, LIMITS.idealOhms)),
      },
    };
  },
};

function sineWave(hertz: Hertz): Wave {
  return {
    period: 1 / hertz,
    longest: 1 / (STEPS_A_PERIOD * hertz),
    enter() {},
    nextJump: () => Infinity,
  };
}

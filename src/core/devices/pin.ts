import { z } from 'zod';
import { LIMITS } from '../numerics/limits';
import type { Hertz, Ohms, Volts } from '../quantities/units';
import type { Device, Equations, Instance, Seat } from './device';
import { ohmsField, quantityField, shareField } from './fields';
import { TableWave, tableFields, type PinTable } from './pinTable';
import { NO_CURRENT } from './switch';
import { SquareWave } from './wave';

const fields = {
  drive: z.enum(['high', 'low', 'pwm', 'input', 'table', 'rule']),
  volts: quantityField('V', 0, 24).default(5),
  ohms: ohmsField.default(25),
  duty: shareField(0, 1).default(0.5),
  hertz: quantityField('Hz', 0.001, 1e6).default(490),
  ...tableFields,
  /** Of one that follows a reading: the input that is read, and the share of the rail below or above which it is high. */
  reads: z.string().min(1).max(40).optional(),
  below: shareField(0, 1).optional(),
  above: shareField(0, 1).optional(),
};

export interface PinParams extends PinTable {
  readonly drive: 'high' | 'low' | 'pwm' | 'input' | 'table' | 'rule';
  /** Of its high level, where it has no rail pin. */
  readonly volts: Volts;
  readonly ohms: Ohms;
  readonly duty: number;
  readonly hertz: Hertz;
  readonly reads?: string | undefined;
  readonly below?: number | undefined;
  readonly above?: number | undefined;
}

/**
 * A controller's pin: its high or low level behind ohms, switched between them, as a table says, or an input that draws nothing. Its
 * high level is what stands at its rail pin, from where its current comes; without one, its own volts over ground.
 */
export const pin: Device<'pin', typeof fields, PinParams> = {
  kind: 'pin',
  pins: ['pin', 'ground', 'rail'],
  optionalPins: ['rail'],
  fields,
  resolve: (given) => given,
  branches: (p) => (p.drive === 'input' ? 0 : 1),
  paths: (p) => (p.drive === 'input' ? [] : [[0, 1]]),
  forces(p) {
    if (p.drive === 'input' || p.ohms > 0) return undefined;
    return {
      between: [0, 1],
      volts: p.drive === 'low' || p.drive === 'rule' ? 0 : p.drive === 'high' ? p.volts : NaN,
    };
  },
  spreads: () => [],
  instance: (p, at) => (p.drive === 'input' ? NO_CURRENT : drivenInstance(p, at)),
};

/** (v − ground) − ohms·i − share·(rail − ground) = 0, where the share of the time at the high level is 0 or 1 in a run. */
function drivenInstance(p: PinParams, at: Seat): Instance {
  const [own, ground, rail] = at.nodes as unknown as [number, number, number];
  const { branch } = at;
  const high = rail >= 0 ? rail : ground;
  const entries = [own, high, ground].map(
    (node) => [at.entry(node, branch), at.entry(branch, node)] as const,
  );
  const iI = at.entry(branch, branch);
  const wave = waveOf(p);
  let { volts, duty } = p;
  let ohms = Math.max(p.ohms, LIMITS.idealOhms);
  let share = 0;
  const nodes = [own, high, ground] as const;
  const weights = Float64Array.of(1, 0, -1);
  const shareAt = (eq: Equations) => {
    // One that follows a reading is low until it has been read: see `observe/ruled`.
    if (p.drive === 'low' || p.drive === 'rule') return 0;
    if (!wave) return 1;
    if (eq.regime === 'steady') return p.drive === 'table' ? (p.spells[0]?.from ?? p.after) : duty;
    return wave.up ? 1 : 0;
  };
  return {
    // Of one that changes between its levels, what comes from the rail is no straight line of the means.
    ...(wave && rail >= 0 ? {} : { straight: true }),
    stamp(eq) {
      const { residual, values, x } = eq;
      share = shareAt(eq);
      const amps = x[branch]!;
      weights[1] = -share;
      weights[2] = share - 1;
      for (let i = 0; i < 3; i++) {
        residual[nodes[i]!]! += weights[i]! * amps;
        values[entries[i]![0]]! += weights[i]!;
        residual[branch]! += weights[i]! * x[nodes[i]!]!;
        values[entries[i]![1]]! += weights[i]!;
      }
      residual[branch]! -= ohms * amps + (rail >= 0 ? 0 : share * volts * eq.source);
      values[iI]! -= ohms;
    },
    currents(x, out) {
      out[0] = x[branch]!;
      out[1] = (rail >= 0 ? share - 1 : -1) * x[branch]!;
      if (rail >= 0) out[2] = -share * x[branch]!;
    },
    ...(wave ? { wave } : {}),
    knobs: {
      volts(value) {
        volts = value;
      },
      duty(value) {
        duty = value;
      },
      ohms(value) {
        ohms = Math.max(value, LIMITS.idealOhms);
      },
    },
  };
}

function waveOf(p: PinParams): SquareWave | TableWave | undefined {
  if (p.drive === 'pwm') return new SquareWave(p.hertz, p.duty);
  return p.drive === 'table' ? new TableWave(p, p.hertz) : undefined;
}

import { z } from 'zod';
import { ZENER_TOLERANCE, ZENER_TYPES, ZENERS } from '../catalogue/zeners';
import { LIMITS } from '../numerics/limits';
import { wrightOmega } from '../numerics/omega';
import { THERMAL_VOLTS } from '../quantities/constants';
import type { Amps, Ohms, Volts } from '../quantities/units';
import { rectangular, type Device } from './device';
import { quantityField, shareField } from './fields';
import { Junction, junctionFields, mergeJunction, type JunctionFigures } from './junction';
import { StepLimit } from './limiting';
import { ConductanceStamp } from './stamps';

/** Looked up once: these stand in the innermost loops. */
const { log, max } = Math;

const fields = {
  type: z.enum(ZENER_TYPES).optional(),
  ...junctionFields,
  vz: quantityField('V', 0.5, 1000).optional(),
  iz: quantityField('A', 1e-6, 10).optional(),
  nz: shareField(0.5, 50).optional(),
  rz: quantityField('Ω', 0, 1e4).optional(),
};

export interface ZenerParams extends JunctionFigures {
  /** Reverse volts at iz. */
  readonly vz: Volts;
  readonly iz: Amps;
  readonly nz: number;
  /** Series ohms of the reverse branch. */
  readonly rz: Ohms;
}

/** The reverse branch in closed form: Ir = iz·exp((Vr − rz·Ir − (vz − rz·iz))/(nz·VT)). */
class Breakdown {
  amps = 0;
  siemens = 0;
  private readonly unit: number;
  private readonly rz: number;
  private offset = 0;

  constructor(private readonly p: ZenerParams) {
    this.unit = p.nz * THERMAL_VOLTS;
    this.rz = max(p.rz, LIMITS.junctionOhms);
    this.setVz(p.vz);
  }

  setVz(vz: Volts): void {
    const { iz } = this.p;
    this.offset = log((this.rz * iz) / this.unit) - (vz - this.rz * iz) / this.unit;
  }

  /** Leaves current and slope at reverse `volts` in `amps` and `siemens`. */
  evaluate(volts: Volts): void {
    const y = wrightOmega(volts / this.unit + this.offset);
    this.amps = (this.unit * y) / this.rz;
    this.siemens = y / (this.rz * (1 + y));
  }
}

/** A diode forward, and a reverse branch in parallel that conducts at the zener volts. */
export const zener: Device<'zener', typeof fields, ZenerParams> = {
  kind: 'zener',
  pins: ['anode', 'cathode'],
  fields,
  resolve(given) {
    const row = given.type ? ZENERS[given.type] : undefined;
    const forward = mergeJunction(given, row);
    if ('problem' in forward) return forward;
    const vz = given.vz ?? row?.vz;
    const iz = given.iz ?? row?.iz ?? 0.005;
    const rz = given.rz ?? row?.rz;
    if (vz === undefined) return { field: 'vz', problem: 'is missing, and no type is named' };
    if (rz === undefined) return { field: 'rz', problem: 'is missing, and no type is named' };
    if (vz <= rz * iz) return { field: 'vz', problem: 'must be more than rz times iz' };
    return { ...forward, vz, iz, rz, nz: given.nz ?? row?.nz ?? 2 };
  },
  branches: () => 0,
  paths: () => [[0, 1]],
  spreads: (p) => rectangular('vz', p.vz, ZENER_TOLERANCE),
  instance(p, at) {
    const forward = new Junction(p);
    const reverse = new Breakdown(p);
    const [anode, cathode] = [at.nodes[0]!, at.nodes[1]!];
    const stamp = new ConductanceStamp(at, anode, cathode);
    const forwardLimit = new StepLimit(forward.unit, forward.saturation);
    // Measured from the knee, the reverse branch is a junction that passes iz at zero volts.
    const reverseLimit = new StepLimit(p.nz * THERMAL_VOLTS, p.iz);
    let knee = p.vz - p.rz * p.iz;
    return {
      stamp(eq) {
        const volts = eq.x[anode]! - eq.x[cathode]!;
        const near = forwardLimit.near(volts, eq);
        const back = reverseLimit.near(-volts - knee, eq) + knee;
        forward.evaluate(near);
        reverse.evaluate(back);
        stamp.add(eq, forward.amps + forward.siemens * (volts - near), forward.siemens);
        stamp.add(eq, -reverse.amps + reverse.siemens * (volts + back), reverse.siemens);
      },
      currents(x, out) {
        const volts = x[anode]! - x[cathode]!;
        forward.evaluate(volts);
        reverse.evaluate(-volts);
        out[0] = forward.amps - reverse.amps;
        out[1] = -out[0];
      },
      knobs: {
        vz(value) {
          reverse.setVz(value);
          knee = value - p.rz * p.iz;
        },
      },
    };
  },
};

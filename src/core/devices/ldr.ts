import { z } from 'zod';
import { LIGHT_SENSOR, LIGHT_SENSOR_SPREAD, type LightSensorFigures } from '../catalogue/light';
import type { Lux } from '../quantities/units';
import type { Device, Equations, Instance, Seat } from './device';
import { quantityField, shareField } from './fields';
import { ConductanceStamp } from './stamps';

const litBy = z.strictObject({
  part: z.string().min(1).max(80),
  luxPerAmp: shareField(0, 1e9),
});

const fields = {
  lux: quantityField('lx', 0, 200_000),
  r10: quantityField('Ω', 1, 1e9).default(LIGHT_SENSOR.r10),
  gamma: shareField(0.05, 3).default(LIGHT_SENSOR.gamma),
  dark: quantityField('Ω', 1, 1e12).default(LIGHT_SENSOR.dark),
  min: quantityField('Ω', 0.1, 1e9).default(LIGHT_SENSOR.min),
  litBy: z.array(litBy).max(50).default([]),
  hood: shareField(0, 1).optional(),
};

export interface LdrParams extends LightSensorFigures {
  /** Light of the room on it. */
  readonly lux: Lux;
  /** Lamps of the circuit that shine on it, in lux an amp. */
  readonly litBy: readonly { readonly part: string; readonly luxPerAmp: number }[];
  /** Share of the room's light that gets past a hood; left out, all of it. */
  readonly hood?: number | undefined;
}

/** A light-dependent resistor: R = r10·(lux/10)^(−gamma), held between min and dark. */
export const ldr: Device<'ldr', typeof fields, LdrParams> = {
  kind: 'ldr',
  pins: ['a', 'b'],
  fields,
  resolve(given) {
    if (given.min > given.dark) return { field: 'min', problem: 'must not be more than dark' };
    return given;
  },
  branches: () => 0,
  paths: () => [[0, 1]],
  senses: (p) => p.litBy.map((light) => light.part),
  spreads: (p) => [
    {
      field: 'r10',
      shape: 'log-uniform',
      low: p.r10 / LIGHT_SENSOR_SPREAD,
      mode: p.r10,
      high: p.r10 * LIGHT_SENSOR_SPREAD,
    },
  ],
  instance,
};

function instance(p: LdrParams, at: Seat): Instance {
  const [a, b] = [at.nodes[0]!, at.nodes[1]!];
  const stamp = new ConductanceStamp(at, a, b);
  const lamps = p.litBy
    .map(({ luxPerAmp }, i) => ({ luxPerAmp, branch: at.sensed[i]! }))
    .filter(({ branch }) => branch >= 0)
    .map((lamp) => ({ ...lamp, intoA: at.entry(a, lamp.branch), intoB: at.entry(b, lamp.branch) }));
  const { hood = 1 } = p;
  let r10 = p.r10;
  let lux = p.lux * hood;
  const light = (amps: Float64Array) => {
    let sum = lux;
    for (let i = 0; i < lamps.length; i++) {
      const lit = amps[lamps[i]!.branch]!;
      if (lit > 0) sum += lamps[i]!.luxPerAmp * lit;
    }
    return sum;
  };
  const ohmsIn = (total: number) => {
    const ohms = r10 * (total / 10) ** -p.gamma;
    return ohms > p.dark ? p.dark : ohms < p.min ? p.min : ohms;
  };
  const follow = (eq: Equations, total: number, siemens: number) => {
    // d(1/R)/d(amps) = gamma/(R·lux)·luxPerAmp while R is between its limits.
    const slope = ((p.gamma * siemens) / total) * (eq.x[a]! - eq.x[b]!);
    for (let i = 0; i < lamps.length; i++) {
      const { branch, luxPerAmp, intoA, intoB } = lamps[i]!;
      if (!(eq.x[branch]! > 0)) continue;
      eq.values[intoA]! += slope * luxPerAmp;
      eq.values[intoB]! -= slope * luxPerAmp;
    }
  };
  return {
    straight: lamps.length === 0,
    stamp(eq) {
      const total = lamps.length ? light(eq.seen ?? eq.x) : lux;
      const ohms = ohmsIn(total);
      stamp.linear(eq, 1 / ohms);
      if (lamps.length && !eq.seen && ohms > p.min && ohms < p.dark) follow(eq, total, 1 / ohms);
    },
    currents(x, out) {
      out[0] = (x[a]! - x[b]!) / ohmsIn(light(x));
      out[1] = -out[0];
    },
    knobs: {
      r10(value) {
        r10 = value;
      },
      lux(value) {
        lux = value * hood;
      },
    },
  };
}

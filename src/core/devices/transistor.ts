import { z } from 'zod';
import { POLARITIES, TRANSISTORS, LEAD_ORDERS, type LeadOrder } from '../catalogue/transistors';
import { less, num, sum, times, type Value } from '../numerics/code';
import { LIMITS } from '../numerics/limits';
import type { Amps } from '../quantities/units';
import type { Device, Equations, Instance, Seat } from './device';
import { Exponential } from './exponential';
import { quantityField, shareField } from './fields';

const fields = {
  polarity: z.enum(POLARITIES).default('npn'),
  is: quantityField('A', 1e-18, 1e-6).optional(),
  betaF: shareField(1, 100_000).optional(),
  betaLow: shareField(1, 100_000).optional(),
  betaHigh: shareField(1, 100_000).optional(),
  betaR: shareField(0.01, 1000).optional(),
  leads: z.enum(LEAD_ORDERS).optional(),
};

export interface TransistorParams {
  readonly polarity: 'npn' | 'pnp';
  readonly is: Amps;
  readonly betaF: number;
  /** Limits of betaF from part to part. */
  readonly betaLow: number;
  readonly betaHigh: number;
  readonly betaR: number;
  readonly leads: LeadOrder;
}

/**
 * Ebers–Moll in transport form, without Early effect. With f = is·(e^(Vbe/VT) − 1), r = is·(e^(Vbc/VT) − 1):
 * Ic = f − r − r/βR, Ib = f/βF + r/βR. A pnp is the mirror.
 */
export const transistor: Device<'transistor', typeof fields, TransistorParams> = {
  kind: 'transistor',
  pins: ['collector', 'base', 'emitter'],
  fields,
  resolve(given) {
    const row = TRANSISTORS[given.polarity];
    const betaF = given.betaF ?? row.betaF;
    return {
      polarity: given.polarity,
      is: given.is ?? row.is,
      betaF,
      betaLow: Math.min(given.betaLow ?? row.betaLow, betaF),
      betaHigh: Math.max(given.betaHigh ?? row.betaHigh, betaF),
      betaR: given.betaR ?? row.betaR,
      leads: given.leads ?? row.leads,
    };
  },
  branches: () => 0,
  paths: () => [
    [0, 1],
    [1, 2],
  ],
  spreads: (p) => [{ field: 'betaF', shape: 'log-uniform', low: p.betaLow, mode: p.betaF, high: p.betaHigh }],
  instance,
};

/** Volts from base to emitter that hold it on for certain. */
const HELD_ON = 0.8;

function instance(p: TransistorParams, at: Seat): Instance {
  const [c, b, e] = [at.nodes[0]!, at.nodes[1]!, at.nodes[2]!];
  const pins = [c, b, e];
  const places = pins.map((row) => pins.map((column) => at.entry(row, column)));
  const [[cc, cb, ce], [bc, bb, be], [ec, eb, ee]] = places as [number[], number[], number[]];
  const sign = p.polarity === 'npn' ? 1 : -1;
  const forward = new Exponential(p.is);
  const reverse = new Exponential(p.is);
  let betaF = p.betaF;
  const grip = { siemens: 0, volts: 0 };
  const leak = LIMITS.junctionSiemens;

  const add = (values: Float64Array, place: number, siemens: number) => {
    values[place]! += siemens;
  };
  /** Amps into collector and base, mirrored for a pnp. */
  const collector = (vbc: number) => forward.amps - reverse.amps * (1 + 1 / p.betaR) - leak * vbc;
  const base = (vbe: number, vbc: number) =>
    forward.amps / betaF + reverse.amps / p.betaR + leak * (vbe + vbc);
  const evaluate = (x: Float64Array, eq?: Equations) => {
    forward.evaluate(sign * (x[b]! - x[e]!), eq);
    reverse.evaluate(sign * (x[b]! - x[c]!), eq);
  };
  const slopes = (values: Float64Array) => {
    const [gf, gr] = [forward.siemens, reverse.siemens];
    const icR = gr * (1 + 1 / p.betaR) + leak;
    const ibF = gf / betaF + leak;
    const ibR = gr / p.betaR + leak;
    add(values, cc!, icR);
    add(values, cb!, gf - icR);
    add(values, ce!, -gf);
    add(values, bc!, -ibR);
    add(values, bb!, ibF + ibR);
    add(values, be!, -ibF);
    add(values, ec!, ibR - icR);
    add(values, eb!, icR - gf - ibF - ibR);
    add(values, ee!, gf + ibF);
  };
  const gripped = ({ x, residual, values }: Equations) => {
    const { siemens, volts } = grip;
    const amps = siemens * (x[b]! - x[e]! - volts);
    residual[b]! += amps;
    residual[e]! -= amps;
    add(values, bb!, siemens);
    add(values, be!, -siemens);
    add(values, eb!, -siemens);
    add(values, ee!, siemens);
  };
  return {
    hold(side, siemens) {
      grip.siemens = siemens;
      grip.volts = side === 'on' ? sign * HELD_ON : 0;
    },
    stamp(eq) {
      const { x, residual } = eq;
      evaluate(x, eq);
      const ic = sign * collector(sign * (x[b]! - x[c]!));
      const ib = sign * base(sign * (x[b]! - x[e]!), sign * (x[b]! - x[c]!));
      residual[c]! += ic;
      residual[b]! += ib;
      residual[e]! -= ic + ib;
      slopes(eq.values);
      if (grip.siemens > 0) gripped(eq);
    },
    write(writing) {
      const { code, x, flow, slope } = writing;
      const across = (end: number) => code.keep(times(num(sign), less(x(b), x(end)))).value;
      const [vbe, vbc] = [across(e), across(c)];
      const [f, r] = [forward.write(writing, vbe), reverse.write(writing, vbc)];
      const keep = (value: Value) => code.keep(value).value;
      const minus = (value: Value) => less(num(0), value);
      const back = 1 + 1 / p.betaR;
      const ic = keep(times(num(sign), less(f.amps, times(num(back), r.amps), times(num(leak), vbc))));
      const byGain = writing.figure(() => 1 / betaF);
      const through = sum(times(byGain, f.amps), times(num(1 / p.betaR), r.amps));
      const ib = keep(times(num(sign), sum(through, times(num(leak), sum(vbe, vbc)))));
      flow(c, ic);
      flow(b, ib);
      flow(e, minus(sum(ic, ib)));
      const icR = keep(sum(times(num(back), r.siemens), num(leak)));
      const ibF = keep(sum(times(byGain, f.siemens), num(leak)));
      const ibR = keep(sum(times(num(1 / p.betaR), r.siemens), num(leak)));
      slope(cc!, icR);
      slope(cb!, less(f.siemens, icR));
      slope(ce!, minus(f.siemens));
      slope(bc!, minus(ibR));
      slope(bb!, sum(ibF, ibR));
      slope(be!, minus(ibF));
      slope(ec!, less(ibR, icR));
      slope(eb!, less(icR, f.siemens, ibF, ibR));
      slope(ee!, sum(f.siemens, ibF));
    },
    currents(x, out) {
      evaluate(x);
      out[0] = sign * collector(sign * (x[b]! - x[c]!));
      out[1] = sign * base(sign * (x[b]! - x[e]!), sign * (x[b]! - x[c]!));
      out[2] = -out[0] - out[1];
    },
    knobs: {
      betaF(value) {
        betaF = value;
      },
    },
  };
}

import { z } from 'zod';
import {
  RESET_QUIET_VOLTS,
  RESET_VOLTS,
  TIMER_FAMILIES,
  TIMERS,
  type TimerFamily,
} from '../catalogue/timers';
import { LIMITS } from '../numerics/limits';
import type { Device, Instance, Seat } from './device';
import { ConductanceStamp, ControlledStamp } from './stamps';
import { TimerLatch } from './timerLatch';

/** Looked up once: these stand in the innermost loops. */
const { max, min } = Math;

const fields = { family: z.enum(TIMER_FAMILIES) };

export interface TimerParams {
  readonly family: TimerFamily;
}

const PIN = { ground: 0, output: 2, reset: 3, control: 4, discharge: 6, supply: 7 } as const;

/**
 * The eight-pin timer chip. Of its three equal divider resistors the upper tap is the control pin; the lower tap stays
 * inside, at half of the control volts. Inputs draw nothing, but for the reset pin of the bipolar chip.
 */
export const timer: Device<'timer', typeof fields, TimerParams> = {
  kind: 'timer',
  pins: ['ground', 'trigger', 'output', 'reset', 'control', 'threshold', 'discharge', 'supply'],
  optionalPins: ['control', 'discharge'],
  reading: { volts: [PIN.output, PIN.ground], pin: PIN.output, sense: -1 },
  fields,
  resolve: (given) => given,
  branches: () => 0,
  paths: (p) => [
    [PIN.supply, PIN.ground],
    [PIN.output, PIN.ground],
    [PIN.control, PIN.ground],
    [PIN.discharge, PIN.ground],
    ...(p.family === 'bipolar' ? ([[PIN.reset, PIN.supply]] as const) : []),
  ],
  spreads: () => [],
  instance: (p, at) => new TimerInstance(p, at),
};

/** Currents inside the chip run along strands, each from one pin to another. */
const STRANDS = [
  [PIN.supply, PIN.control],
  [PIN.control, PIN.ground],
  [PIN.supply, PIN.ground],
  [PIN.supply, PIN.output],
  [PIN.output, PIN.ground],
  [PIN.discharge, PIN.ground],
  [PIN.supply, PIN.reset],
] as const;
const [UPPER, LOWER, OWN, HIGH, LOW, DISCHARGE, RESET] = [0, 1, 2, 3, 4, 5, 6] as const;

class TimerInstance implements Instance {
  readonly knobs = {};
  readonly latch: TimerLatch;
  private readonly figures;
  private readonly stamps: readonly (ConductanceStamp | undefined)[];
  private readonly resetByReset: ControlledStamp;
  private readonly resetBySupply: ControlledStamp;
  private readonly amps = new Float64Array(STRANDS.length);
  private readonly siemens = new Float64Array(STRANDS.length);
  private resetSlope = 0;
  private resetFade = 0;

  constructor(
    p: TimerParams,
    private readonly at: Seat,
  ) {
    const { nodes } = at;
    this.figures = TIMERS[p.family];
    this.latch = new TimerLatch(this.figures, nodes);
    this.stamps = STRANDS.map(([a, b]) =>
      nodes[a]! < 0 || nodes[b]! < 0 ? undefined : new ConductanceStamp(at, nodes[a]!, nodes[b]!),
    );
    const [ground, reset, supply] = [nodes[PIN.ground]!, nodes[PIN.reset]!, nodes[PIN.supply]!];
    this.resetByReset = new ControlledStamp(at, supply, reset, reset, ground);
    this.resetBySupply = new ControlledStamp(at, supply, reset, supply, ground);
  }

  stamp(eq: Parameters<Instance['stamp']>[0]): void {
    this.evaluate(eq.x);
    for (let s = 0; s < STRANDS.length; s++) this.stamps[s]?.add(eq, this.amps[s]!, this.siemens[s]!);
    this.resetByReset.add(eq, this.resetSlope);
    this.resetBySupply.add(eq, this.resetFade);
  }

  currents(x: Float64Array, out: Float64Array): void {
    this.evaluate(x);
    out.fill(0);
    for (let s = 0; s < STRANDS.length; s++) {
      if (!this.stamps[s]) continue;
      const [a, b] = STRANDS[s]!;
      out[a]! += this.amps[s]!;
      out[b]! -= this.amps[s]!;
    }
  }

  private set(strand: number, amps: number, siemens: number): void {
    this.amps[strand] = amps;
    this.siemens[strand] = siemens;
  }

  private evaluate(x: Float64Array): void {
    const { nodes } = this.at;
    const ground = x[nodes[PIN.ground]!]!;
    const supply = x[nodes[PIN.supply]!]! - ground;
    this.divider(x, ground, supply);
    this.output(x[nodes[PIN.output]!]! - ground, supply);
    if (nodes[PIN.discharge]! >= 0) this.discharge(x[nodes[PIN.discharge]!]! - ground);
    if (this.figures.resetAmps > 0) this.reset(x[nodes[PIN.reset]!]! - ground, supply);
  }

  /** Divider and own current; without a control pin the divider is one strand to ground. */
  private divider(x: Float64Array, ground: number, supply: number): void {
    const { dividerOhms, ownAmps, ownSlope, ownOffset, offVolts } = this.figures;
    const node = this.at.nodes[PIN.control]!;
    const lineAmps = ownSlope * supply + ownOffset;
    const full = max(ownAmps, lineAmps);
    const fullSlope = lineAmps > ownAmps ? ownSlope : 0;
    const fade = min(1, max(0, supply / offVolts));
    const fadeSlope = supply > 0 && supply < offVolts ? 1 / offVolts : 0;
    let amps = full * fade;
    let siemens = fullSlope * fade + full * fadeSlope;
    if (node < 0) {
      amps += supply / (3 * dividerOhms);
      siemens += 1 / (3 * dividerOhms);
    } else {
      const control = x[node]! - ground;
      this.set(UPPER, (supply - control) / dividerOhms, 1 / dividerOhms);
      this.set(LOWER, control / (2 * dividerOhms), 1 / (2 * dividerOhms));
    }
    this.set(OWN, amps, siemens);
  }

  private output(volts: number, supply: number): void {
    const { highDrop, highOhms, lowVolts, lowOhms } = this.figures;
    const high = this.latch.high();
    const above = high && supply - highDrop > lowVolts;
    const ohms = high ? highOhms : lowOhms;
    this.set(HIGH, above ? (supply - highDrop - volts) / ohms : 0, above ? 1 / ohms : 0);
    this.set(LOW, above ? 0 : (volts - lowVolts) / ohms, above ? 0 : 1 / ohms);
  }

  private discharge(volts: number): void {
    const { dischargeVolts, dischargeOhms } = this.figures;
    if (this.latch.discharging())
      this.set(DISCHARGE, (volts - dischargeVolts) / dischargeOhms, 1 / dischargeOhms);
    else this.set(DISCHARGE, LIMITS.junctionSiemens * volts, LIMITS.junctionSiemens);
  }

  /** What a reset pin held low gives out; open, it is drawn up to the supply. */
  private reset(volts: number, supply: number): void {
    const { resetAmps, offVolts } = this.figures;
    const width = RESET_QUIET_VOLTS - RESET_VOLTS;
    const share = min(1, max(0, (RESET_QUIET_VOLTS - volts) / width));
    const fade = min(1, max(0, supply / offVolts));
    const leak = LIMITS.junctionSiemens;
    this.set(RESET, resetAmps * share * fade + leak * (supply - volts), leak);
    this.resetSlope = share > 0 && share < 1 ? (-resetAmps * fade) / width : 0;
    this.resetFade = fade > 0 && fade < 1 ? (resetAmps * share) / offVolts : 0;
  }
}

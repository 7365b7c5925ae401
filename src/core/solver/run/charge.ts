import type { Compiled } from '../../circuit/compile';
import { deviceOf } from '../../circuit/deviceOf';
import { FIRST_PIN } from '../../devices/device';
import { QUADRATURE } from './trBdf2';

/** The charge that has passed through every part, in ampere-seconds; after the parts, the volt-seconds of every node. */
export class Charge {
  readonly total: Float64Array;
  private readonly amps: Float64Array;
  private readonly pins = new Float64Array(16);
  private readonly readings;

  constructor(private readonly compiled: Compiled) {
    const columns = compiled.placed.length + compiled.nodes.length;
    this.total = new Float64Array(columns);
    this.amps = new Float64Array(columns);
    this.readings = compiled.placed.map(({ part }) => deviceOf(part).reading ?? FIRST_PIN);
  }

  /** Takes the amps at the start of the next step. */
  begin(x: Float64Array): void {
    for (let i = 0; i < this.amps.length; i++) this.amps[i] = this.read(i, x);
  }

  /** Adds a step of `h` seconds with the step's own quadrature, and begins the next one at its end. */
  add(h: number, middle: Float64Array, end: Float64Array): void {
    const [start, mid, last] = QUADRATURE;
    for (let i = 0; i < this.amps.length; i++) {
      const after = this.read(i, end);
      this.total[i]! += h * (start * this.amps[i]! + mid * this.read(i, middle) + last * after);
      this.amps[i] = after;
    }
  }

  private read(i: number, x: Float64Array): number {
    const { placed } = this.compiled;
    if (i >= placed.length) return x[i - placed.length]!;
    const { pin, sense } = this.readings[i]!;
    this.compiled.placed[i]!.instance.currents(x, this.pins);
    return sense * this.pins[pin]!;
  }
}

/** Charge between two instants, for the mean over a window. */
export interface Window {
  readonly from: number;
  to: number;
  readonly before: Float64Array;
  readonly after: Float64Array;
}

export function openWindow(time: number, total: Float64Array): Window {
  return { from: time, to: time, before: total.slice(), after: total.slice() };
}

export function closeWindow(window: Window, time: number, total: Float64Array): void {
  window.to = time;
  window.after.set(total);
}

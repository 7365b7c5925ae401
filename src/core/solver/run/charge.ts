import type { Compiled } from '../../circuit/compile';
import { deviceOf } from '../../circuit/deviceOf';
import { FIRST_PIN } from '../../devices/device';
import { Means } from './means';
import { QUADRATURE } from './trBdf2';

/** Integrals over time of every unknown, and behind them of the amps into the pins of the parts that are watched. */
export class Charge {
  readonly total: Float64Array;
  private readonly means: Means;
  private readonly columns: number;
  private readonly start: Float64Array;
  private readonly middle: Float64Array;
  private readonly end: Float64Array;
  private readonly pins = new Float64Array(16);

  constructor(private readonly compiled: Compiled) {
    this.means = new Means(compiled);
    this.columns = compiled.size;
    const pins = this.means.watched.reduce((sum, part) => sum + compiled.placed[part]!.nodes.length, 0);
    this.total = new Float64Array(this.columns + pins);
    this.start = new Float64Array(pins);
    this.middle = new Float64Array(pins);
    this.end = new Float64Array(pins);
  }

  /** Takes what stands at the start of the next step. */
  begin(x: Float64Array): void {
    this.watch(x, this.start);
  }

  /** Adds a step of `h` seconds with the step's own quadrature, and begins the next one at its end. */
  add(h: number, start: Float64Array, middle: Float64Array, end: Float64Array): void {
    const { total, columns } = this;
    const [first, mid, last] = QUADRATURE;
    for (let i = 0; i < columns; i++)
      total[i]! += h * (first * start[i]! + mid * middle[i]! + last * end[i]!);
    if (this.start.length === 0) return;
    this.watch(middle, this.middle);
    this.watch(end, this.end);
    for (let i = 0; i < this.start.length; i++) {
      total[columns + i]! += h * (first * this.start[i]! + mid * this.middle[i]! + last * this.end[i]!);
    }
    this.start.set(this.end);
  }

  private watch(x: Float64Array, into: Float64Array): void {
    const { watched } = this.means;
    let next = 0;
    for (let w = 0; w < watched.length; w++) {
      const { instance, nodes } = this.compiled.placed[watched[w]!]!;
      instance.currents(x, this.pins);
      for (let pin = 0; pin < nodes.length; pin++) into[next++] = this.pins[pin]!;
    }
  }

  /** Mean amps of every part, as its kind reads them, and mean volts of every node, over a window. */
  meansOver({ from, to, before, after }: Window): { readonly parts: number[]; readonly nodes: number[] } {
    const mean = after.map((value, i) => (value - before[i]!) / (to - from));
    const x = new Float64Array(this.columns + 1);
    x.set(mean.subarray(0, this.columns));
    const amps = this.means.of(x, mean.subarray(this.columns));
    const parts = this.compiled.placed.map(({ part }, i) => {
      const { pin, sense } = deviceOf(part).reading ?? FIRST_PIN;
      return sense * amps[i]![pin]!;
    });
    return { parts, nodes: [...x.subarray(0, this.compiled.nodes.length)] };
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

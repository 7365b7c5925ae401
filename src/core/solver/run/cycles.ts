import { closeWindow, openWindow, type Window } from './charge';

/** What a timer's output does, from rising edge to rising edge; null where no whole cycle was met. */
export interface Cycle {
  readonly period: number | null;
  /** Seconds up and down: means over whole cycles, else of the last whole spell that was met. */
  readonly high: number | null;
  readonly low: number | null;
  readonly hertz: number | null;
  readonly duty: number | null;
  readonly cycles: number;
}

/** Follows the edges of one output after the settling time. */
export class CycleCount {
  /** From the first to the last rising edge. */
  window: Window | undefined;
  private cycles = 0;
  private up = 0;
  private risen: number | undefined;
  private fallen: number | undefined;
  private lastHigh: number | undefined;
  private lastLow: number | undefined;
  private upSinceRise = 0;

  /** @param high whether the output is up as counting begins, at `time` */
  constructor(high: boolean, time: number) {
    if (high) this.risen = time;
    else this.fallen = time;
  }

  edge(time: number, high: boolean, charge: Float64Array): void {
    if (high) this.rise(time, charge);
    else this.fall(time);
  }

  private rise(time: number, charge: Float64Array): void {
    if (this.fallen !== undefined) this.lastLow = time - this.fallen;
    this.risen = time;
    if (!this.window) {
      this.window = openWindow(time, charge);
      return;
    }
    this.cycles++;
    this.up += this.upSinceRise;
    this.upSinceRise = 0;
    closeWindow(this.window, time, charge);
  }

  private fall(time: number): void {
    if (this.risen !== undefined) {
      this.lastHigh = time - this.risen;
      if (this.window) this.upSinceRise += this.lastHigh;
    }
    this.fallen = time;
  }

  report(): Cycle {
    const { window, cycles } = this;
    if (!window || cycles === 0) {
      const spells = { high: this.lastHigh ?? null, low: this.lastLow ?? null };
      return { period: null, ...spells, hertz: null, duty: null, cycles: 0 };
    }
    const period = (window.to - window.from) / cycles;
    const high = this.up / cycles;
    return { period, high, low: period - high, hertz: 1 / period, duty: high / period, cycles };
  }
}

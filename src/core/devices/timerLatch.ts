import { RESET_VOLTS, type TimerFigures } from '../catalogue/timers';
import type { Latch } from './dynamics';

/** Looked up once: these stand in the innermost loops. */
const { max, min } = Math;

/** States of the latch: without enough supply, output low, output high. */
const [OFF, CLEAR, SET] = [0, 1, 2] as const;

/**
 * A cleared chip is let go this far above where its reset clears it. Figures of the pin do not show it; without it a
 * chip whose own output moves its reset by microvolts would go on and off within an instant, for ever.
 */
const RESET_LATCH_VOLTS = 1e-3;

/**
 * The latch of a timer chip: set while the trigger is below the lower tap, else cleared while the threshold is above
 * the control volts; a low reset wins over both, and too little supply over all.
 */
export class TimerLatch implements Latch {
  state: number = CLEAR;
  private readonly ground: number;
  private readonly trigger: number;
  private readonly resetPin: number;
  private readonly control: number;
  private readonly threshold: number;
  private readonly supply: number;

  /** @param nodes of the eight pins in order; −1 for a control pin that is left out */
  constructor(
    private readonly figures: TimerFigures,
    nodes: Int32Array,
  ) {
    this.ground = nodes[0]!;
    this.trigger = nodes[1]!;
    this.resetPin = nodes[3]!;
    this.control = nodes[4]!;
    this.threshold = nodes[5]!;
    this.supply = nodes[7]!;
  }

  powerUp(): void {
    this.state = CLEAR;
  }

  high(): boolean {
    return this.state === SET;
  }

  discharging(): boolean {
    return this.state === CLEAR;
  }

  next(x: Float64Array): number {
    if (this.starved(x) > 0) return OFF;
    if (this.held(x) > 0) return CLEAR;
    if (this.triggered(x) > 0) return SET;
    if (this.state === OFF || this.filled(x) > 0) return CLEAR;
    return this.state;
  }

  margin(x: Float64Array): number {
    const starved = this.starved(x);
    const held = this.held(x);
    const triggered = this.triggered(x);
    if (this.state === OFF) return -starved;
    if (this.state === CLEAR) return max(starved, min(-held, triggered));
    return max(starved, held, min(this.filled(x), -triggered));
  }

  /** Volts by which each condition is met; negative while it is not. */
  private starved(x: Float64Array): number {
    return this.figures.offVolts - (x[this.supply]! - x[this.ground]!);
  }

  private held(x: Float64Array): number {
    const letGo = this.state === CLEAR ? RESET_LATCH_VOLTS : 0;
    return RESET_VOLTS + letGo - (x[this.resetPin]! - x[this.ground]!);
  }

  private triggered(x: Float64Array): number {
    return this.upperTap(x) / 2 - (x[this.trigger]! - x[this.ground]!);
  }

  private filled(x: Float64Array): number {
    return x[this.threshold]! - x[this.ground]! - this.upperTap(x);
  }

  private upperTap(x: Float64Array): number {
    if (this.control >= 0) return x[this.control]! - x[this.ground]!;
    return (2 / 3) * (x[this.supply]! - x[this.ground]!);
  }
}

import { valueAt, type Sound } from '../numerics/sound';
import type { Wave } from './dynamics';

/** How near an instant must be to a jump to count as being at it, in periods: far above rounding, far below use. */
const AT_JUMP = 1e-9;

/** A level that is up for a share of each period from t = 0, and down for the rest. */
export class SquareWave implements Wave {
  readonly longest = Infinity;
  readonly period: number;
  up: boolean;
  private next = Infinity;

  /** @param duty share of the period that it is up; at 0 and 1 it never jumps */
  constructor(
    private readonly hertz: number,
    private readonly duty: number,
  ) {
    this.period = 1 / hertz;
    this.up = duty > 0;
  }

  enter(time: number): void {
    if (this.duty <= 0 || this.duty >= 1) return;
    const periods = Math.floor(time * this.hertz + AT_JUMP);
    this.up = time * this.hertz - periods < this.duty - AT_JUMP;
    this.next = (periods + (this.up ? this.duty : 1)) / this.hertz;
  }

  nextJump(): number {
    return this.next;
  }
}

/** Samples of a sound that a step may pass over at once: what comes suddenly is met. */
const SAMPLES_A_STEP = 2;

/** A sound, sample by sample. It has no period: means are taken over all of it. */
export class SoundWave implements Wave {
  readonly longest: number;
  readonly period = 0;

  constructor(private readonly sound: Sound) {
    this.longest = SAMPLES_A_STEP / sound.rate;
  }

  at(time: number): number {
    return valueAt(this.sound, time);
  }

  enter(): void {}

  nextJump(): number {
    return Infinity;
  }
}

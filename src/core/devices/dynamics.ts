/** What a part with memory, a clock or a latch shows to the integration over time. */

/** A part that keeps a quantity: volts of a capacitor, amps of a coil. Its equation is state − past − θ·rate = 0. */
export interface Storage {
  /** Where it starts; undefined starts from the steady state. */
  readonly initial: number | undefined;
  /** The kept quantity at x, in V or A. */
  state(x: Float64Array): number;
  /** How fast it changes at x, in V/s or A/s. */
  rate(x: Float64Array): number;
  /** What the state is measured against in its equation. */
  past: number;
}

/** A source that moves with time. */
export interface Wave {
  /** Seconds of one period. */
  readonly period: number;
  /** Longest step that still follows its shape; Infinity between jumps. */
  readonly longest: number;
  /** Sets its level to what holds just after `time`. */
  enter(time: number): void;
  /** The next instant at which it jumps; Infinity when it never does. */
  nextJump(): number;
}

/** A part with a discrete state. */
export interface Latch {
  state: number;
  /** Its state at power-up. */
  powerUp(): void;
  /** The state it goes to at x. */
  next(x: Float64Array): number;
  /** By how many volts x is past the point where its state changes; negative while it stays. */
  margin(x: Float64Array): number;
  /** Whether its output is up. */
  high(): boolean;
}

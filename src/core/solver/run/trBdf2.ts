import type { Compiled } from '../../circuit/compile';
import type { Storage } from '../../devices/dynamics';
import { LIMITS } from '../../numerics/limits';
import { THERMAL_VOLTS } from '../../quantities/constants';
import type { Volts } from '../../quantities/units';
import type { OperatingPoint } from '../operatingPoint';

/** Looked up once: these stand in the innermost loops. */
const { abs, cbrt, max, min, sqrt, SQRT2 } = Math;

/** How finely a run is stepped. */
export interface StepControl {
  /** Local error of a kept quantity, relative to the largest it has been. */
  readonly relative: number;
  /** The same where it has been next to nothing, in V or A. */
  readonly absolute: number;
}

/** Where a circuit sets its own pace, errors add up from cycle to cycle; where a sine sets it they do not. */
export const OWN_PACE: StepControl = { relative: 1e-5, absolute: 1e-8 };
export const DRIVEN: StepControl = { relative: 1e-4, absolute: 1e-7 };

/** Where the middle stage stands in a step: both stages then have the same weight, and so the same Jacobian. */
const MIDDLE = 2 - SQRT2;
const PAST_MIDDLE = 1 / (MIDDLE * (2 - MIDDLE));
const PAST_START = (1 - MIDDLE) ** 2 * PAST_MIDDLE;
const ERROR = (-3 * MIDDLE * MIDDLE + 4 * MIDDLE - 2) / (12 * (2 - MIDDLE));

/** Weights of a step's own quadrature: start, middle, end. */
export const QUADRATURE = [SQRT2 / 4, SQRT2 / 4, 1 - SQRT2 / 2] as const;

/**
 * One-step integration of a compiled circuit: a trapezoidal stage, then a backward-difference stage that damps what
 * the first leaves ringing. Second order, L-stable, with an error estimate of third order.
 * Source: Bank, Coughran, Fichtner, Grosse, Rose & Smith, IEEE Trans. CAD 4(4), 1985; the estimate after Hosea &
 * Shampine, Applied Numerical Mathematics 20, 1996.
 */
export class TrBdf2 {
  time = 0;
  /** Unknowns at the start and the middle of the last step; its end stands in the equations. */
  readonly start: Float64Array;
  readonly middle: Float64Array;
  private readonly storages: readonly Storage[];
  /** The step before: its start and middle, and its length; 0 when nothing is known of it. */
  private readonly earlier: Float64Array;
  private readonly between: Float64Array;
  private span = 0;
  private readonly enough: Volts;
  private readonly scale: Float64Array;
  private readonly state: Float64Array[];
  private readonly rate: Float64Array[];

  constructor(
    private readonly compiled: Compiled,
    private readonly point: OperatingPoint,
    private readonly control: StepControl,
  ) {
    this.storages = compiled.placed.flatMap(({ instance }) => (instance.storage ? [instance.storage] : []));
    // A Newton step of d volts leaves d²/(2·VT) over: a tenth of the error that is allowed at 1 V.
    this.enough = sqrt(0.2 * THERMAL_VOLTS * control.relative);
    const unknowns = () => new Float64Array(compiled.size + 1);
    [this.start, this.middle] = [unknowns(), unknowns()];
    [this.earlier, this.between] = [unknowns(), unknowns()];
    const kept = () => new Float64Array(this.storages.length);
    this.scale = kept();
    this.state = [kept(), kept(), kept()];
    this.rate = [kept(), kept(), kept()];
  }

  /** Takes the state that stands in the equations as the one to go on from; nothing is known of its past. */
  begin(): void {
    this.start.set(this.compiled.equations.x);
    this.span = 0;
    this.note(0);
    this.remember();
  }

  /** Seconds within which the kept quantities move by a small share of their size. */
  firstStep(): number {
    let step = Infinity;
    for (let i = 0; i < this.storages.length; i++) {
      const size = max(this.scale[i]!, 1e3 * this.control.absolute);
      step = min(step, (0.01 * size) / abs(this.rate[0]![i]!));
    }
    return step;
  }

  /**
   * Tries a step of `h` seconds from the start.
   *
   * @param exact let the end settle fully, for an instant that is shown
   * @returns its local error relative to what is allowed; Infinity when a stage did not settle
   */
  attempt(h: number, exact = false): number {
    const { equations } = this.compiled;
    const { x } = equations;
    const [state, rate] = [this.state, this.rate];
    equations.regime = 'step';
    equations.theta = (MIDDLE * h) / 2;
    equations.time = this.time + MIDDLE * h;
    for (let i = 0; i < this.storages.length; i++) {
      this.storages[i]!.past = state[0]![i]! + equations.theta * rate[0]![i]!;
    }
    this.guessMiddle(h);
    if (!this.point.newton.settleStage(this.enough)) return Infinity;
    this.note(1);
    this.middle.set(x);

    equations.time = this.time + h;
    for (let i = 0; i < this.storages.length; i++) {
      this.storages[i]!.past = PAST_MIDDLE * state[1]![i]! - PAST_START * state[0]![i]!;
    }
    this.guessEnd(h);
    if (!this.point.newton.settleStage(exact ? LIMITS.stepVolts : this.enough)) return Infinity;
    this.note(2);
    return this.error(h);
  }

  /** The next step that keeps the error, after one of `h` with `error`. */
  nextStep(h: number, error: number): number {
    return h * min(5, max(0.2, 0.9 / cbrt(max(error, 1e-6))));
  }

  /** Moves on to the end of the last attempt. */
  accept(h: number): void {
    const { x } = this.compiled.equations;
    this.earlier.set(this.start);
    this.between.set(this.middle);
    this.span = h;
    this.start.set(x);
    this.state[0]!.set(this.state[2]!);
    this.rate[0]!.set(this.rate[2]!);
    this.time += h;
    this.remember();
  }

  /**
   * Solves anew at this instant, every kept quantity held: after a jump of a source or a switching of a timer.
   *
   * @param ahead seconds by which kept quantities are moved on along their rates, to leave a state that has ended
   * @returns whether it settled
   */
  hold(ahead = 0): boolean {
    const { equations } = this.compiled;
    equations.x.set(this.start);
    equations.regime = 'held';
    equations.time = this.time;
    for (let i = 0; i < this.storages.length; i++) {
      this.storages[i]!.past = this.state[0]![i]! + ahead * this.rate[0]![i]!;
    }
    if (!(ahead === 0 && this.point.newton.settle()) && !this.point.settle('standing')) return false;
    this.begin();
    return true;
  }

  /** The parabola through start, middle and end of the step before, or where the state stands. */
  private guessMiddle(h: number): void {
    const { x } = this.compiled.equations;
    const { start, earlier, between, span } = this;
    if (span === 0) {
      x.set(start);
      return;
    }
    const s = (MIDDLE * h) / span;
    const early = (s * (s + 1 - MIDDLE)) / MIDDLE;
    const mid = (-s * (s + 1)) / (MIDDLE * (1 - MIDDLE));
    const now = 1 - early - mid;
    for (let i = 0; i < this.compiled.size; i++)
      x[i] = now * start[i]! + mid * between[i]! + early * earlier[i]!;
  }

  /** The parabola through the middle of the step before, the start and the middle, or the line through these two. */
  private guessEnd(h: number): void {
    const { x } = this.compiled.equations;
    const { start, middle, between, span } = this;
    // Places of the three points, from the start, in units of h.
    const back = span === 0 ? 0 : (-(1 - MIDDLE) * span) / h;
    const past = span === 0 ? 0 : (1 - MIDDLE) / (back * (back - MIDDLE));
    const mid = (1 - back) / (MIDDLE * (MIDDLE - back));
    const now = 1 - past - mid;
    if (span === 0) {
      const onward = 1 / MIDDLE;
      for (let i = 0; i < this.compiled.size; i++) x[i] = start[i]! + onward * (middle[i]! - start[i]!);
      return;
    }
    for (let i = 0; i < this.compiled.size; i++)
      x[i] = now * start[i]! + mid * middle[i]! + past * between[i]!;
  }

  private note(stage: 0 | 1 | 2): void {
    const { x } = this.compiled.equations;
    for (let i = 0; i < this.storages.length; i++) {
      this.state[stage]![i] = this.storages[i]!.state(x);
      this.rate[stage]![i] = this.storages[i]!.rate(x);
    }
  }

  private remember(): void {
    for (let i = 0; i < this.scale.length; i++) this.scale[i] = max(this.scale[i]!, abs(this.state[0]![i]!));
  }

  private error(h: number): number {
    const [r0, r1, r2] = this.rate as [Float64Array, Float64Array, Float64Array];
    const { relative, absolute } = this.control;
    let largest = 0;
    for (let i = 0; i < this.storages.length; i++) {
      const bent = r0[i]! / MIDDLE - r1[i]! / (MIDDLE * (1 - MIDDLE)) + r2[i]! / (1 - MIDDLE);
      const size = max(this.scale[i]!, abs(this.state[2]![i]!));
      largest = max(largest, abs(2 * ERROR * h * bent) / (absolute + relative * size));
    }
    return largest;
  }
}

import type { Compiled } from '../../circuit/compile';
import type { Wave } from '../../devices/dynamics';
import { locateCrossing } from '../../numerics/crossing';
import { LIMITS } from '../../numerics/limits';
import type { OperatingPoint } from '../operatingPoint';
import { Charge, closeWindow, openWindow, type Window } from './charge';
import { CycleCount, type Cycle } from './cycles';
import { Latches } from './latches';
import { EvenSamples, StepSamples, type Recorder, type Samples } from './record';
import type { Enough, RunPlan, Switching } from './plan';
import { TrBdf2, type StepControl } from './trBdf2';

/** Looked up once: these stand in the innermost loops. */
const { max, min } = Math;

/** Instants nearer to one another than this share of the run are the same. */
const SAME_INSTANT = 1e-13;

/** A switching is met to this share of the step, or these volts past it. */
const SWITCHED = { share: 1e-10, margin: 1e-8 } as const;

export interface Run extends Samples {
  /** By name of each timer's output node. */
  readonly cycles: Readonly<Record<string, Cycle>>;
  /** Time average of each part's amps. */
  readonly means: Readonly<Record<string, number>>;
  /** Time average of each node's volts, over the same seconds. */
  readonly nodeMeans: Readonly<Record<string, number>>;
  /** The seconds that the averages are taken over: whole cycles of the slowest. */
  readonly window: readonly [number, number];
  /** Every output that went up or down, in order, from t = 0. */
  readonly events: readonly Switching[];
  /** Means of each part's amps over one frame after another, where the plan wants them. */
  readonly frames?: Readonly<Record<string, Float64Array>>;
  /** When it ended: its whole span, or where enough had been seen. */
  readonly ended: number;
  /** Steps taken in time. */
  readonly steps: number;
}

export type Ending = 'done' | 'stuck' | 'too long';

/** One circuit on its way through time: steps, jumps, switchings, and what is noted of them. */
export class Passage {
  /** The furthest instant that was reached, and the steps that have been tried there. */
  private reached = 0;
  private triedHere = 0;
  private readonly steps: TrBdf2;
  private readonly latches: Latches;
  private readonly waves: readonly Wave[];
  private readonly samples: Recorder;
  private readonly charge: Charge;
  private readonly near: number;
  private readonly longest: number;
  private readonly sourceEnd: number;
  private cycles: CycleCount[] | undefined;
  private whole: Window | undefined;
  private sourced: Window | undefined;
  private wanted = Infinity;
  private framed: Window | undefined;
  private readonly frames: number[][] = [];
  private taken = 0;
  private readonly events: Switching[] = [];
  private stopped = false;

  constructor(
    private readonly compiled: Compiled,
    private readonly point: OperatingPoint,
    private readonly plan: RunPlan,
    control: StepControl,
    private readonly ending: Enough = {},
  ) {
    this.steps = new TrBdf2(compiled, point, control);
    this.latches = new Latches(compiled);
    this.waves = compiled.placed.flatMap(({ instance }) => (instance.wave ? [instance.wave] : []));
    this.samples =
      plan.samples === 'steps'
        ? new StepSamples(compiled)
        : new EvenSamples(compiled, plan.seconds, plan.samples);
    this.charge = new Charge(compiled);
    this.near = SAME_INSTANT * plan.seconds;
    this.longest = min(Infinity, ...this.waves.map((wave) => wave.longest));
    this.sourceEnd = wholeCycles(this.waves, plan);
  }

  get time(): number {
    return this.steps.time;
  }

  /** Goes from the state that stands in the equations to the end of the plan. */
  follow(onProgress?: (share: number) => void): Ending {
    this.restart();
    this.samples.stepped(0);
    this.notice();
    let told = 0;
    while (this.time < this.plan.seconds - this.near && !this.stopped) {
      const target = this.nextMark();
      const ended = this.advance(target);
      if (ended) return ended;
      if (this.stopped) {
        this.notice();
        break;
      }
      this.steps.time = target;
      if (!this.jump()) return 'stuck';
      this.notice();
      const share = this.time / this.plan.seconds;
      if (!onProgress || share < told + 0.01) continue;
      told = share;
      onProgress(share);
    }
    return 'done';
  }

  /** After the state has changed at an instant. */
  private restart(): void {
    this.steps.begin();
    this.charge.begin(this.steps.start);
    this.wanted = this.steps.firstStep();
  }

  private nextMark(): number {
    let mark = min(this.plan.seconds, this.samples.due);
    for (let i = 0; i < this.waves.length; i++) mark = min(mark, this.waves[i]!.nextJump());
    if (!this.whole) mark = min(mark, this.plan.settle);
    if (this.framed) mark = min(mark, this.framed.from + this.plan.frame!);
    if (this.sourced && this.sourceEnd > this.time + this.near) mark = min(mark, this.sourceEnd);
    return max(mark, this.time + this.near);
  }

  /** Steps to `target`; switchings on the way are met at their instants. */
  private advance(target: number): Ending | undefined {
    while (target - this.time > this.near && !this.stopped) {
      if (this.taken++ > LIMITS.timeSteps) return 'too long';
      if (this.standsStill()) return 'stuck';
      this.stopped ||= this.taken > (this.ending.most ?? Infinity);
      const left = target - this.time;
      let h = min(this.wanted, this.longest, left);
      if (h < left && left < 2 * h) h = left / 2;
      const error = this.steps.attempt(h, h === left);
      if (!(error <= 1)) {
        this.wanted = error < Infinity ? this.steps.nextStep(h, error) : h / 8;
        if (this.wanted > LIMITS.instantSeconds + 1e-13 * this.time) continue;
        if (!this.leap(h)) return 'stuck';
        continue;
      }
      const ended = this.takeStep(h, error);
      if (ended) return ended;
    }
    return undefined;
  }

  /** Whether so many steps have been tried without getting on: at an instant that the circuit has no way out of. */
  private standsStill(): boolean {
    if (this.time - this.reached > this.near) {
      this.reached = this.time;
      this.triedHere = 0;
    }
    return ++this.triedHere > LIMITS.stepsAtAnInstant;
  }

  /** Accepts the attempted step, or the part of it up to a switching. */
  private takeStep(h: number, error: number): Ending | undefined {
    const { x } = this.compiled.equations;
    if (this.latches.all.length === 0 || !this.crosses(x)) {
      this.accept(h);
      const next = this.steps.nextStep(h, error);
      // A step that was cut short at a mark says only that a longer one may do.
      this.wanted = h < this.wanted ? max(this.wanted, next) : next;
      return undefined;
    }
    const before = this.latches.margin(this.steps.start);
    const end = this.latches.margin(x) > 0 ? h : h * (2 - Math.SQRT2);
    const marginAt = (part: number) => (this.steps.attempt(part) < Infinity ? this.latches.margin(x) : NaN);
    const at = locateCrossing(before, end, marginAt, SWITCHED);
    if (at === undefined) {
      this.wanted = h / 8;
      return undefined;
    }
    this.accept(at);
    return this.settleLatches() ? undefined : 'stuck';
  }

  private crosses(x: Float64Array): boolean {
    return this.latches.margin(x) > 0 || this.latches.margin(this.steps.middle) > 0;
  }

  private accept(h: number): void {
    this.charge.add(h, this.steps.start, this.steps.middle, this.compiled.equations.x);
    this.steps.accept(h);
    this.samples.stepped(this.time);
  }

  /** Switches latches at this instant until none moves; false when they do not come to rest. */
  private settleLatches(): boolean {
    if (this.latches.all.length === 0) return true;
    const { x } = this.compiled.equations;
    const noted = (latch: number, high: boolean) => {
      this.events.push({ time: this.time, output: this.latches.outputs[latch]!, high });
      this.cycles?.[latch]!.edge(this.time, high, this.charge.total);
    };
    let round = 0;
    for (; this.latches.move(x, noted); round++) {
      if (round >= LIMITS.switchings || !this.steps.hold()) return false;
      this.restart();
    }
    if (round > 0) this.switched();
    return true;
  }

  /** After something has switched at this instant. */
  private switched(): void {
    this.samples.stepped(this.time);
    this.stopped ||= this.ending.enough?.(this.events) ?? false;
  }

  /** Lets sources jump that have their jump now. */
  private jump(): boolean {
    let jumps = false;
    for (let i = 0; i < this.waves.length; i++) {
      if (this.waves[i]!.nextJump() > this.time + this.near) continue;
      this.waves[i]!.enter(this.time);
      jumps = true;
    }
    if (!jumps) return true;
    if (!this.steps.hold()) return false;
    this.restart();
    this.samples.stepped(this.time);
    return this.settleLatches();
  }

  /** Where the state ends that the circuit is in (a fold): on to the one that it falls into. */
  private leap(h: number): boolean {
    for (let ahead = 8 * h, tries = 0; tries < LIMITS.switchings; tries++, ahead *= 2) {
      if (!this.steps.hold(ahead)) continue;
      this.restart();
      return this.settleLatches();
    }
    return false;
  }

  /** Notes what is due at this instant: samples, the start of counting, the ends of windows. */
  private notice(): void {
    const { time } = this;
    const reached = (mark: number) => mark <= time + this.near;
    while (reached(this.samples.due)) this.samples.record();
    if (!this.whole && reached(this.plan.settle)) {
      this.whole = openWindow(time, this.charge.total);
      this.sourced = openWindow(time, this.charge.total);
      this.cycles = this.latches.all.map((latch) => new CycleCount(latch.high(), time, this.plan.skip));
    }
    this.noticeFrame();
    if (this.whole) closeWindow(this.whole, time, this.charge.total);
    if (this.sourced && this.sourced.to < this.sourceEnd && reached(this.sourceEnd)) {
      closeWindow(this.sourced, this.sourceEnd, this.charge.total);
    }
  }

  /** Closes a frame that has its length, and opens the next. */
  private noticeFrame(): void {
    const { time, plan, framed } = this;
    if (plan.frame === undefined) return;
    if (framed && time < framed.from + plan.frame - this.near) return;
    if (framed) {
      closeWindow(framed, time, this.charge.total);
      this.frames.push(this.charge.meansOver(framed).parts);
    }
    this.framed = openWindow(time, this.charge.total);
  }

  private frameMeans(): Pick<Run, 'frames'> {
    if (this.plan.frame === undefined) return {};
    const column = (i: number) => Float64Array.from(this.frames, (parts) => parts[i]!);
    return {
      frames: Object.fromEntries(this.compiled.placed.map(({ part }, i) => [part.id, column(i)])),
    };
  }

  report(): Run {
    const samples = this.samples.taken();
    const counts = this.cycles ?? [];
    const window = this.meanWindow(counts);
    const over = window.to > window.from ? this.charge.meansOver(window) : undefined;
    const { placed, nodes } = this.compiled;
    const means = placed.map(
      ({ part }, i) => [part.id, over ? over.parts[i]! : samples.parts[part.id]!.amps[0]!] as const,
    );
    const nodeMeans = nodes.map(
      (name, i) => [name, over ? over.nodes[i]! : samples.nodes[name]![0]!] as const,
    );
    const cycles = counts.map((count, i) => [this.latches.outputs[i]!, count.report()] as const);
    return {
      ...samples,
      cycles: Object.fromEntries(cycles),
      means: Object.fromEntries(means),
      nodeMeans: { [this.compiled.circuit.ground]: 0, ...Object.fromEntries(nodeMeans) },
      window: [window.from, window.to],
      events: this.events,
      ...this.frameMeans(),
      ended: this.time,
      steps: this.taken,
    };
  }

  /** Whole cycles of the slowest timer output, else of the slowest source, else everything after settling. */
  private meanWindow(counts: readonly CycleCount[]): Window {
    let slowest: { period: number; window: Window } | undefined;
    for (const count of counts) {
      const { period } = count.report();
      if (period !== null && count.window && period > (slowest?.period ?? 0))
        slowest = { period, window: count.window };
    }
    if (slowest) return slowest.window;
    if (this.sourced && this.sourced.to > this.sourced.from) return this.sourced;
    // Enough may have been seen before it had settled.
    return this.whole ?? openWindow(this.time, this.charge.total);
  }
}

/** The end of the last whole period of the slowest source after settling; before the start when there is none. */
function wholeCycles(waves: readonly Wave[], { settle, seconds }: RunPlan): number {
  const period = max(0, ...waves.map((wave) => wave.period));
  if (period === 0) return -Infinity;
  const whole = Math.floor((seconds - settle) / period + 1e-9);
  return whole > 0 ? min(settle + whole * period, seconds) : -Infinity;
}

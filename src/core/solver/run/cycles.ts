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
  /** Of an output that another holds back: what stands above is within its bursts, this is of the bursts. */
  readonly bursts?: { readonly pulses: number; readonly every: number };
}

/** One round of an output, from rising edge to rising edge. */
export interface Round {
  readonly from: number;
  readonly period: number;
  readonly high: number;
}

/** A round so many times as long as the usual one has a pause in it. */
const PAUSE = 2.5;

/** Follows the edges of one output after the settling time. */
export class CycleCount {
  /** From the first to the last rising edge. */
  window: Window | undefined;
  private readonly rounds: Round[] = [];
  private risen: number | undefined;
  private fallen: number | undefined;
  private lastHigh: number | undefined;
  private lastLow: number | undefined;

  /**
   * @param high whether the output is up as counting begins, at `time`
   * @param skip rising edges that open no round
   */
  constructor(
    high: boolean,
    time: number,
    private skip = 0,
  ) {
    if (high) this.risen = time;
    else this.fallen = time;
  }

  edge(time: number, high: boolean, charge: Float64Array): void {
    if (high) this.rise(time, charge);
    else this.fall(time);
  }

  private rise(time: number, charge: Float64Array): void {
    const { risen, fallen } = this;
    if (fallen !== undefined) this.lastLow = time - fallen;
    this.risen = time;
    if (this.skip > 0) {
      this.skip--;
      return;
    }
    if (!this.window) {
      this.window = openWindow(time, charge);
      return;
    }
    this.rounds.push({ from: risen!, period: time - risen!, high: fallen! - risen! });
    closeWindow(this.window, time, charge);
  }

  private fall(time: number): void {
    if (this.risen !== undefined) {
      this.lastHigh = time - this.risen;
    }
    this.fallen = time;
  }

  report(): Cycle {
    const { window, rounds } = this;
    const cycles = rounds.length;
    if (!window || cycles === 0) {
      const spells = { high: this.lastHigh ?? null, low: this.lastLow ?? null };
      return { period: null, ...spells, hertz: null, duty: null, cycles: 0 };
    }
    const { within, bursts } = burstsOf(rounds);
    const period = mean(within.map((round) => round.period));
    const high = mean(within.map((round) => round.high));
    const times = { period, high, low: period - high, hertz: 1 / period, duty: high / period, cycles };
    return bursts ? { ...times, bursts } : times;
  }
}

/**
 * The rounds within bursts, and how the bursts follow one another; all rounds of an output that never pauses. The first
 * round of a burst begins from a capacitor at rest and is longer than the others: it counts only where there is no other.
 */
export function burstsOf(
  rounds: readonly Round[],
): Pick<Cycle, 'bursts'> & { readonly within: readonly Round[] } {
  const usual = [...rounds].sort((a, b) => a.period - b.period)[Math.floor(rounds.length / 4)]!.period;
  const paused = (round: Round) => round.period > PAUSE * usual;
  const pauses = rounds.filter(paused);
  if (pauses.length === 0) return { within: rounds };
  const inside = rounds.filter((round) => !paused(round));
  const later = rounds.filter((round, i) => i > 0 && !paused(round) && !paused(rounds[i - 1]!));
  const within = later.length > 0 ? later : inside;
  if (pauses.length < 2) return { within };
  const every = (pauses[pauses.length - 1]!.from - pauses[0]!.from) / (pauses.length - 1);
  const between = rounds.indexOf(pauses[pauses.length - 1]!) - rounds.indexOf(pauses[0]!);
  return { within, bursts: { pulses: between / (pauses.length - 1), every } };
}

export function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

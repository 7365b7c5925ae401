import type { Amps, Seconds, Volts } from '../quantities/units';
import { isGapped, isProbed, type Checkpoint } from './checkpoint';
import { METER, nodeAt } from './meter';
import type { Moving, Observation } from './observation';
import { reportOf } from './observe';

/** A hand meter follows what changes less often than this in a second, and people note what it shows by turns. */
const FOLLOWED = 3;
/** What changes more often than this is shown as its mean by any hand meter. */
const BLURRED = 10;
/** Values nearer to one another than this share are one figure to anybody. */
const APART_SHARE = 0.03;

/** What a meter shows of something that comes and goes: its mean, and the two values that it goes between. */
export interface Turns {
  readonly mean: Volts | Amps;
  readonly high: Volts | Amps;
  readonly low: Volts | Amps;
  /** How often it changes from the one to the other, per second. */
  readonly changes: number;
}

/**
 * The two values that a figure goes between over the window of a run: the means of what lies above and below the middle.
 *
 * @param valueAt the figure at each sample of the run
 */
export function turnsOf({ run, window }: Moving, valueAt: (sample: number) => number): Turns {
  const { time } = run;
  const [from, to] = window;
  const inside: number[] = [];
  for (let i = 0; i < time.length; i++) if (time[i]! >= from && time[i]! <= to) inside.push(i);
  const values = inside.map(valueAt);
  const [least, most] = [
    values.reduce((a, b) => Math.min(a, b), Infinity),
    values.reduce((a, b) => Math.max(a, b), -Infinity),
  ];
  const middle = (least + most) / 2;
  const sums = { above: [0, 0], below: [0, 0] };
  let changes = 0;
  for (let k = 1; k < values.length; k++) {
    const [before, now] = [values[k - 1]!, values[k]!];
    const span = time[inside[k]!]! - time[inside[k - 1]!]!;
    if (before > middle !== now > middle) changes++;
    // A step that crosses the middle belongs to neither.
    else {
      const own = now > middle ? sums.above : sums.below;
      own[0]! += (span * (before + now)) / 2;
      own[1]! += span;
    }
  }
  const [above, below] = [sums.above, sums.below].map(([sum, span]) =>
    span! > 0 ? sum! / span! : undefined,
  );
  const whole = sums.above[1]! + sums.below[1]!;
  return {
    mean: whole > 0 ? (sums.above[0]! + sums.below[0]!) / whole : middle,
    high: above ?? middle,
    low: below ?? middle,
    changes: to > from ? changes / (to - from) : 0,
  };
}

/** What a probe or a lifted leg shows by turns; undefined where a leg of it is not on the board. */
export function turnsAt(seen: Moving, point: Checkpoint): Turns | undefined {
  const { run, circuit } = seen;
  if (isProbed(point)) {
    const [a, b] = [nodeAt(circuit, point.from), nodeAt(circuit, point.to)];
    if (a === undefined || b === undefined) return undefined;
    const [over, under] = [run.nodes[a], run.nodes[b]];
    return turnsOf(seen, (i) => (over?.[i] ?? 0) - (under?.[i] ?? 0));
  }
  return isGapped(point) ? turnsThrough(seen, point.gap.part, point.gap.pin) : undefined;
}

/** The current out of a leg of a part, or into it of any but its first. */
export function turnsThrough(seen: Moving, id: string, pin: string): Turns | undefined {
  const amps = seen.run.parts[id]?.amps;
  const part = seen.circuit.parts.find((one) => one.id === id);
  if (!amps || !part) return undefined;
  const sign = pin === Object.keys(part.pins)[0] ? -1 : 1;
  return turnsOf(seen, (i) => sign * amps[i]!);
}

/** What the meter that was put in carries: its mean, or of what it follows the value that is asked for. */
export function meterAmps(seen: Observation, by: 'high' | 'low' | undefined): Amps {
  const turns = by && seen.kind === 'moving' ? turnsThrough(seen, METER, 'b') : undefined;
  return turns && by ? shownOf(turns, by) : reportOf(seen, METER).amps;
}

/** Whether a hand meter can follow what goes round so often: it changes twice a round. */
export function isFollowed(period: Seconds): boolean {
  return 2 / period < FOLLOWED;
}

/** The value that is asked for, where a meter follows; else the mean. */
export function shownOf({ high, low, mean, changes }: Turns, by: 'high' | 'low'): number {
  if (changes >= BLURRED) return mean;
  return by === 'high' ? high : low;
}

/**
 * Checkpoints as a hand meter can read them: where it follows what comes and goes, the values that it shows by turns take
 * the place of a mean that it never shows.
 */
export function asFollowed(points: readonly Checkpoint[], seen: Moving): Checkpoint[] {
  return points.flatMap((point): Checkpoint[] => {
    const isMean = point.measure === 'meanVolts' || point.measure === 'meanAmps';
    const turns = isMean && !point.held ? turnsAt(seen, point) : undefined;
    if (!turns || turns.changes >= FOLLOWED || !isApart(turns)) return [point];
    const one = (by: 'high' | 'low'): Checkpoint => {
      const id = by === 'high' ? point.id : `${point.id} low`;
      if (isProbed(point)) return { ...point, id, measure: 'volts', by };
      return isGapped(point) ? { ...point, id, measure: 'amps', by } : point;
    };
    // Across a lamp's resistor there is nothing while the lamp is dark.
    const both = point.kind !== 'resistor' || Math.abs(turns.low) > APART_SHARE * Math.abs(turns.high);
    return both ? [one('high'), one('low')] : [one('high')];
  });
}

function isApart({ high, low }: Turns): boolean {
  return high - low > APART_SHARE * Math.max(Math.abs(high), Math.abs(low));
}

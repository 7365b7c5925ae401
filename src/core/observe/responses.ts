import { partOf, withPart, type Circuit, type Part } from '../circuit/circuit';
import { deviceOf } from '../circuit/deviceOf';
import type { Spread } from '../devices/device';
import { keyOf, uniform } from '../numerics/random';
import { quantile } from '../numerics/quantile';
import { drawn } from '../tolerance/draw';
import type { Band } from '../tolerance/bands';
import { meterAmps, shownOf, turnsAt, turnsThrough } from './byTurns';
import { isGapped, isProbed, isTimed, UNITS, type Checkpoint, type Gapped, type Probed } from './checkpoint';
import { hangingNodes } from './hanging';
import { JACK_OHMS, metered, nodeAt, VOLTMETER_OHMS, type MeterUse } from './meter';
import type { Observation } from './observation';
import { observe, reportOf } from './observe';
import { isProgrammed } from './programmed';
import { watched } from './read';

/** How a meter is used at each checkpoint, and the ohms that it puts in series there. */
export interface Metering {
  meterUseAt(point: Checkpoint): MeterUse;
  readonly burdens: readonly number[];
}

/** What a spread by itself does to every reading, at both of its ends. */
interface Reach {
  readonly part: string;
  readonly spread: Spread & { readonly key: number };
  readonly low: readonly number[];
  readonly high: readonly number[];
}

/** The readings of a moving build with all parts at their nominal values, and how they follow each spread. */
export interface Responses {
  readonly typical: readonly number[];
  readonly reaches: readonly Reach[];
}

/**
 * Readings of a build that moves, at checkpoints that are held alike, off one run: ten megohms disturb no output, lamp or
 * supply. A current is run once more with the meter's ohms in its way, and volts at what hangs in the air with its ten
 * megohms there.
 *
 * @returns undefined where a leg that is needed is not on the board, or where the build cannot be followed
 */
export function readMoving(
  circuit: Circuit,
  points: readonly Checkpoint[],
  metering: Metering,
): number[] | undefined {
  const seen = observe(circuit);
  return seen.ok ? readingsIn(seen.value, points, metering) : undefined;
}

/** The same off a build that has been observed. */
export function readingsIn(
  seen: Observation,
  points: readonly Checkpoint[],
  { meterUseAt, burdens }: Metering,
): number[] | undefined {
  const hanging = hangingNodes(seen);
  const values = points.map((point, i): number | undefined => {
    const use = meterUseAt(point);
    if (isProbed(point)) return voltsIn(seen, point, use, hanging);
    if (!isGapped(point)) {
      const reading = watched(seen, point);
      return reading.ok && reading.value.kind === 'figure' ? reading.value.value : 0;
    }
    if (use === 'fuse-blown') return 0;
    const burden = burdens[i] ?? 0;
    if (use === 'across-lamp') return currentWith(seen.circuit, point, use, burden || JACK_OHMS);
    if (burden > 0) return currentWith(seen.circuit, point, use, burden);
    return (use === 'swapped' ? -1 : 1) * currentIn(seen, point);
  });
  return values.every((value): value is number => value !== undefined) ? values : undefined;
}

function voltsIn(
  seen: Observation,
  point: Probed,
  use: MeterUse,
  hanging: ReadonlySet<string>,
): number | undefined {
  if (use === 'current-jack') return 0;
  const [a, b] = [nodeAt(seen.circuit, point.from), nodeAt(seen.circuit, point.to)];
  if (a === undefined || b === undefined) return undefined;
  if (a === b) return 0;
  if (hanging.has(a) || hanging.has(b)) {
    const amps = currentWith(seen.circuit, point, use, 0);
    if (amps !== undefined) return amps * VOLTMETER_OHMS;
  }
  const turns = point.by && seen.kind === 'moving' ? turnsAt(seen, point) : undefined;
  if (turns) return (use === 'swapped' ? -1 : 1) * shownOf(turns, point.by!);
  return (use === 'swapped' ? -1 : 1) * ((seen.nodes[a] ?? 0) - (seen.nodes[b] ?? 0));
}

/** The current out of a leg, by the part's own mean. */
function currentIn(seen: Observation, { gap, by }: Gapped): number {
  const turns = by && seen.kind === 'moving' ? turnsThrough(seen, gap.part, gap.pin) : undefined;
  if (turns) return shownOf(turns, by!);
  const part = partOf(seen.circuit, gap.part);
  if (!part) return 0;
  const first = Object.keys(part.pins)[0];
  return (gap.pin === first ? -1 : 1) * reportOf(seen, gap.part).amps;
}

/** What a meter shows, in amperes through it, that is put into a build at a checkpoint; undefined where it cannot be. */
export function currentWith(
  circuit: Circuit,
  point: Probed | Gapped,
  use: MeterUse,
  burden: number,
): number | undefined {
  const put = metered(circuit, point, use, burden);
  const during = put && observe(put.circuit);
  return during?.ok ? put!.sign * meterAmps(during.value, point.by) : undefined;
}

/**
 * How the readings of a moving build follow each spread by itself: the build is run with that part at either end of it.
 * A time follows its resistors and its capacitor as a product, so that what the spreads do multiplies; the test compares
 * draws made of this with draws that are each run whole.
 *
 * @param ends both of them, or one that the other is taken to mirror
 */
export function responsesOf(
  circuit: Circuit,
  points: readonly Checkpoint[],
  metering: Metering,
  ends: 'one' | 'both' = 'both',
): Responses | undefined {
  const seen = observe(circuit);
  const typical = seen.ok ? readingsIn(seen.value, points, metering) : undefined;
  if (!seen.ok || !typical) return undefined;
  // The meter's own ohms take the same share of a current whatever the parts: the ends are read without it.
  const free: Metering = { ...metering, burdens: points.map(() => 0) };
  const plain = points.some(isGapped) ? readMoving(circuit, points, free) : typical;
  const at = (part: string, field: string, value: number) => {
    const changed = withPart(
      circuit,
      part,
      (p) => ({ ...p, params: { ...p.params, [field]: value } }) as Part,
    );
    const read = readMoving(changed, points, free) ?? plain ?? typical;
    return read.map((figure, i) => (plain?.[i] ? (figure * typical[i]!) / plain[i]! : figure));
  };
  // Parts move no time that a program sets.
  const spreads =
    points.every(isTimed) && isProgrammed(circuit)
      ? []
      : spreadsOf(circuit).filter(({ part }) => !isIdle(seen.value, part));
  const reaches = spreads.map(({ part, spread }): Reach => {
    const low = at(part, spread.field, spread.low);
    const high = ends === 'both' ? at(part, spread.field, spread.high) : mirrored(low, typical, spread);
    return { part, spread, low, high };
  });
  return { typical, reaches };
}

/** What the other end of a spread would do if this one's share went on: enough while somebody types. */
function mirrored(low: readonly number[], typical: readonly number[], spread: Spread): number[] {
  const further = (spread.high - spread.mode) / (spread.mode - spread.low || 1);
  return low.map((figure, i) => {
    const ratio = figure / typical[i]!;
    return ratio > 0 && ratio < Infinity ? typical[i]! * ratio ** -further : typical[i]!;
  });
}

/** Current below which a part that bends is off. */
const OFF_AMPS = 1e-8;

/** A lamp or a transistor that never comes on: where in its spread it lies makes no difference. */
function isIdle(seen: Observation, id: string): boolean {
  const kind = partOf(seen.circuit, id)?.kind;
  if (seen.kind === 'still' || (kind !== 'led' && kind !== 'transistor')) return false;
  return seen.run.parts[id]!.amps.every((amps) => Math.abs(amps) < OFF_AMPS);
}

function spreadsOf(circuit: Circuit) {
  return circuit.parts.flatMap((part) =>
    deviceOf(part)
      .spreads(part.params)
      .map((spread) => ({ part: part.id, spread: { ...spread, key: keyOf(`${part.id}.${spread.field}`) } })),
  );
}

/** Whether what the spreads do to a reading multiplies: it keeps its sign over all of them. */
function multiplies({ typical, reaches }: Responses, i: number): boolean {
  const y = typical[i]!;
  return y !== 0 && reaches.every(({ low, high }) => low[i]! / y > 0 && high[i]! / y > 0);
}

/** What one spread at a value does to a reading: added to its logarithm where that multiplies, else to itself. */
function effect(
  { spread, low, high }: Reach,
  i: number,
  typical: number,
  log: boolean,
  value: number,
): number {
  const away = (figure: number) => (log ? Math.log(figure / typical) : figure - typical);
  const [to, from, s] = [spread.high - spread.mode, spread.low - spread.mode, value - spread.mode];
  const [above, below] = [away(high[i]!), away(low[i]!)];
  if (to <= 0 || from >= 0) return to > 0 ? (above * s) / to : from < 0 ? (below * s) / from : 0;
  // The parabola through both ends and the nominal value.
  return (below * s * (s - to)) / (from * (from - to)) + (above * s * (s - from)) / (to * (to - from));
}

/** Draws of every reading; draw k has the same parts as draw k of any other circuit with this seed. */
export function drawResponses(responses: Responses, seed: number, samples: number): Float64Array[] {
  const { typical, reaches } = responses;
  const logs = typical.map((_, i) => multiplies(responses, i));
  const found = typical.map(() => new Float64Array(samples));
  for (let draw = 0; draw < samples; draw++) {
    const values = reaches.map(({ spread }) => drawn(spread, uniform(seed, draw, spread.key)));
    for (let i = 0; i < typical.length; i++) {
      let sum = 0;
      for (let k = 0; k < reaches.length; k++)
        sum += effect(reaches[k]!, i, typical[i]!, logs[i]!, values[k]!);
      found[i]![draw] = logs[i] ? typical[i]! * Math.exp(sum) : typical[i]! + sum;
    }
  }
  return found;
}

/** Typical figure, band and worst corners of every reading. */
export function bandResponses(
  points: readonly Checkpoint[],
  responses: Responses,
  sorted: readonly Float64Array[],
  coverage: number,
): Band[] {
  return points.map((point, i): Band => {
    const typical = responses.typical[i]!;
    const log = multiplies(responses, i);
    const ends = responses.reaches.map((reach) => {
      const { low, high } = reach.spread;
      return [low, high, reach.spread.mode].map((value) => effect(reach, i, typical, log, value));
    });
    const far = (pick: (...values: number[]) => number) =>
      ends.reduce((sum, effects) => sum + pick(...effects), 0);
    const at = (sum: number) => (log ? typical * Math.exp(sum) : typical + sum);
    // A rate, a count or a time is never below none.
    const least = isTimed(point) ? 0 : -Infinity;
    const corners = [at(far(Math.min)), at(far(Math.max))].map((corner) => Math.max(least, corner));
    return {
      id: point.id,
      unit: UNITS[point.measure] || 'V',
      typical,
      low: Math.max(least, quantile(sorted[i]!, (1 - coverage) / 2)),
      high: quantile(sorted[i]!, (1 + coverage) / 2),
      worstLow: Math.min(...corners),
      worstHigh: Math.max(...corners),
    };
  });
}

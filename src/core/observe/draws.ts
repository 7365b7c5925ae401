import type { MeterFigures } from '../catalogue/meter';
import type { Check, Circuit } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { bandsOf, drawSlice, type Band, type BandOptions } from '../tolerance/bands';
import { isGapped, isProbed, type Checkpoint } from './checkpoint';
import { setByHand, withHeld } from './held';
import { burdenAt, METER, metered, nodeAt, VOLTMETER_OHMS, type MeterUse } from './meter';
import type { Observation } from './observation';
import { observe, reportOf, tied } from './observe';
import { gapAmps, read } from './read';

/** A circuit whose checks are the readings of some checkpoints, so that one draw gives all of them. */
interface Bench {
  readonly circuit: Circuit;
  /** Places of its checkpoints in the list that was asked for, in the order of the checks. */
  readonly points: readonly number[];
  readonly sign: 1 | -1;
}

/** Draws of one checkpoint, in the order of their numbers; undefined where it cannot be read. */
export type Drawn = readonly (Float64Array | undefined)[];

/** Meters that move a reading by less than this do not disturb one another and are put in together. */
const UNDISTURBED = { share: 2e-4, volts: 1e-4 } as const;

/**
 * What the checkpoints of a build read from part to part, with the meter in the circuit. Draw k of every checkpoint
 * has the same parts.
 *
 * @param meterUseAt how the meter is used at each checkpoint
 * @param burdens ohms of the meter in series at each checkpoint, as `burdensFor` gives them
 */
export function drawPoints(
  circuit: Circuit,
  points: readonly Checkpoint[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  burdens: readonly number[],
  { samples, seed }: Pick<BandOptions, 'samples' | 'seed'>,
): Drawn {
  const found: (Float64Array | undefined)[] = points.map(() => undefined);
  points.forEach((point, i) => {
    const use = meterUseAt(point);
    if (use === 'current-jack' && isProbed(point)) found[i] = new Float64Array(samples);
    if (use === 'fuse-blown' && isGapped(point)) found[i] = new Float64Array(samples);
  });
  const left = points.flatMap((point, i) => (found[i] ? [] : [{ point, i }]));
  for (const bench of benchesFor(circuit, left, meterUseAt, burdens)) {
    const slice = drawSlice(bench.circuit, seed, 0, samples);
    if (!slice.ok || slice.value.unsettled > 0) continue;
    bench.points.forEach((place, k) => {
      const values = slice.value.values[k]!;
      found[place] = bench.sign < 0 ? values.map((value) => -value) : values;
    });
  }
  return found;
}

type Place = { readonly point: Checkpoint; readonly i: number };

function* benchesFor(
  circuit: Circuit,
  places: readonly Place[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  burdens: readonly number[],
): Generator<Bench> {
  for (const group of byHeld(places)) {
    const held = setByHand(withHeld(circuit, group[0]!.point.held));
    const volts = group.filter(({ point }) => isProbed(point));
    yield* voltBenches(held, volts, meterUseAt);
    for (const { point, i } of group) {
      if (!isGapped(point)) continue;
      const put = metered(held, point, meterUseAt(point), burdens[i]!);
      if (!put) continue;
      const checks: Check[] = [{ id: point.id, measure: 'amps', part: METER }];
      yield { circuit: ready({ ...put.circuit, checks }), points: [i], sign: put.sign };
    }
  }
}

/** One bench for all probes that do not disturb one another, and one each for those that would. */
function* voltBenches(
  circuit: Circuit,
  places: readonly Place[],
  meterUseAt: (point: Checkpoint) => MeterUse,
): Generator<Bench> {
  const there = places.filter(({ point }) => endsOf(circuit, point) !== undefined);
  const together = withMeters(circuit, there);
  const all = observe(together);
  const calm = there.filter((place) => all.ok && undisturbed(circuit, place, all.value));
  const signs = new Map([1, -1].map((sign) => [sign, [] as Place[]]));
  for (const place of calm) signs.get(meterUseAt(place.point) === 'swapped' ? -1 : 1)!.push(place);
  for (const [sign, group] of signs) {
    if (group.length === 0) continue;
    const checks = group.map((place) => voltCheck(circuit, place));
    const points = group.map(({ i }) => i);
    yield { circuit: ready({ ...withMeters(circuit, calm), checks }), points, sign: sign as 1 | -1 };
  }
  for (const place of there.filter((one) => !calm.includes(one))) {
    const circuits = { ...withMeters(circuit, [place]), checks: [voltCheck(circuit, place)] };
    yield {
      circuit: ready(circuits),
      points: [place.i],
      sign: meterUseAt(place.point) === 'swapped' ? -1 : 1,
    };
  }
}

/** A circuit as it is drawn many times: nothing hangs in the air, and wires are looked through. */
export function ready(circuit: Circuit): Circuit {
  return tied(withoutWires(circuit));
}

function byHeld(places: readonly Place[]): Place[][] {
  const groups = new Map<string, Place[]>();
  for (const place of places) {
    const key = JSON.stringify(place.point.held ?? {});
    groups.set(key, [...(groups.get(key) ?? []), place]);
  }
  return [...groups.values()];
}

function endsOf(circuit: Circuit, point: Checkpoint): readonly [string, string] | undefined {
  if (!isProbed(point)) return undefined;
  const [from, to] = [nodeAt(circuit, point.from), nodeAt(circuit, point.to)];
  return from === undefined || to === undefined ? undefined : [from, to];
}

function withMeters(circuit: Circuit, places: readonly Place[]): Circuit {
  const meters = places.map(({ point, i }) => {
    const [a, b] = endsOf(circuit, point)!;
    const params = { ohms: VOLTMETER_OHMS, tolerance: 0, watts: 1e3 };
    return { id: `${METER} ${i}`, kind: 'resistor' as const, pins: { a, b }, params };
  });
  return { ...circuit, parts: [...circuit.parts, ...meters] };
}

function voltCheck(circuit: Circuit, { point }: Place): Check {
  const [from, to] = endsOf(circuit, point)!;
  return { id: point.id, measure: 'volts', from, to };
}

/** Whether a probe reads with all the others in place what it reads alone. */
function undisturbed(circuit: Circuit, place: Place, all: Observation): boolean {
  const alone = observe(withMeters(circuit, [place]));
  if (!alone.ok) return false;
  const own = reportOf(alone.value, `${METER} ${place.i}`).volts;
  const among = reportOf(all, `${METER} ${place.i}`).volts;
  return Math.abs(own - among) < UNDISTURBED.share * Math.abs(own) + UNDISTURBED.volts;
}

/** The meter's ohms in series at each checkpoint, on the range that the build's own current wants; 0 for volts. */
export function burdensFor(circuit: Circuit, points: readonly Checkpoint[], meter: MeterFigures): number[] {
  return points.map((point) => {
    if (!isGapped(point)) return 0;
    const seen = observe(withHeld(circuit, point.held));
    if (!seen.ok) return burdenAt(meter, 0);
    return burdenAt(meter, gapAmps(seen.value, point));
  });
}

/** The band of one checkpoint and its draws in order of size. */
export interface PointBand {
  readonly band: Band;
  readonly sorted: Float64Array;
  readonly unsettled: number;
}

/**
 * Typical figure, band and worst corners of every checkpoint that a meter reads, from part to part.
 *
 * @returns in the order of the checkpoints, or why a circuit does not settle
 */
export function bandPoints(
  circuit: Circuit,
  points: readonly Checkpoint[],
  burdens: readonly number[],
  options: BandOptions,
): Outcome<PointBand[]> {
  const found: PointBand[] = [];
  const places = points.map((point, i) => ({ point, i }));
  for (const bench of benchesFor(circuit, places, () => 'right', burdens)) {
    const slice = drawSlice(bench.circuit, options.seed, 0, options.samples);
    if (!slice.ok) return slice;
    const bands = bandsOf(bench.circuit, [slice.value], options);
    if (!bands.ok) return bands;
    bench.points.forEach((place, k) => {
      const { unsettled, sorted } = bands.value;
      found[place] = { band: bands.value.bands[k]!, sorted: sorted[k]!, unsettled };
    });
  }
  const missed = points.find((_, i) => !found[i]);
  if (missed) return refused(finding('not-on-board', { part: missed.part, kind: missed.kind }));
  return accepted(found);
}

/** What every checkpoint reads with all parts at their nominal values; undefined where it cannot be read. */
export function typicalReadings(
  circuit: Circuit,
  points: readonly Checkpoint[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  meter: MeterFigures,
): (number | undefined)[] {
  const seen = observe(circuit);
  if (!seen.ok) return points.map(() => undefined);
  return points.map((point) => {
    const reading = read(seen.value, point, meterUseAt(point), meter);
    return reading.ok && reading.value.kind === 'figure' ? reading.value.value : undefined;
  });
}

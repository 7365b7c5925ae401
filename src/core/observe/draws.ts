import type { MeterFigures } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import { keyOf, uniform } from '../numerics/random';
import type { Amps } from '../quantities/units';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { bandsOf, drawSlice, everyDraw, type Band, type BandOptions } from '../tolerance/bands';
import { isEitherWay, isGapped, isProbed, isTimed, KEPT_SHARE, type Checkpoint } from './checkpoint';
import { benchesFor, byMotion, observeHeld, type Place } from './benches';
import { hearsSound, withHeld } from './held';
import { burdenAt, type MeterUse } from './meter';
import { mayMove, observe } from './observe';
import { gapAmps, read } from './read';
import type { Observation } from './observation';
import { bandResponses, drawResponses, readingsIn, responsesOf, type Metering } from './responses';

/** Draws of one checkpoint, in the order of their numbers; undefined where it cannot be read. */
export type Drawn = readonly (Float64Array | undefined)[];

/**
 * What the checkpoints of a build read from part to part, with the meter in the circuit. Draw k of every checkpoint
 * has the same parts.
 *
 * @param meterUseAt how the meter is used at each checkpoint
 * @param burdens ohms of the meter in series at each checkpoint, as `burdensFor` gives them
 * @param like how the readings of a build that moves alike spread, for one that need only be run once
 */
export function drawPoints(
  circuit: Circuit,
  points: readonly Checkpoint[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  burdens: readonly number[],
  { samples, seed }: Pick<BandOptions, 'samples' | 'seed'>,
  like?: Likeness,
): Drawn {
  const found: (Float64Array | undefined)[] = points.map(() => undefined);
  points.forEach((point, i) => {
    const use = meterUseAt(point);
    if (use === 'current-jack' && isProbed(point)) found[i] = new Float64Array(samples);
    if (use === 'fuse-blown' && isGapped(point)) found[i] = new Float64Array(samples);
  });
  const left = points.flatMap((point, i) => (found[i] ? [] : [{ point, i }]));
  const { still, moving } = byMotion(circuit, left);
  for (const { held, seen, places } of moving) {
    const own = places.map(({ point }) => point);
    if (like) {
      const figures = readingsIn(seen, own, { meterUseAt, burdens: [] });
      if (figures) places.forEach(({ i }, k) => (found[i] = likeDraws(figures[k]!, like, i, seed, samples)));
      continue;
    }
    const spread = responsesOf(held, own, { meterUseAt, burdens: places.map(({ i }) => burdens[i]!) });
    const drawn = spread && drawResponses(spread, seed, samples);
    if (drawn) places.forEach(({ i }, k) => (found[i] = drawn[k]));
  }
  // What does not move flashes never, and is lit for no time.
  for (const { point, i } of still) if (isTimed(point)) found[i] = new Float64Array(samples);
  if (like && circuit.parts.some(hearsSound)) {
    fillLike(found, circuit, still, { meterUseAt, burdens: [] }, like, { samples, seed });
    return found;
  }
  for (const bench of benchesFor(circuit, still, meterUseAt, burdens)) {
    const drawn = everyDraw(bench.circuit, { samples, seed });
    if (!drawn) continue;
    bench.points.forEach((place, k) => {
      const values = drawn[k]!;
      found[place] = bench.sign < 0 ? values.map((value) => -value) : values;
    });
  }
  return found;
}

/** What a build reads in silence, observed once, spread as the right one's readings are: its tones take the time. */
function fillLike(
  found: (Float64Array | undefined)[],
  circuit: Circuit,
  places: readonly Place[],
  metering: Metering,
  like: Likeness,
  { samples, seed }: Pick<BandOptions, 'samples' | 'seed'>,
): void {
  for (const { point, i } of places) {
    if (found[i]) continue;
    const seen = observeHeld(circuit, point.held);
    const figure = seen.ok ? readingsIn(seen.value, [point], metering)?.[0] : undefined;
    if (figure !== undefined) found[i] = likeDraws(figure, like, i, seed, samples);
  }
}

/** How the readings of a build spread: its typical readings without the meter's own ohms, and draws of them with these. */
export interface Likeness {
  readonly typical: readonly number[];
  readonly draws: readonly (Float64Array | undefined)[];
}

/** Where nothing is known of how a reading spreads, it is taken to do so by this share. */
const UNKNOWN_SHARE = 0.1;

/** Draws of a build that moves and has been observed, at checkpoints where nothing is held. */
export function drawsLike(
  seen: Observation,
  points: readonly Checkpoint[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  like: Likeness,
  { samples, seed }: Pick<BandOptions, 'samples' | 'seed'>,
): Float64Array[] | undefined {
  const figures = readingsIn(seen, points, { meterUseAt, burdens: [] });
  return figures?.map((figure, i) => likeDraws(figure, like, i, seed, samples));
}

/** Draws about a figure that spread by the same shares as those of another build. */
function likeDraws(
  figure: number,
  { typical, draws }: Likeness,
  i: number,
  seed: number,
  samples: number,
): Float64Array {
  const [usual, own] = [typical[i]!, draws[i]];
  if (own && usual !== 0) return Float64Array.from({ length: samples }, (_, k) => (figure * own[k]!) / usual);
  const key = keyOf(`reading ${i}`);
  return Float64Array.from(
    { length: samples },
    (_, k) => figure * (1 + UNKNOWN_SHARE * Math.sqrt(3) * (2 * uniform(seed, k, key) - 1)),
  );
}

/**
 * The meter's ohms in series at each checkpoint, on the range that the build's own current wants; 0 for volts.
 *
 * @param plain the build with nothing held, where it has been observed
 */
export function burdensFor(
  circuit: Circuit,
  points: readonly Checkpoint[],
  meter: MeterFigures,
  plain?: Observation,
): number[] {
  return currentsAlone(circuit, points, plain).map((amps) =>
    amps === undefined ? 0 : burdenAt(meter, amps),
  );
}

/** The current at each checkpoint that opens a loop, while no meter is in it; undefined at others. */
export function currentsAlone(
  circuit: Circuit,
  points: readonly Checkpoint[],
  plain?: Observation,
): (Amps | undefined)[] {
  return points.map((point) => {
    if (!isGapped(point)) return undefined;
    if (plain && !point.held) return gapAmps(plain, point);
    const seen = observe(withHeld(circuit, point.held));
    return seen.ok ? gapAmps(seen.value, point) : 0;
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
  const { still, moving } = byMotion(circuit, places);
  for (const { held, places: own } of moving) {
    const group = own.map(({ point }) => point);
    const metering = { meterUseAt: () => 'right' as const, burdens: own.map(({ i }) => burdens[i]!) };
    const responses = responsesOf(held, group, metering, options.ends);
    if (!responses) continue;
    const drawn = drawResponses(responses, options.seed, options.samples).map((values) => values.sort());
    bandResponses(group, responses, drawn, options.coverage).forEach((band, k) => {
      const point = group[k]!;
      found[own[k]!.i] = folded(point, { band: kept(point, band), sorted: drawn[k]!, unsettled: 0 });
    });
  }
  for (const bench of benchesFor(circuit, still, () => 'right', burdens)) {
    const slice = drawSlice(bench.circuit, options.seed, 0, options.samples);
    if (!slice.ok) return slice;
    const bands = bandsOf(bench.circuit, [slice.value], options);
    if (!bands.ok) return bands;
    bench.points.forEach((place, k) => {
      const { unsettled, sorted } = bands.value;
      const band = tidied(bands.value.bands[k]!);
      found[place] = folded(points[place]!, { band, sorted: sorted[k]!, unsettled });
    });
  }
  const missed = points.find((_, i) => !found[i]);
  if (missed) return refused(finding('not-on-board', { part: missed.part, kind: missed.kind }));
  return accepted(found);
}

/** What the arithmetic leaves of nothing is nothing: the volts of a pin that is held low without a load. */
function tidied(band: Band): Band {
  const least = band.unit === 'V' ? NOTHING_VOLTS : NOTHING;
  const none = (value: number) => (Math.abs(value) < least ? 0 : value);
  const { typical, low, high, worstLow, worstHigh } = band;
  return {
    ...band,
    typical: none(typical),
    low: none(low),
    high: none(high),
    worstLow: none(worstLow),
    worstHigh: none(worstHigh),
  };
}

/** Where the probes may be held either way band and draws are those of the figure without its sign. */
function folded(point: Checkpoint, drawn: PointBand): PointBand {
  const { band, sorted } = drawn;
  const { low, high, worstLow, worstHigh, typical } = band;
  if (!isEitherWay(point) || worstLow >= 0) return drawn;
  const fold = (from: number, to: number) =>
    from >= 0 ? [from, to] : to <= 0 ? [-to, -from] : [0, Math.max(-from, to)];
  const [least, most] = fold(worstLow, worstHigh);
  const [lower, upper] = fold(low, high);
  return {
    ...drawn,
    band: {
      ...band,
      typical: Math.abs(typical),
      low: lower!,
      high: upper!,
      worstLow: least!,
      worstHigh: most!,
    },
    sorted: sorted.map(Math.abs).sort(),
  };
}

const NOTHING = 1e-15;
/** Volts that no meter shows, of any range. */
const NOTHING_VOLTS = 1e-6;

/** A time that a program sets does not spread from part to part: right is what anybody takes for it. */
function kept(point: Checkpoint, band: Band): Band {
  if (!isTimed(point) || band.high > band.low * (1 + 1e-9) || band.typical === 0) return band;
  const [low, high] = [band.typical * (1 - KEPT_SHARE), band.typical * (1 + KEPT_SHARE)];
  return { ...band, low, high, worstLow: low, worstHigh: high };
}

/** What every checkpoint reads with all parts at their nominal values; undefined where it cannot be read. */
export function typicalReadings(
  circuit: Circuit,
  points: readonly Checkpoint[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  meter: MeterFigures,
): (number | undefined)[] {
  if (mayMove(circuit)) return typicalOf(circuit, points, meterUseAt, meter);
  const seen = observe(circuit);
  if (!seen.ok) return points.map(() => undefined);
  return points.map((point) => {
    const reading = read(seen.value, point, meterUseAt(point), meter);
    return reading.ok && reading.value.kind === 'figure' ? reading.value.value : undefined;
  });
}

/** The same of a build that may move, with all its voltmeters in at once where it does. */
function typicalOf(
  circuit: Circuit,
  points: readonly Checkpoint[],
  meterUseAt: (point: Checkpoint) => MeterUse,
  meter: MeterFigures,
): (number | undefined)[] {
  const found: (number | undefined)[] = points.map(() => undefined);
  const places = points.flatMap((point, i) => (point.measure === 'look' ? [] : [{ point, i }]));
  const { still, moving } = byMotion(circuit, places);
  for (const { held, seen: now, places: own } of moving) {
    const group = own.map(({ point }) => point);
    const figures = readingsIn(now, group, { meterUseAt, burdens: burdensFor(held, group, meter) });
    own.forEach(({ i }, k) => (found[i] = figures?.[k]));
  }
  const seen = still.length > 0 ? observe(circuit) : undefined;
  for (const { point, i } of still) {
    const reading = seen?.ok ? read(seen.value, point, meterUseAt(point), meter) : undefined;
    if (reading?.ok && reading.value.kind === 'figure') found[i] = reading.value.value;
  }
  return found;
}

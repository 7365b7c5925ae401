import { z } from 'zod';
import type { Amps, Ohms, Volts } from '../quantities/units';

/** Accuracy as meters state it: a share of the reading plus counts of the last digit. */
export interface Accuracy {
  readonly share: number;
  readonly counts: number;
}

export interface MeterFigures {
  readonly name: string;
  /** Full scale in counts: 1999 for a 3½-digit display. */
  readonly counts: number;
  readonly volts: Accuracy;
  readonly amps: Accuracy;
}

const accuracySchema = z.strictObject({
  share: z.number().min(0).max(0.2),
  counts: z.number().int().min(0).max(50),
});

/** A meter as the house keeps it. */
export const meterSchema = z.strictObject({
  name: z.string().min(1).max(40),
  counts: z.number().int().min(199).max(1_000_000),
  volts: accuracySchema,
  amps: accuracySchema,
});

export const DEFAULT_METER: MeterFigures = {
  name: 'class meter',
  counts: 1999,
  volts: { share: 0.005, counts: 2 },
  amps: { share: 0.01, counts: 3 },
};

export const VOLT_RANGES: readonly Volts[] = [0.2, 2, 20, 200];
/** Current ranges with the ohms that each puts into the circuit. */
export const AMP_RANGES: readonly { readonly amps: Amps; readonly burden: Ohms }[] = [
  { amps: 0.02, burden: 10 },
  { amps: 0.2, burden: 1 },
  { amps: 10, burden: 0.02 },
];

/** What a meter shows, or a watch, or an ear that compares two tones. */
export type Measured = 'volts' | 'amps' | 'hertz' | 'seconds';

/** A thumb on a stopwatch: this much at start and stop together. */
export const THUMB_SECONDS = 0.3;
/** So many flashes are timed in one go, or they are counted for so long: whichever is finer. */
const FLASHES_TIMED = 10;
const COUNTED_SECONDS = 10;
/** From here on it is a tone, set beside a reference until the beats are slower than this. */
const TONE_FROM = 20;
const BEATS_HERTZ = 1;

/** Half-width within which a rate that was counted lies, or a pitch that was compared; or a time by stopwatch. */
function watchHalfWidth(measured: 'hertz' | 'seconds', value: number): number {
  if (measured === 'seconds') return THUMB_SECONDS;
  const hertz = Math.abs(value);
  if (hertz >= TONE_FROM) return BEATS_HERTZ;
  // None in ten seconds may still be one in twenty.
  if (hertz === 0) return 0.5 / COUNTED_SECONDS;
  return Math.min(0.5 / COUNTED_SECONDS, (hertz * hertz * THUMB_SECONDS) / FLASHES_TIMED);
}

/** Whether it is read without a meter: by counting, by watch, or by ear. */
export function isWatched(measured: Measured): measured is 'hertz' | 'seconds' {
  return measured === 'hertz' || measured === 'seconds';
}

/** The smallest range that shows the reading; 0 for what is read without a meter. */
export function rangeFor(meter: MeterFigures, measured: Measured, reading: number): number {
  if (isWatched(measured)) return 0;
  const ranges = measured === 'volts' ? VOLT_RANGES : AMP_RANGES.map((r) => r.amps);
  return ranges.find((range) => Math.abs(reading) <= fullOf(meter, range)) ?? ranges[ranges.length - 1]!;
}

/** A range's end as the display shows it: 1999 of 2000. */
function fullOf({ counts }: MeterFigures, range: number): number {
  return (range * counts) / (counts + 1);
}

/** The last digit that a range shows. */
export function lastDigitOf({ counts }: MeterFigures, range: number): number {
  return range / (counts + 1);
}

/** So near to the end of a range either it or its neighbour is an ordinary choice. */
const NEAR_BORDER = 0.1;

/**
 * The ranges on which an ordinary hand reads a current, the usual one first: the smallest that what flows before the
 * meter is put in does not overflow, and one beside it; a finer one within a tenth of the border, else a coarser one. The
 * last of all has a jack of its own, and is taken only where the current comes near the others' end.
 *
 * @param alone the current while no meter is in it
 */
export function ampRangesFor(meter: MeterFigures, alone: Amps): readonly Amps[] {
  const usual = AMP_RANGES.findIndex(({ amps }) => Math.abs(alone) <= fullOf(meter, amps));
  if (usual < 0) return AMP_RANGES.slice(-1).map(({ amps }) => amps);
  const [finer, own, coarser] = [usual - 1, usual, usual + 1].map((at) => AMP_RANGES[at]?.amps);
  const nearFiner = finer !== undefined && Math.abs(alone) <= (1 + NEAR_BORDER) * finer;
  const another = coarser === AMP_RANGES[AMP_RANGES.length - 1]!.amps;
  const nearEnd = Math.abs(alone) >= (1 - NEAR_BORDER) * own!;
  const beside = nearFiner ? finer : another && !nearEnd ? undefined : coarser;
  return beside === undefined ? [own!] : [own!, beside];
}

/** Ohms of a current range. */
export function ohmsOfRange(range: Amps): Ohms {
  return AMP_RANGES.find(({ amps }) => amps === range)?.burden ?? 0;
}

/**
 * The ranges of these on which a figure can have been noted so: it fits, and no digit was noted that the range does not
 * show; those that show just its digits first.
 *
 * @param step the last digit noted, A
 */
export function rangesNoted(
  meter: MeterFigures,
  ranges: readonly Amps[],
  value: Amps,
  step: Amps,
): readonly Amps[] {
  const shows = (range: number) => step > lastDigitOf(meter, range) * 0.99;
  const fits = ranges.filter((range) => Math.abs(value) <= fullOf(meter, range) && shows(range));
  const exact = (range: number) => (step < lastDigitOf(meter, range) * 1.01 ? 0 : 1);
  return [...fits].sort((a, b) => exact(a) - exact(b));
}

/** A figure read off a meter: its value in SI, the range it was read on, and the last digit that was noted. */
export interface MeterReading {
  readonly value: number;
  readonly range: number;
  readonly step: number;
}

/**
 * The range a noted figure was read on: the usual one of that checkpoint, a larger one when the figure does not
 * fit it, a finer one when more digits were noted than it shows.
 *
 * @param step the last digit noted, in SI (0.01 for "2.71")
 * @param usual the largest figure expected at the checkpoint
 */
export function readingAsNoted(
  meter: MeterFigures,
  measured: Measured,
  value: number,
  step: number,
  usual: number,
): MeterReading {
  const coarse = rangeFor(meter, measured, Math.max(Math.abs(value), Math.abs(usual)));
  const fine = rangeFor(meter, measured, value);
  const noted = step < lastDigitOf(meter, coarse) * 0.99;
  return { value, step, range: noted ? fine : coarse };
}

/** Half-width within which the true value lies: the meter's own statement on that range, and rounding when noting. */
export function meterHalfWidth(
  meter: MeterFigures,
  measured: Measured,
  { value, range, step }: MeterReading,
): number {
  if (isWatched(measured)) return watchHalfWidth(measured, value) + step / 2;
  const accuracy = meter[measured];
  const lastDigit = lastDigitOf(meter, range);
  const rounding = step > lastDigit * 1.01 ? step / 2 : 0;
  return accuracy.share * Math.abs(value) + accuracy.counts * lastDigit + rounding;
}

/** Ohms that the meter puts in series on the range a current wants. */
export function burdenFor(meter: MeterFigures, amps: Amps): Ohms {
  return ohmsOfRange(rangeFor(meter, 'amps', amps));
}

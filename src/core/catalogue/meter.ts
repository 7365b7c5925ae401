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
  const full = meter.counts / (meter.counts + 1);
  return ranges.find((range) => Math.abs(reading) <= range * full) ?? ranges[ranges.length - 1]!;
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
  const noted = step < (coarse / (meter.counts + 1)) * 0.99;
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
  const lastDigit = range / (meter.counts + 1);
  const rounding = step > lastDigit * 1.01 ? step / 2 : 0;
  return accuracy.share * Math.abs(value) + accuracy.counts * lastDigit + rounding;
}

/** Ohms that the meter puts in series on the range a current wants. */
export function burdenFor(meter: MeterFigures, amps: Amps): Ohms {
  const range = rangeFor(meter, 'amps', amps);
  return AMP_RANGES.find((r) => r.amps === range)?.burden ?? 0;
}

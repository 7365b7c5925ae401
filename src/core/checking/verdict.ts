import {
  meterHalfWidth,
  rangeFor,
  type Measured,
  type MeterFigures,
  type MeterReading,
} from '../catalogue/meter';

export type VerdictName = 'right' | 'close' | 'off';

export interface Verdict {
  readonly verdict: VerdictName;
  /** Expanded uncertainty (k = 2) of the reading. */
  readonly uncertainty: number;
  /** Full scale of the meter's range that it was read on. */
  readonly range: number;
  /** Beyond which edge of the band, if beyond one. */
  readonly side: 'below' | 'above' | 'inside';
  /** The figure as it compares with the band, where that is not as it was noted: without its sign, on the usual range. */
  readonly counted?: number;
  /** What would settle a close call. */
  readonly settle?: 'finer-range' | 'other-measurement';
}

/**
 * Judges a reading against a band with guard bands the width of the measurement's uncertainty.
 * Inside the band narrowed by U: right. Outside the band widened by U: off. Between: too close to call.
 * Source: JCGM 106:2012, 8.3; U = 2·a/√3 for a half-width a that the meter states (JCGM 100:2008, 4.3.7).
 *
 * @param reading in SI, with the range it was read on
 */
export function judge(
  reading: MeterReading,
  band: { readonly low: number; readonly high: number },
  meter: MeterFigures,
  measured: Measured,
): Verdict {
  const uncertainty = expandedUncertainty(reading, meter, measured);
  const { value, range } = reading;
  const side = value < band.low ? 'below' : value > band.high ? 'above' : 'inside';
  if (value >= band.low + uncertainty && value <= band.high - uncertainty) {
    return { verdict: 'right', uncertainty, range, side };
  }
  if (value < band.low - uncertainty || value > band.high + uncertainty) {
    return { verdict: 'off', uncertainty, range, side };
  }
  const finer = range > rangeFor(meter, measured, value);
  return { verdict: 'close', uncertainty, range, side, settle: finer ? 'finer-range' : 'other-measurement' };
}

export function expandedUncertainty(reading: MeterReading, meter: MeterFigures, measured: Measured): number {
  return (2 * meterHalfWidth(meter, measured, reading)) / Math.sqrt(3);
}

/**
 * A look at the lamps by itself: right where all of them look as planned.
 *
 * @param odd how many do not
 */
export function glanceVerdict(odd: number): Verdict {
  const right = odd === 0;
  return { verdict: right ? 'right' : 'off', side: right ? 'inside' : 'above', uncertainty: 0, range: 0 };
}

import type { Amps, Ohms, Volts, Watts } from '../quantities/units';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { bandsFor, type BandColour } from './bands';
import { neighbours, seriesValues, type SeriesName } from './preferred';
import { ratingFor } from './ratings';

export interface SeriesResistor {
  readonly ohms: Ohms;
  readonly chosen: Ohms;
  readonly bands: readonly BandColour[];
  readonly amps: Amps;
  readonly watts: Watts;
  readonly rating?: Watts;
}

/**
 * The board sum with one constant forward voltage: (supply − vf) / amps, then a stocked value.
 *
 * @returns ohms by the sum, the value chosen, its bands, and amps and watts with it
 */
export function seriesResistor(
  supply: Volts,
  vf: Volts,
  amps: Amps,
  series: SeriesName,
  rule: 'up' | 'nearest',
): Outcome<SeriesResistor> {
  if (supply <= vf) {
    const facts = { supply, lampVolts: vf, lamp: 'given', amps: 0, needVolts: vf };
    return refused(finding('cannot-light', facts));
  }
  const ohms = (supply - vf) / amps;
  const values = seriesValues(series);
  const chosen = neighbours(values, ohms)[rule];
  if (chosen === undefined) {
    return refused(finding('no-resistor-in-drawer', { ohms, largest: values[values.length - 1]! }));
  }
  const real = (supply - vf) / chosen;
  const watts = real * real * chosen;
  const rating = ratingFor(watts);
  const bands = bandsFor(chosen, 4, 0.05) ?? bandsFor(chosen, 5, 0.01) ?? [];
  return accepted({ ohms, chosen, bands, amps: real, watts, ...(rating ? { rating } : {}) });
}

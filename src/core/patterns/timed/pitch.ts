import { timesOf } from '../../catalogue/timing';
import type { Hertz, Ohms } from '../../quantities/units';
import type { ChipTimes } from './figures';

/**
 * The pitch of a solved chip with another timing resistor: the solver's own, carried on by the closed form with the same
 * output and discharge, in which it differs from the solver by the same share.
 *
 * @param ohms in the place of the resistor that charges and discharges
 */
export function pitchWith({ form, family, values, hertz, upper }: ChipTimes, ohms: Ohms): Hertz {
  const volts = 1.5 * upper;
  const period = (r: Ohms) => {
    const { high, low } = timesOf(form, family, volts, { ra: values.ra ?? 0, r, farads: values.farads });
    return high + low;
  };
  return (hertz * period(values.r)) / period(ohms);
}

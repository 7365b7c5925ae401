import { neighbours } from '../../catalogue/preferred';
import type { Amps, Ohms } from '../../quantities/units';
import type { Rounding } from '../style';

/** A current that is plainly bright, for those who walk the resistor down by eye. */
const BRIGHT_AMPS = 5e-3;

/**
 * The stocked value a school takes for the exact one.
 *
 * @param exact ohms by the sum
 * @param ampsWith the loop's current with a resistor
 */
export function choose(
  rounding: Rounding,
  values: readonly Ohms[],
  exact: Ohms,
  wanted: Amps,
  ampsWith: (ohms: Ohms) => Amps,
): Ohms | undefined {
  const around = neighbours(values, exact);
  if (rounding === 'up') return around.up;
  if (rounding === 'nearest') return around.nearest;
  const enough = Math.min(BRIGHT_AMPS, wanted);
  return (
    [...values].reverse().find((ohms) => ohms >= (around.up ?? 0) && ampsWith(ohms) >= enough) ?? around.up
  );
}

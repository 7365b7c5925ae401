import { bandsFor, letterCode } from '../../catalogue/bands';
import { bestPair, type Pair } from '../../catalogue/combine';
import { neighbours } from '../../catalogue/preferred';
import { supplyFigures } from '../../catalogue/supplies';
import type { Amps, Ohms, Volts } from '../../quantities/units';
import { schoolsFor, type LoopWish } from './schools';
import type { LoopSums } from './working';

/** @param nominalAmps what the loop draws from a supply as labelled */
export function loopSums(wish: LoopWish, lampVolts: Volts, chosen: Ohms, nominalAmps: Amps): LoopSums {
  const { volts, ohms, capacity } = supplyFigures(wish.supply);
  const voltsLeft = volts - lampVolts;
  const loopOhms = voltsLeft / wish.amps;
  const exactOhms = Math.max(0, loopOhms - ohms);
  return {
    lamp: wish.lamp,
    wanted: wish.amps,
    lampVolts,
    voltsLeft,
    loopOhms,
    exactOhms,
    around: neighbours(wish.values, exactOhms),
    rounding: wish.rounding,
    chosen,
    pair: closerPair(wish.values, exactOhms),
    letterCode: letterCode(chosen),
    bands4: bandsFor(chosen, 4, 0.05),
    bands5: bandsFor(chosen, 5, 0.01),
    // Of what was measured nobody knows the whole charge that the rule divides.
    hours: capacity === undefined || wish.supply.measured ? undefined : capacity / nominalAmps,
    schools: schoolsFor(wish),
  };
}

/** A pair counts only when it comes closer than a single value does. */
function closerPair(values: readonly number[], exact: number): Pair | undefined {
  const pair = exact > 0 ? bestPair(values, exact) : undefined;
  const one = neighbours(values, exact).up ?? Infinity;
  return pair && pair.ohms < one * (1 - 1e-9) ? pair : undefined;
}

import type { BatteryLife } from '../../answers/battery';
import { bandsFor, letterCode, type BandColour } from '../../catalogue/bands';
import type { Pair } from '../../catalogue/combine';
import { brightnessAt, type Brightness } from '../../catalogue/brightness';
import type { LampFigures } from '../../catalogue/lamps';
import { neighbours, type Neighbours } from '../../catalogue/preferred';
import { ratingFor } from '../../catalogue/ratings';
import {
  AGES,
  supplyFigures,
  type Age,
  type SupplyChoice,
  type SupplyFigures,
} from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import type { Amps, Hours, Ohms, Volts, Watts } from '../../quantities/units';
import type { Rounding } from '../style';

/** The loop at one age of its supply, solved. */
export interface AtAge {
  readonly age: Age;
  readonly supplyVolts: Volts;
  readonly amps: Amps;
  readonly lampVolts: Volts;
  readonly resistorVolts: Volts;
  readonly resistorWatts: Watts;
  readonly lampWatts: Watts;
  readonly brightness: Brightness;
  /** Of the lamp's continuous maximum. */
  readonly share: number;
}

/** One way of choosing, with what it leads to. */
export interface School {
  readonly question: 'value' | 'age' | 'forward volts' | 'current';
  readonly choice: string;
  readonly ohms: Ohms;
  readonly ages: readonly AtAge[];
  readonly house: boolean;
}

/** The working, in the order in which it is written on the board. */
export interface SingleSums {
  readonly supply: SupplyChoice;
  readonly supplyFigures: SupplyFigures;
  readonly lamp: LampFigures;
  readonly wanted: Amps;
  /** Forward volts at the wanted current, off the lamp's curve. */
  readonly lampVolts: Volts;
  readonly voltsLeft: Volts;
  /** Volts left over the wanted current. */
  readonly loopOhms: Ohms;
  /** The same less the supply's own ohms. */
  readonly exactOhms: Ohms;
  readonly around: Neighbours;
  readonly rounding: Rounding;
  readonly chosen: Ohms;
  /** Two stocked values that would come closer than the next one up, if there are two. */
  readonly pair?: Pair | undefined;
  readonly letterCode: string;
  readonly bands4?: readonly BandColour[] | undefined;
  readonly bands5?: readonly BandColour[] | undefined;
  readonly ages: readonly AtAge[];
  /** The row of `ages` that the lesson designs for. */
  readonly design: AtAge;
  /** Smallest rating of which the heat at the highest supply is at most the style's share. */
  readonly rating?: Watts | undefined;
  readonly hottest: AtAge;
  /** Capacity over the nominal current. */
  readonly hours?: Hours | undefined;
  /** The same along its discharge, as volts and current fall. */
  readonly life?: Pick<BatteryLife, 'toDim' | 'toEmpty'> | undefined;
  readonly schools: readonly School[];
}

/** Current of one lamp and resistor behind a supply's own ohms, by bisection on the junction's exact curve. */
export function loopAmps(lamp: Junction, supply: SupplyFigures, ohms: Ohms): Amps {
  let low = 0;
  let high = supply.limitAmps ?? supply.volts / Math.max(ohms + supply.ohms, 1e-6);
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    const used = lamp.voltsAt(middle) + middle * (ohms + supply.ohms);
    if (used < supply.volts) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export function atAge(choice: SupplyChoice, lamp: LampFigures, ohms: Ohms, age: Age): AtAge {
  const supply = supplyFigures(choice, age);
  const junction = new Junction(lamp);
  const amps = loopAmps(junction, supply, ohms);
  const lampVolts = junction.voltsAt(amps);
  return {
    age,
    supplyVolts: supply.volts,
    amps,
    lampVolts,
    resistorVolts: amps * ohms,
    resistorWatts: amps * amps * ohms,
    lampWatts: amps * lampVolts,
    brightness: brightnessAt(amps, lamp.maxAmps),
    share: amps / lamp.maxAmps,
  };
}

export function atAllAges(choice: SupplyChoice, lamp: LampFigures, ohms: Ohms): AtAge[] {
  return AGES.map((age) => atAge(choice, lamp, ohms, age));
}

/** A current that is plainly bright, for those who walk the resistor down by eye. */
const BRIGHT_AMPS = 5e-3;

/**
 * The stocked value a school takes for the exact one.
 *
 * @param exact ohms by the sum
 * @param ampsWith the loop's current with a means resistor
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

export function resistorBands(ohms: Ohms): Pick<SingleSums, 'letterCode' | 'bands4' | 'bands5'> {
  return {
    letterCode: letterCode(ohms),
    bands4: bandsFor(ohms, 4, 0.05),
    bands5: bandsFor(ohms, 5, 0.01),
  };
}

export function ratingAt(watts: Watts, share: number): Watts | undefined {
  return ratingFor(watts, share);
}

import type { LampFigures } from '../../catalogue/lamps';
import { agesOf, supplyFigures, type Age, type SupplyChoice } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import type { Amps, Ohms } from '../../quantities/units';
import { ampsOf } from '../steady/bank';
import { choose } from '../steady/choose';
import { ROUNDINGS, type Rounding } from '../style';
import type { School } from './working';

/** What is wished of one lamp and one resistor. */
export interface LoopWish {
  readonly supply: SupplyChoice;
  readonly lamp: LampFigures;
  readonly amps: number;
  readonly rounding: Rounding;
  readonly values: readonly Ohms[];
}

/** Current of one lamp and resistor off a supply at an age, held at its limit where it has one. */
export function loopAmps(choice: SupplyChoice, lamp: LampFigures, ohms: Ohms, age: Age): Amps {
  const supply = supplyFigures(choice, age);
  const amps = ampsOf([new Junction(lamp)], supply.volts, ohms + supply.ohms);
  return Math.min(amps, supply.limitAmps ?? Infinity);
}

/** The stocked value for a wish, or undefined when the supply cannot push the current or the drawer ends below. */
function resistorFor(wish: LoopWish, lampVolts?: number): Ohms | undefined {
  const supply = supplyFigures(wish.supply);
  const drop = lampVolts ?? new Junction(wish.lamp).voltsAt(wish.amps);
  const exact = (supply.volts - drop) / wish.amps - supply.ohms;
  if (exact <= 0) return undefined;
  const ampsWith = (ohms: Ohms) => loopAmps(wish.supply, wish.lamp, ohms, wish.supply.age);
  return choose(wish.rounding, wish.values, exact, wish.amps, ampsWith);
}

/** The ways in which practitioners would choose for the same lamp, each with its computed currents. */
export function schoolsFor(wish: LoopWish): School[] {
  const school = (
    question: School['question'],
    choice: string,
    ohms: Ohms | undefined,
    house = false,
  ): School[] => {
    if (ohms === undefined) return [];
    const ages = agesOf(wish.supply).map((age) => {
      const amps = loopAmps(wish.supply, wish.lamp, ohms, age);
      return { age, amps, share: amps / wish.lamp.maxAmps };
    });
    return [{ question, choice, ohms, house, ages }];
  };
  const nominal: LoopWish = { ...wish, supply: { ...wish.supply, age: 'nominal' } };
  return [
    ...ROUNDINGS.flatMap((rounding) =>
      school('value', rounding, resistorFor({ ...wish, rounding }), rounding === wish.rounding),
    ),
    ...(wish.supply.age === 'nominal' ? [] : school('age', 'nominal', resistorFor(nominal))),
    ...school('forward volts', 'single figure', resistorFor(wish, wish.lamp.vf)),
    ...(wish.amps >= wish.lamp.maxAmps
      ? []
      : school('current', 'full rated', resistorFor({ ...wish, amps: wish.lamp.maxAmps }))),
  ];
}

import type { LampFigures } from '../../catalogue/lamps';
import { supplyFigures, type SupplyChoice } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import type { Ohms } from '../../quantities/units';
import { ROUNDINGS, type Rounding } from '../style';
import { atAllAges, choose, loopAmps, type School } from './sums';

interface Wish {
  readonly supply: SupplyChoice;
  readonly lamp: LampFigures;
  readonly amps: number;
  readonly rounding: Rounding;
  readonly values: readonly Ohms[];
}

/** The stocked value for a wish, or undefined when the supply cannot push the current or the drawer ends below. */
export function resistorFor(wish: Wish, lampVolts?: number): Ohms | undefined {
  const supply = supplyFigures(wish.supply);
  const junction = new Junction(wish.lamp);
  const drop = lampVolts ?? junction.voltsAt(wish.amps);
  const exact = (supply.volts - drop) / wish.amps - supply.ohms;
  if (exact <= 0) return undefined;
  return choose(wish.rounding, wish.values, exact, wish.amps, (ohms) => loopAmps(junction, supply, ohms));
}

/** The ways in which practitioners would choose for the same lamp, each with its computed currents. */
export function schoolsFor(wish: Wish): School[] {
  const school = (
    question: School['question'],
    choice: string,
    ohms: Ohms | undefined,
    house = false,
  ): School[] =>
    ohms === undefined
      ? []
      : [{ question, choice, ohms, house, ages: atAllAges(wish.supply, wish.lamp, ohms) }];
  const nominal: Wish = { ...wish, supply: { ...wish.supply, age: 'nominal' } };
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

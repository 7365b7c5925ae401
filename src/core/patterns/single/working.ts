import type { BandColour } from '../../catalogue/bands';
import type { Pair } from '../../catalogue/combine';
import type { LampFigures } from '../../catalogue/lamps';
import type { Neighbours } from '../../catalogue/preferred';
import type { Age } from '../../catalogue/supplies';
import type { Amps, Hours, Ohms, Volts } from '../../quantities/units';
import type { Rounding } from '../style';

/** One way of choosing, with what it leads to. */
export interface School {
  readonly question: 'value' | 'age' | 'forward volts' | 'current';
  readonly choice: string;
  readonly ohms: Ohms;
  readonly ages: readonly { readonly age: Age; readonly amps: Amps; readonly share: number }[];
  readonly house: boolean;
}

/** The working of one lamp and one resistor, in the order in which it is written on the board. */
export interface LoopSums {
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
  /** Capacity over the nominal current: the rule of thumb. */
  readonly hours?: Hours | undefined;
  readonly schools: readonly School[];
}

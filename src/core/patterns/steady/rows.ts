import type { Brightness } from '../../catalogue/brightness';
import type { Amps, Ohms, Volts } from '../../quantities/units';

/** A resistor of the row that a class walks down. */
export interface WalkRow {
  /** The resistor that is changed. */
  readonly part: string;
  readonly ohms: Ohms;
  readonly amps: Amps;
  readonly brightness: Brightness;
  /** Below the floor: not to be tried. */
  readonly beyond: boolean;
}

/** A dimmer with its knob at one place. */
export interface KnobRow {
  readonly position: number;
  readonly ohms: Ohms;
  readonly amps: Amps;
  readonly brightness: Brightness;
}

/** A rung of a battery gauge. */
export interface RungRow {
  readonly lamp: string;
  readonly zener: string;
  readonly wanted: Volts;
  /** Supply volts at which the lamp reaches a milliamp. */
  readonly lit?: Volts;
  readonly fullAmps: Amps;
}

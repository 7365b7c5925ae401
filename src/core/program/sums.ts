import type { Brightness } from '../catalogue/brightness';
import type { LampType } from '../catalogue/lamps';
import type { Amps, Seconds } from '../quantities/units';
import type { ProgramTable } from './table';

/** A lamp on a pin, and what the whole program gives it. */
export interface ProgramLamp {
  readonly part: string;
  readonly type: LampType;
  readonly resistor: string;
  /** The pin that its lead comes from, and its place along the edge of the board. */
  readonly pin: number;
  readonly place: number;
  readonly dims: boolean;
  /** The column of the table that sets this pin; none where the table names another. */
  readonly column: number | undefined;
  /** What its pin carries at most. */
  readonly peak: Amps;
  /** Over a whole round. */
  readonly mean: Amps;
  /** Seconds of a round for which it is fully on, dimmed ones by their share. */
  readonly on: Seconds;
}

/** One row of the table, and what the lamps do at its end. */
export interface ProgramState {
  /** Seconds after the round has begun. */
  readonly at: Seconds;
  readonly seconds: Seconds;
  readonly fade: boolean;
  readonly lamps: readonly ProgramLampState[];
  /** Of all pins together, with every lamp that is on at its high level. */
  readonly peak: Amps;
}

export interface ProgramLampState {
  readonly part: string;
  /** As the table wants it: 0 off, the board's highest fully on. */
  readonly step: number;
  /** Mean over the pulses of its pin. */
  readonly amps: Amps;
  readonly brightness: Brightness;
}

/** What a program does with the circuit that hangs on it. */
export interface ProgramSums {
  readonly table: ProgramTable;
  readonly lamps: readonly ProgramLamp[];
  readonly rows: readonly ProgramState[];
  readonly roundSeconds: Seconds;
  /** Of all rounds; none where they have no end. */
  readonly wholeSeconds: Seconds | undefined;
  /** Lamps that are lit in a row in which the table has them off, or dark in one in which it has them on. */
  readonly astray: readonly string[];
}

import type { Amps, Hertz, Ohms, Volts } from '../quantities/units';
import type { SupplyChoice } from './supplies';

export const CONTROLLER_IDS = ['five-volt', 'three-volt'] as const;
export type ControllerId = (typeof CONTROLLER_IDS)[number];

/** One pin of a controller board. */
export interface ControllerPin {
  /** Its number in the program. */
  readonly number: number;
  /** Its place along the edge of the board, counted from ground. */
  readonly place: number;
  /** Whether it can be switched so fast between its levels that a lamp dims. */
  readonly dims: boolean;
  /** Whether it can read volts as a number. */
  readonly reads: boolean;
  /** Better left alone: it carries the program to the board, and its lamp flickers meanwhile. */
  readonly upload: boolean;
}

/** A controller board as the model sheet has it, under neutral names. */
export interface Controller {
  readonly id: ControllerId;
  readonly supply: SupplyChoice;
  readonly volts: Volts;
  readonly ohms: Ohms;
  /** What one pin is meant for, what it stands at most, and what all of them together do. */
  readonly pinAmps: Amps;
  readonly pinAmpsMost: Amps;
  readonly allAmps: Amps;
  /** The highest step of a dimming pin: 0 is off, this is fully on. */
  readonly steps: number;
  readonly hertz: Hertz;
  /** The highest count of a reading pin, at the board's own volts. */
  readonly counts: number;
  readonly pins: readonly ControllerPin[];
}

/** Place of the rail along the edge: ground comes before it, pins follow. */
export const RAIL_PLACE = 2;
const PINS = 16;

function pinsWith(dims: (number: number) => boolean): ControllerPin[] {
  return Array.from({ length: PINS }, (_, number) => ({
    number,
    place: number + RAIL_PLACE + 1,
    dims: dims(number),
    reads: number >= PINS - 4,
    upload: number < 2,
  }));
}

export const CONTROLLERS: Readonly<Record<ControllerId, Controller>> = {
  'five-volt': {
    id: 'five-volt',
    supply: { kind: 'rail-5v', cells: 1, age: 'nominal' },
    volts: 5,
    ohms: 25,
    pinAmps: 0.02,
    pinAmpsMost: 0.04,
    allAmps: 0.2,
    steps: 255,
    hertz: 490,
    counts: 1023,
    // Every second one of those that are free.
    pins: pinsWith((number) => number >= 2 && number % 2 === 1),
  },
  'three-volt': {
    id: 'three-volt',
    supply: { kind: 'rail-3v3', cells: 1, age: 'nominal' },
    volts: 3.3,
    ohms: 40,
    pinAmps: 0.004,
    pinAmpsMost: 0.012,
    allAmps: 0.05,
    steps: 65535,
    hertz: 1000,
    counts: 4095,
    pins: pinsWith((number) => number >= 2),
  },
};

export function controllerPin(id: ControllerId, number: number): ControllerPin | undefined {
  return CONTROLLERS[id].pins.find((pin) => pin.number === number);
}

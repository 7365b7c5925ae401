import type { z } from 'zod';
import type { Code, Value } from '../numerics/code';
import type { Volts } from '../quantities/units';
import type { Latch, Storage, Wave } from './dynamics';

/**
 * The contract of a device. A new device is one file that exports a `Device`, and one line in `index.ts`;
 * `contract.test.ts` then runs over it.
 *
 * Unknowns are node volts and, for parts that fix a voltage or keep a charge, the current into their first pin
 * ("branch"). Residuals are, at each node, the sum of the currents INTO the parts there (zero by Kirchhoff), then one
 * equation a branch.
 */
export interface Device<Kind extends string, Fields extends z.ZodRawShape, Params> {
  readonly kind: Kind;
  /** Names of the pins, in the order in which currents are reported. */
  readonly pins: readonly string[];
  /** Pins that a circuit may leave out. */
  readonly optionalPins?: readonly string[];
  /** What a report calls the part's volts and amps, where it is not first pin over second and into the first. */
  readonly reading?: Reading;
  /** The circuit file's fields besides id, kind and pins. */
  readonly fields: Fields;
  /** Complete parameters, or what is wrong with the fields taken together. */
  resolve(fields: z.output<z.ZodObject<Fields>>): Params | FieldProblem;
  /** How many branch unknowns the part needs. */
  branches(params: Params): number;
  /** Pairs of pins (by index) that direct current can pass between: what keeps a node from floating. */
  paths(params: Params): readonly PinPair[];
  /** Pairs of pins that only a changing current can pass between. */
  readonly changingPaths?: readonly PinPair[];
  /** The volts it forces between two pins whatever the current; NaN when they move. */
  forces?(params: Params): { readonly between: PinPair; readonly volts: number } | undefined;
  /** Ids of parts whose amps it feels. */
  senses?(params: Params): readonly string[];
  /** What differs from part to part; each field has a knob. */
  spreads(params: Params): readonly Spread[];
  /** A part at work in a compiled circuit. */
  instance(params: Params, at: Seat): Instance;
}

export type PinPair = readonly [number, number];

export interface Reading {
  readonly volts: PinPair;
  readonly pin: number;
  /** 1: into the part, −1: out of it. */
  readonly sense: 1 | -1;
}

export const FIRST_PIN: Reading = { volts: [0, 1], pin: 0, sense: 1 };

export interface FieldProblem {
  readonly field: string;
  readonly problem: string;
}

/** How one figure is drawn: rectangular between limits, triangular over a mode, or uniform in its logarithm. */
export interface Spread {
  readonly field: string;
  readonly shape: 'rectangular' | 'triangular' | 'log-uniform';
  readonly low: number;
  readonly mode: number;
  readonly high: number;
}

/** Where a part sits, and how it books its places in the Jacobian. */
export interface Seat {
  /** Node index of each pin; ground is the last index, −1 a pin that is left out. */
  readonly nodes: Int32Array;
  /** Its first branch unknown. */
  readonly branch: number;
  /** Branch unknown that carries the amps of each part it senses; −1 when that part is not in the circuit. */
  readonly sensed: Int32Array;
  /** A capacitor in a loop of ideal sources takes their volts at once instead of keeping its own. */
  readonly takesVolts: boolean;
  /** The place of d residual[row] / d x[column]; asked for once, when the part is placed. */
  entry(row: number, column: number): number;
}

/**
 * What a storing part does. `steady`: nothing changes any more; `start`: capacitors keep their given volts, coils carry
 * their steady current; `held`: both keep what they have (an instant); `step`: both move over a step of time.
 */
export type Regime = 'steady' | 'start' | 'held' | 'step';

/** The equations being assembled. What belongs to ground (last row, entry 0) is left out when solving. */
export interface Equations {
  /**
   * The Jacobian's entries in the order in which they were booked; entry 0 is a bin for ground's. Room for what
   * elimination fills in may follow them.
   */
  values: Float64Array;
  readonly residual: Float64Array;
  /** Volts of nodes and amps of branches; ground is 0. */
  readonly x: Float64Array;
  /** 0 to 1: by how much independent sources are turned up (continuation). */
  source: number;
  regime: Regime;
  /** Weight of a storing part's rate in its equation over a step, in seconds. */
  theta: number;
  /** Seconds, for sources that move. */
  time: number;
  /** Junctions without series ohms may keep their last step short, and say so in `limited`. */
  limiting: boolean;
  /** No step has been taken yet: there is nothing to keep short. */
  fresh: boolean;
  limited: boolean;
  /** Amps that light sensors see, by branch unknown, while lamps and sensors are relaxed; else they follow x. */
  seen: Float64Array | undefined;
}

export interface Instance {
  /** Adds the part's currents and derivatives at `equations.x`. Allocates nothing. */
  stamp(equations: Equations): void;
  /** Writes the current into each pin. */
  currents(x: Float64Array, out: Float64Array): void;
  /** Its equations are straight lines in x at any one instant, so that one stamp serves a whole stage of a step. */
  readonly straight?: boolean;
  /** `stamp`, limits kept, as code. */
  write?(writing: Writing): void;
  /** Figures that may be set without placing the part anew, by field. */
  readonly knobs: Readonly<Record<string, (value: number) => void>>;
  readonly storage?: Storage;
  readonly wave?: Wave;
  readonly latch?: Latch;
  /** Holds a gain stage on or off with so many siemens; 0 lets it go. */
  hold?(side: 'on' | 'off', siemens: number): void;
}

/** Where a part writes its stamp down as code, for the many steps of a run. */
export interface Writing {
  readonly code: Code;
  /** An unknown; 0 for ground. */
  x(index: number): Value;
  /** Adds to a row's residual. */
  flow(row: number, amps: Value): void;
  /** Adds to a place of the Jacobian. */
  slope(place: number, siemens: Value): void;
  /** A number that stays from step to step: its place. What is no number at first is so again where nothing is known. */
  remember(first: number): number;
  /** A figure that a knob may move between solves. */
  figure(read: () => number): Value;
  /** A curve that was read within so many volts is taken by its tangent there. */
  readonly tangent: Volts;
  /** Whether it may follow a current down its curve: in early steps, from where this very solve has read it. */
  readonly mayFall: Value;
  /** The curve was read elsewhere than at x, as `limited` says. */
  readElsewhere(): void;
}

export function rectangular(field: string, nominal: number, tolerance: number): Spread[] {
  if (!(tolerance > 0) || nominal === 0) return [];
  const half = Math.abs(nominal) * tolerance;
  return [{ field, shape: 'rectangular', low: nominal - half, mode: nominal, high: nominal + half }];
}

export function isProblem(value: unknown): value is FieldProblem {
  return typeof value === 'object' && value !== null && 'problem' in value;
}

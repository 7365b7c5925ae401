import type { z } from 'zod';

/**
 * The contract of a device. A new device is one file that exports a `Device`, and one line in `index.ts`;
 * `contract.test.ts` then runs over it.
 *
 * Unknowns are node volts and, for parts that fix a voltage, the current into their first pin ("branch").
 * Residuals are, at each node, the sum of the currents INTO the parts there (zero by Kirchhoff), then one
 * equation a branch.
 */
export interface Device<Kind extends string, Fields extends z.ZodRawShape, Params> {
  readonly kind: Kind;
  /** Names of the pins, in the order in which currents are reported. */
  readonly pins: readonly string[];
  /** The circuit file's fields besides id, kind and pins. */
  readonly fields: Fields;
  /** Complete parameters, or what is wrong with the fields taken together. */
  resolve(fields: z.output<z.ZodObject<Fields>>): Params | FieldProblem;
  /** How many branch unknowns the part needs. */
  branches(params: Params): number;
  /** Pairs of pins (by index) that direct current can pass between: what keeps a node from floating. */
  paths(params: Params): readonly (readonly [number, number])[];
  /** What differs from part to part, by field. */
  spreads(params: Params): readonly Spread[];
  /** A part at work in a compiled circuit. */
  instance(params: Params, at: Wiring): Instance;
}

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

/** Where a part sits: node index of each pin (ground is `stride - 1`) and its first branch unknown. */
export interface Wiring {
  readonly nodes: Int32Array;
  readonly branch: number;
}

/** The equations being assembled. The last row and column belong to ground and are left out when solving. */
export interface Equations {
  readonly stride: number;
  /** Row-major, stride × stride: derivative of residual `row` by unknown `column`. */
  readonly matrix: Float64Array;
  readonly residual: Float64Array;
  /** Volts of nodes and amps of branches; ground is 0. */
  readonly x: Float64Array;
  /** 0 to 1: by how much independent sources are turned up (continuation). */
  source: number;
}

export interface Instance {
  /** Adds the part's currents and derivatives at `equations.x`. Allocates nothing. */
  stamp(equations: Equations): void;
  /** Writes the current into each pin. */
  currents(x: Float64Array, out: Float64Array): void;
  /** Takes a drawn figure for spread number `index`. */
  set(index: number, value: number): void;
}

export function rectangular(field: string, nominal: number, tolerance: number): Spread[] {
  if (!(tolerance > 0) || nominal === 0) return [];
  const half = Math.abs(nominal) * tolerance;
  return [{ field, shape: 'rectangular', low: nominal - half, mode: nominal, high: nominal + half }];
}

export function isProblem(value: unknown): value is FieldProblem {
  return typeof value === 'object' && value !== null && 'problem' in value;
}

import type { z } from 'zod';
import type { Shelf } from '../catalogue/shelf';
import type { Circuit } from '../circuit/circuit';
import type { Finding, Outcome } from '../findings/finding';
import type { SupplyChoice } from '../catalogue/supplies';
import type { LampSorts } from './steady/parts';
import type { HouseStyle } from './style';

/** Where two probes go, or where the loop is opened for a meter. */
export interface PinRef {
  readonly part: string;
  readonly pin: string;
}

export type Checkpoint = {
  readonly id: string;
  /** Part that the reading is about, for its name. */
  readonly part: string;
} & (
  | { readonly measure: 'volts'; readonly from: PinRef; readonly to: PinRef }
  /** The leg at `gap` is lifted and the meter put between it and its hole. */
  | { readonly measure: 'amps'; readonly gap: PinRef }
);

/** What a pattern makes of the parameters: the circuit and everything that is said about it. */
export interface Design<Sums> {
  readonly circuit: Circuit;
  readonly supply: SupplyChoice;
  /** The sort of each LED. */
  readonly sorts: LampSorts;
  readonly checkpoints: readonly Checkpoint[];
  readonly sums: Sums;
  readonly findings: readonly Finding[];
}

export interface Means {
  readonly shelf: Shelf;
  readonly style: HouseStyle;
  /** Price of one piece in cents by what it is, as `resistor 330`, where the store knows it. */
  readonly cents?: Readonly<Record<string, number>>;
  /** Without the hours along a discharge, for lists that do not show them. */
  readonly brief?: boolean | undefined;
}

/** The contract of a lesson pattern: a parameterised circuit. A new one is a file here and a line in `index.ts`. */
export interface Pattern<Id extends string, Params, Sums> {
  readonly id: Id;
  readonly params: z.ZodType<Params>;
  defaults(style: HouseStyle): Params;
  /** @returns the design, or the reasons why these wishes cannot be met */
  design(params: Params, means: Means): Outcome<Design<Sums>>;
}

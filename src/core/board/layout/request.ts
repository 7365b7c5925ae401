import type { Circuit } from '../../circuit/circuit';
import type { BoardChoice } from '../boards';
import type { JumperColour, Placement } from '../plan';
import type { LampHabit } from './candidates';
import type { Spacing } from './prices';

/** Plus red and minus black; wires in between by turns, in the colour of their lamp, or all alike. */
export type WireHabit = 'red and black' | 'as the lamp' | 'any';

/** Legs go straight into the rails where they reach; or parts stand in rows only, and wires lead to them from the rails. */
export const RAIL_HABITS = ['legs', 'wires only'] as const;
export type RailHabit = (typeof RAIL_HABITS)[number];

export interface LayoutRequest {
  readonly circuit: Circuit;
  readonly board: BoardChoice;
  readonly wires: WireHabit;
  /** Colour of the jumpers that lead to each lamp, where they follow it. */
  readonly lampWires?: Readonly<Record<string, JumperColour>> | undefined;
  readonly spacing: Spacing;
  /** Whether legs go straight into the rails; legs, unless said otherwise. */
  readonly rails?: RailHabit | undefined;
  /** All lamps the same way round, unless said otherwise. */
  readonly lamps?: LampHabit;
  /** Pieces put there by hand, that stay where they are. */
  readonly keep?: readonly Placement[];
  /** Stages side by side on a soldered board before the next row of them begins. */
  readonly perBand?: number | undefined;
  /** Seed of the orders that are tried. */
  readonly seed?: number;
}

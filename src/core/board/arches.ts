import { boardOf } from './copper';
import { holeOf, TRENCH_X, type Hole } from './geometry';
import type { Placement, Plan } from './plan';

/** Pins of a chip on a plug-in board; no other thing stands on both sides of the trench with so many. */
const CHIP_LEGS = 6;
/** A wire this close to the end of a chip would lie on it. */
const BESIDE = 0.6;

/** Rows of a chip astride the trench, from the first to the last. */
export interface ChipRows {
  readonly top: number;
  readonly foot: number;
}

type Spot = Pick<Hole, 'x' | 'y'>;

/** Whether a straight wire between two places of a plug-in board would pass over one of its chips. */
export function passesChip(from: Spot, to: Spot, chips: readonly ChipRows[]): boolean {
  if (chips.length === 0 || from.x < TRENCH_X === to.x < TRENCH_X) return false;
  const y = from.y + ((TRENCH_X - from.x) / (to.x - from.x)) * (to.y - from.y);
  return chips.some(({ top, foot }) => y > top - BESIDE && y < foot + BESIDE);
}

/** Whether a wire of a plan is arched over a chip: flat, it would lie under or on it. */
export function isArchedWire(plan: Plan, { legs }: Pick<Placement, 'legs'>): boolean {
  const board = boardOf(plan);
  const [from, to] = Object.values(legs).map((name) => holeOf(board, name));
  return from !== undefined && to !== undefined && isArched(plan, [from, to]);
}

/** The same for two places. */
export function isArched(plan: Plan, [from, to]: readonly [Spot, Spot]): boolean {
  const board = boardOf(plan);
  return board.copper === 'rows' && passesChip(from, to, chipsOn(plan));
}

function chipsOn(plan: Plan): ChipRows[] {
  const board = boardOf(plan);
  return plan.placements.flatMap(({ kind, legs }) => {
    const holes = Object.values(legs).map((name) => holeOf(board, name));
    if (kind !== 'part' || holes.length < CHIP_LEGS || holes.some((hole) => !hole || hole.rail)) return [];
    const ys = holes.map((hole) => hole!.y);
    return [{ top: Math.min(...ys), foot: Math.max(...ys) }];
  });
}

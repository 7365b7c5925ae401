import { z } from 'zod';
import type { LampType } from '../catalogue/lamps';
import { LAMP_TYPES } from '../catalogue/lamps';
import type { Circuit } from '../circuit/circuit';
import { finding, type Finding } from '../findings/finding';
import { thingsOf } from '../parts/thing';
import { BOARD_IDS, type BoardId } from './boards';
import { boardOf } from './copper';
import { holeOf, type HoleName } from './geometry';

export const JUMPER_COLOURS = ['red', 'black', 'green', 'yellow', 'blue'] as const;
export type JumperColour = (typeof JUMPER_COLOURS)[number];

/** What stands in a part's place instead of it: a mistake made on purpose, or a substitute. */
export type StandIn =
  | { readonly kind: 'wire' }
  | { readonly kind: 'resistor'; readonly ohms: number }
  | { readonly kind: 'led'; readonly type: LampType };

/** One part (or jumper) with each of its legs in a hole. */
export interface Placement {
  readonly part: string;
  readonly kind: 'part' | 'jumper';
  readonly legs: Readonly<Record<string, HoleName>>;
  readonly colour?: JumperColour | undefined;
  readonly standIn?: StandIn | undefined;
  /** Put there by hand: laying out again leaves it where it is. */
  readonly fixed?: boolean | undefined;
}

export interface Plan {
  readonly board: BoardId;
  readonly placements: readonly Placement[];
  /** Holes at which a strip is cut through. */
  readonly cuts?: readonly HoleName[] | undefined;
}

const standIn = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('wire') }),
  z.strictObject({ kind: z.literal('resistor'), ohms: z.number().positive() }),
  z.strictObject({ kind: z.literal('led'), type: z.enum(LAMP_TYPES) }),
]);

/** A plan as it is kept in the database and in lesson files. */
export const planSchema = z.strictObject({
  board: z.enum(BOARD_IDS),
  placements: z
    .array(
      z.strictObject({
        part: z.string().min(1).max(20),
        kind: z.enum(['part', 'jumper']),
        legs: z.record(z.string().max(20), z.string().max(5)),
        colour: z.enum(JUMPER_COLOURS).optional(),
        standIn: standIn.optional(),
        fixed: z.boolean().optional(),
      }),
    )
    .max(400)
    .readonly(),
  cuts: z.array(z.string().max(5)).max(400).readonly().optional(),
});

export function placementOf(plan: Plan, part: string): Placement | undefined {
  return plan.placements.find((p) => p.part === part);
}

/** Which leg sits in each hole that is taken. */
export function takenHoles(plan: Plan): Map<HoleName, { part: string; pin: string }> {
  const taken = new Map<HoleName, { part: string; pin: string }>();
  for (const placement of plan.placements) {
    if (isOnTheBack(plan, placement)) continue;
    for (const [pin, hole] of Object.entries(placement.legs)) taken.set(hole, { part: placement.part, pin });
  }
  return taken;
}

/** Wires on the back of a pad board, and tapes, join legs where they are; they take no holes of their own. */
export function isOnTheBack(plan: Pick<Plan, 'board'>, placement: Pick<Placement, 'kind'>): boolean {
  const { copper } = boardOf(plan);
  return placement.kind === 'jumper' && (copper === 'pads' || copper === 'tapes');
}

/** What breaks the rules of the board itself: a hole it does not have or that is cut, two legs in one hole. */
export function placementProblems(plan: Plan): Finding[] {
  const board = boardOf(plan);
  const seen = new Map<HoleName, string>();
  const cut = new Set(plan.cuts);
  const findings: Finding[] = [];
  for (const placement of plan.placements) {
    const { part, legs } = placement;
    const back = isOnTheBack(plan, placement);
    for (const hole of Object.values(legs)) {
      const other = seen.get(hole);
      if (!holeOf(board, hole)) findings.push(finding('hole-missing', { hole, part }));
      else if (cut.has(hole)) findings.push(finding('hole-cut', { hole, part }));
      else if (other !== undefined && !back) findings.push(finding('hole-taken', { hole, part, other }));
      if (!back) seen.set(hole, part);
    }
  }
  return findings;
}

/** Whether a kept plan still speaks of this circuit: every thing placed once, with all its legs. */
export function planCovers(plan: Plan, circuit: Circuit): boolean {
  const placed = plan.placements.filter((p) => p.kind === 'part');
  const bodies = thingsOf(circuit);
  return (
    placed.length === bodies.length &&
    bodies.every((body) => {
      const legs = placed.find((p) => p.part === body.id)?.legs;
      return legs !== undefined && Object.keys(body.legs).every((leg) => leg in legs);
    })
  );
}

import { z } from 'zod';
import type { LampType } from '../catalogue/lamps';
import { LAMP_TYPES } from '../catalogue/lamps';
import type { Circuit } from '../circuit/circuit';
import { finding, type Finding } from '../findings/finding';
import { HALF_BOARD, holeOf, type BoardSpec, type HoleName } from './geometry';

export type WireColour = 'red' | 'black' | 'green' | 'yellow' | 'blue';

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
  readonly colour?: WireColour | undefined;
  readonly standIn?: StandIn | undefined;
}

export interface Plan {
  readonly board: BoardSpec['id'];
  readonly placements: readonly Placement[];
}

const standIn = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('wire') }),
  z.strictObject({ kind: z.literal('resistor'), ohms: z.number().positive() }),
  z.strictObject({ kind: z.literal('led'), type: z.enum(LAMP_TYPES) }),
]);

/** A plan as it is kept in the database and in lesson files. */
export const planSchema = z.strictObject({
  board: z.literal('half'),
  placements: z
    .array(
      z.strictObject({
        part: z.string().min(1).max(20),
        kind: z.enum(['part', 'jumper']),
        legs: z.record(z.string().max(20), z.string().max(4)),
        colour: z.enum(['red', 'black', 'green', 'yellow', 'blue']).optional(),
        standIn: standIn.optional(),
      }),
    )
    .max(200)
    .readonly(),
});

export function boardOf(plan: Plan): BoardSpec {
  return { half: HALF_BOARD }[plan.board];
}

export function placementOf(plan: Plan, part: string): Placement | undefined {
  return plan.placements.find((p) => p.part === part);
}

/** Which leg sits in each hole that is taken. */
export function takenHoles(plan: Plan): Map<HoleName, { part: string; pin: string }> {
  const taken = new Map<HoleName, { part: string; pin: string }>();
  for (const { part, legs } of plan.placements) {
    for (const [pin, hole] of Object.entries(legs)) taken.set(hole, { part, pin });
  }
  return taken;
}

/** What breaks the rules of the board itself: a hole it does not have, two legs in one hole. */
export function placementProblems(plan: Plan): Finding[] {
  const board = boardOf(plan);
  const seen = new Map<HoleName, string>();
  const findings: Finding[] = [];
  for (const { part, legs } of plan.placements) {
    for (const hole of Object.values(legs)) {
      const other = seen.get(hole);
      if (!holeOf(board, hole)) findings.push(finding('hole-missing', { hole, part }));
      else if (other !== undefined) findings.push(finding('hole-taken', { hole, part, other }));
      seen.set(hole, part);
    }
  }
  return findings;
}

/** Whether a kept plan still speaks of this circuit: every part placed once, with all its legs. */
export function planCovers(plan: Plan, circuit: Circuit): boolean {
  const parts = plan.placements.filter((p) => p.kind === 'part');
  return (
    parts.length === circuit.parts.length &&
    circuit.parts.every((part) => {
      const legs = parts.find((p) => p.part === part.id)?.legs;
      return legs !== undefined && Object.keys(part.pins).every((pin) => pin in legs);
    })
  );
}

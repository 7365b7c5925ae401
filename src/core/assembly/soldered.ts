import { boardOf } from '../board/copper';
import type { Placement, Plan } from '../board/plan';
import { heightOf } from '../parts/thing';
import { blocksOf, wirePlaces, type Block } from './blocks';
import { gateAt, type GateGround } from './gates';
import { PACE } from './pace';
import { blockGate, powerSteps } from './plugged';
import { idsOf, type Piece, type Step } from './step';

/** Lamps that are soldered and tested together by those who have soldered before. */
export const BATCH_MOST = 8;

/**
 * The solder card: strips cut and wires laid first, then batch by batch the flat parts and the lamps, each batch
 * tacked, looked at, finished, trimmed, and tested with the current that it alone should draw; leads last.
 *
 * @param batch lamps in one batch, 1 for first-timers
 */
export function solderedSteps(ground: GateGround, batch: number): Step[] {
  const { plan, circuit } = ground;
  const batches = batchesOf(blocksOf(plan, circuit), Math.max(1, Math.min(batch, BATCH_MOST)));
  const wires = plan.placements.filter((p) => p.kind === 'jumper');
  const joints = plan.placements.reduce((sum, p) => sum + Object.keys(p.legs).length, 0);
  const inspect: Step = {
    id: 'inspect',
    action: 'inspect',
    joints,
    links: wires.length,
    minutes: PACE.inspect,
  };
  const there = new Set(wires.map(({ part }) => part));
  return [
    ...(plan.cuts?.length
      ? [{ id: 'cuts', action: 'cut', cuts: plan.cuts, minutes: PACE.cut * plan.cuts.length } as const]
      : []),
    ...wires.map((wire) => linkStep(wire, plan)),
    ...batches.flatMap((own, i) => batchSteps(own, i, batches.length, ground, there)),
    inspect,
    ...powerSteps(ground),
  ];
}

/** Stages together in batches; heat-sensitive things come last within each. */
function batchesOf(blocks: readonly Block[], lamps: number): Block[][] {
  const batches: Block[][] = [];
  let count = Infinity;
  for (const block of blocks) {
    const own = block.pieces.filter(({ kind }) => kind === 'led' || kind === 'rgb').length;
    if (count + own > lamps) {
      batches.push([]);
      count = 0;
    }
    batches[batches.length - 1]!.push(block);
    count += own;
  }
  return batches;
}

/** @param there pieces on the board before; those of the batch are added */
function batchSteps(
  own: readonly Block[],
  index: number,
  of: number,
  ground: GateGround,
  there: Set<string>,
): Step[] {
  const pieces = own.flatMap((block) => block.pieces);
  const parts: readonly [Piece[], 'flat' | 'standing'][] = [
    [pieces.filter((piece) => heightOf(piece) < 3), 'flat'],
    [pieces.filter((piece) => heightOf(piece) >= 3), 'standing'],
  ];
  const steps = parts.flatMap(([some, height]): Step[] => {
    if (some.length === 0) return [];
    const joints = some.reduce((sum, { legs }) => sum + legs.length, 0);
    return [
      {
        id: `batch-${index + 1}-${height}`,
        action: 'solder-batch',
        batch: index + 1,
        of,
        pieces: some,
        joints,
        height,
        minutes: 1 + PACE.joint * joints,
      },
    ];
  });
  const before = new Set(there);
  for (const id of steps.flatMap(idsOf)) there.add(id);
  if (of === 1) return steps;
  const newest = pieces.map(({ part }) => part);
  const gate = gateAt(ground, there, newest, before);
  return gate.erratic ? steps : [...steps, blockGate(index + 1, of, gate)];
}

function linkStep(wire: Placement, plan: Plan): Step {
  return {
    id: wire.part,
    action: 'place-jumper',
    part: wire.part,
    legs: wirePlaces(wire),
    colour: wire.colour ?? 'green',
    onTheBack: boardOf(plan).copper === 'pads',
    minutes: 2 * PACE.joint + 0.3,
  };
}

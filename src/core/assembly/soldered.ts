import type { Placement, Plan } from '../board/plan';
import type { Circuit } from '../circuit/circuit';
import { PACE } from './pace';
import { gate, supplySteps } from './plugged';
import { halfBuilt } from './readings';
import { heightOf, legPlaces, partial, blocksOf, type Block } from './blocks';
import type { Piece, Step } from './step';

/** Lamps that are soldered and tested together by those who have soldered before. */
export const BATCH_MOST = 8;

/**
 * The solder card: strips cut and wires laid first, then batch by batch the flat parts and the lamps, each batch
 * tacked, looked at, finished, trimmed, and tested with the current that it alone should draw; leads last.
 *
 * @param batch lamps in one batch, 1 for first-timers
 */
export function solderedSteps(plan: Plan, circuit: Circuit, batch: number): Step[] {
  const blocks = blocksOf(plan, circuit);
  const batches = batchesOf(blocks, Math.max(1, Math.min(batch, BATCH_MOST)));
  const wires = plan.placements.filter((p) => p.kind === 'jumper');
  const body = batches.flatMap((own, i) => batchSteps(own, i, batches, blocks, circuit));
  const joints = plan.placements.reduce((sum, p) => sum + Object.keys(p.legs).length, 0);
  const inspect: Step = {
    id: 'inspect',
    action: 'inspect',
    joints,
    links: wires.length,
    minutes: PACE.inspect,
  };
  return [
    ...(plan.cuts?.length
      ? [{ id: 'cuts', action: 'cut', cuts: plan.cuts, minutes: PACE.cut * plan.cuts.length } as const]
      : []),
    ...wires.map((wire) => linkStep(wire, plan)),
    ...body,
    inspect,
    gate('before-power'),
    ...supplySteps(plan, circuit),
    gate('after-power'),
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

function batchSteps(
  own: readonly Block[],
  index: number,
  batches: readonly (readonly Block[])[],
  blocks: readonly Block[],
  circuit: Circuit,
): Step[] {
  const pieces = own.flatMap((block) => block.pieces);
  const parts: readonly [Piece[], 'flat' | 'standing'][] = [
    [pieces.filter(({ kind }) => heightOf(kind) < 3), 'flat'],
    [pieces.filter(({ kind }) => heightOf(kind) >= 3), 'standing'],
  ];
  const steps = parts.flatMap(([some, height]): Step[] => {
    if (some.length === 0) return [];
    const joints = some.reduce((sum, { legs }) => sum + legs.length, 0);
    return [
      {
        id: `batch-${index + 1}-${height}`,
        action: 'solder-batch',
        batch: index + 1,
        of: batches.length,
        pieces: some,
        joints,
        height,
        minutes: 1 + PACE.joint * joints,
      },
    ];
  });
  if (batches.length === 1) return steps;
  const last = own[own.length - 1]!.number;
  const before = halfBuilt(partial(circuit, blocks, own[0]!.number - 1), []);
  const now = halfBuilt(
    partial(circuit, blocks, last),
    pieces.map(({ part }) => part),
  );
  const readings = [...now.readings, { part: 'B1', measure: 'amps' as const, value: now.amps - before.amps }];
  return [
    ...steps,
    {
      id: `gate-${index + 1}`,
      action: 'block-gate',
      block: index + 1,
      of: batches.length,
      lit: now.lit,
      readings,
      minutes: PACE['block-gate'],
    },
  ];
}

function linkStep(wire: Placement, plan: Plan): Step {
  return {
    id: wire.part,
    action: 'place-jumper',
    part: wire.part,
    legs: legPlaces('wire', wire),
    colour: wire.colour ?? 'green',
    onTheBack: plan.board === 'pad',
    minutes: 2 * PACE.joint + 0.3,
  };
}

import type { AsBuilt } from '../board/asBuilt';
import { boardOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import type { Placement, Plan } from '../board/plan';
import { POLARITY } from '../catalogue/polarity';
import { partOf, type Circuit } from '../circuit/circuit';
import { PACE } from './pace';
import { halfBuilt } from './readings';
import { legPlaces, partial, blocksOf, type Block } from './blocks';
import type { Piece, Step } from './step';

/**
 * The build card of a plug-in board: block by block, wires and low parts first, a test after each block,
 * a look before power, and the supply last of all, minus first.
 */
export function pluggedSteps(plan: Plan, circuit: Circuit, built: AsBuilt): Step[] {
  const blocks = blocksOf(plan, circuit);
  const tested = blocks.length > 1;
  const body = blocks.flatMap((block, i) => [
    ...blockSteps(block, plan, built),
    ...(tested && i < blocks.length - 1 ? [blockGate(block, blocks, circuit)] : []),
  ]);
  return [...body, gate('before-power'), ...supplySteps(plan, circuit), gate('after-power')];
}

export function gate(name: 'before-power' | 'after-power'): Step {
  return { id: name, action: 'gate', gate: name, minutes: PACE.gate };
}

/** The supply's leads, minus first and plus last of all. */
export function supplySteps(plan: Plan, circuit: Circuit): Step[] {
  const supply = plan.placements.find((p) => partOf(circuit, p.part)?.kind === 'supply');
  if (!supply) return [];
  return (['minus', 'plus'] as const).map((pin): Step => ({
    id: `${supply.part}-${pin}`,
    action: 'connect-supply',
    part: supply.part,
    pin,
    legs: [{ pin, hole: supply.legs[pin]!, cue: POLARITY['supply']!.pins[pin]! }],
    minutes: PACE['connect-supply'],
  }));
}

function blockSteps(block: Block, plan: Plan, built: AsBuilt): Step[] {
  if (block.like !== undefined) return [repeatStep(block, plan)];
  return [...block.jumpers.map(jumperStep), ...block.pieces.map((piece) => partStep(piece, built))];
}

export function jumperStep(placement: Placement): Step {
  const { part, colour = 'green' } = placement;
  const legs = legPlaces('wire', placement);
  return { id: part, action: 'place-jumper', part, legs, colour, minutes: PACE['place-jumper'] };
}

export function partStep(piece: Piece, built: AsBuilt): Step {
  const { part, kind, legs } = piece;
  const positive = positiveEnd(piece, built);
  return {
    id: part,
    action: 'place-part',
    part,
    kind,
    legs,
    polarised: POLARITY[kind]?.polarised ?? false,
    minutes: PACE['place-part'],
    ...(positive ? { positive } : {}),
  };
}

function repeatStep(block: Block, plan: Plan): Step {
  const wires = block.jumpers.map((p): Piece => ({ part: p.part, kind: 'wire', legs: legPlaces('wire', p) }));
  const pieces = [...wires, ...block.pieces];
  const board = boardOf(plan);
  const rows = pieces
    .flatMap(({ legs }) => legs.map(({ hole }) => holeOf(board, hole)))
    .flatMap((hole) => (hole && !hole.rail ? [hole.row] : []));
  return {
    id: `block-${block.number}`,
    action: 'repeat',
    block: block.number,
    like: block.like!,
    pieces,
    rows: [Math.min(...rows), Math.max(...rows)],
    minutes: PACE.repeated * pieces.length,
  };
}

function blockGate(block: Block, blocks: readonly Block[], circuit: Circuit): Step {
  const { lit, readings } = halfBuilt(
    partial(circuit, blocks, block.number),
    block.pieces.map(({ part }) => part),
  );
  const minutes = PACE['block-gate'];
  const id = `gate-${block.number}`;
  return { id, action: 'block-gate', block: block.number, of: blocks.length, lit, readings, minutes };
}

function positiveEnd(piece: Piece, built: AsBuilt) {
  const pins = partOf(built.circuit, piece.part)?.pins;
  if (!pins || !built.solved || piece.legs.length !== 2) return undefined;
  const [one, other] = piece.legs.map(({ pin, hole }) => ({
    hole,
    volts: built.solved!.nodes[pins[pin]!] ?? 0,
  }));
  const [low, high] = one!.volts < other!.volts ? [one!, other!] : [other!, one!];
  return { hole: high.hole, volts: high.volts - low.volts };
}

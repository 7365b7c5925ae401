import type { AsBuilt } from '../board/asBuilt';
import { boardOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import type { Placement, Plan } from '../board/plan';
import { POLARITY } from '../catalogue/polarity';
import { partOf, type Circuit } from '../circuit/circuit';
import { PACE } from './pace';
import { halfBuilt } from './readings';
import { legPlaces, partial, stagesOf, type Stage } from './stages';
import type { Piece, Step } from './step';

/**
 * The build card of a plug-in board: stage by stage, wires and low parts first, a test after each stage,
 * a look before power, and the supply last of all, minus first.
 */
export function pluggedSteps(plan: Plan, circuit: Circuit, built: AsBuilt): Step[] {
  const stages = stagesOf(plan, circuit);
  const tested = stages.length > 1;
  const body = stages.flatMap((stage, i) => [
    ...stageSteps(stage, plan, built),
    ...(tested && i < stages.length - 1 ? [stageGate(stage, stages, circuit)] : []),
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

function stageSteps(stage: Stage, plan: Plan, built: AsBuilt): Step[] {
  if (stage.like !== undefined) return [repeatStep(stage, plan)];
  return [...stage.jumpers.map(jumperStep), ...stage.pieces.map((piece) => partStep(piece, built))];
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

function repeatStep(stage: Stage, plan: Plan): Step {
  const wires = stage.jumpers.map((p): Piece => ({ part: p.part, kind: 'wire', legs: legPlaces('wire', p) }));
  const pieces = [...wires, ...stage.pieces];
  const board = boardOf(plan);
  const rows = pieces
    .flatMap(({ legs }) => legs.map(({ hole }) => holeOf(board, hole)))
    .flatMap((hole) => (hole && !hole.rail ? [hole.row] : []));
  return {
    id: `stage-${stage.number}`,
    action: 'repeat',
    stage: stage.number,
    like: stage.like!,
    pieces,
    rows: [Math.min(...rows), Math.max(...rows)],
    minutes: PACE.repeated * pieces.length,
  };
}

function stageGate(stage: Stage, stages: readonly Stage[], circuit: Circuit): Step {
  const { lit, readings } = halfBuilt(
    partial(circuit, stages, stage.number),
    stage.pieces.map(({ part }) => part),
  );
  const minutes = PACE['stage-gate'];
  const id = `gate-${stage.number}`;
  return { id, action: 'stage-gate', stage: stage.number, of: stages.length, lit, readings, minutes };
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

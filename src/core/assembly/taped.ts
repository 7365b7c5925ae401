import type { AsBuilt } from '../board/asBuilt';
import { boardOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import type { Plan } from '../board/plan';
import { sourceOf } from '../circuit/source';
import { PACE } from './pace';
import type { GateGround } from './gates';
import { lastGate, lookStep, partStep } from './plugged';
import { blocksOf } from './blocks';
import type { Step } from './step';

const MM_PER_PITCH = 2.54;
/** Folded under at each end, so that no edge lifts. */
const FOLD_MM = 8;
/** From the last lamp to the cell's face and over its edge. */
const TO_CELL_MM = 30;

export interface Tape {
  readonly name: string;
  /** Millimetres with the folds. */
  readonly length: number;
  readonly from: string;
  readonly to: string;
}

/** Every piece of tape that a card's plan needs, plus and minus first. */
export function tapesOf(plan: Plan): Tape[] {
  const board = boardOf(plan);
  const ends = new Map<string, string[]>();
  for (const hole of plan.placements.flatMap((p) => Object.values(p.legs))) {
    const strip = holeOf(board, hole)!.strip;
    ends.set(strip, [...(ends.get(strip) ?? []), hole]);
  }
  const tapes = [...ends].map(([name, holes]): Tape => {
    const found = holes.map((hole) => holeOf(board, hole)!);
    const [first, last] = [found[0]!, found[found.length - 1]!];
    const across = Math.max(...found.map(({ x }) => x)) - Math.min(...found.map(({ x }) => x));
    const down = Math.max(...found.map(({ y }) => y)) - Math.min(...found.map(({ y }) => y));
    const power = name === 'p' || name === 'm';
    const length = (across + down) * MM_PER_PITCH + 2 * FOLD_MM + (power ? TO_CELL_MM : 0);
    return { name, length: Math.ceil(length / 5) * 5, from: first.name, to: last.name };
  });
  const order = (name: string) => (name === 'p' ? 0 : name === 'm' ? 1 : 2);
  return tapes.sort((a, b) => order(a.name) - order(b.name));
}

/** The craft card: tapes, lamps tried on the cell before they are fixed, the cell between its tapes last. */
export function tapedSteps(ground: GateGround, built: AsBuilt): Step[] {
  const { plan, circuit } = ground;
  const tapes = tapesOf(plan).map(({ name, length, from, to }): Step => ({
    id: `tape-${name}`,
    action: 'lay-tape',
    tape: name,
    length,
    from,
    to,
    minutes: PACE.tape,
  }));
  const pieces = blocksOf(plan, circuit).flatMap((block) => block.pieces);
  const placed = pieces.flatMap((piece): Step[] =>
    piece.kind === 'led'
      ? [
          { id: `try-${piece.part}`, action: 'test-on-cell', part: piece.part, minutes: 0.75 },
          partStep(piece, circuit, built),
        ]
      : [partStep(piece, circuit, built)],
  );
  const wires = plan.placements
    .filter((p) => p.kind === 'jumper')
    .map(({ part, legs }): Step => {
      const [from, to] = Object.values(legs) as [string, string];
      const board = boardOf(plan);
      const away = Math.abs(holeOf(board, from)!.y - holeOf(board, to)!.y) * MM_PER_PITCH + 2 * FOLD_MM;
      const length = Math.ceil(away / 5) * 5;
      return { id: part, action: 'lay-tape', tape: part, jumper: true, length, from, to, minutes: PACE.tape };
    });
  const supply = sourceOf(circuit);
  const cell: Step[] = supply
    ? [{ id: 'cell', action: 'fold-cell', part: supply.id, minutes: 2 * PACE.tape }]
    : [];
  return [...tapes, ...wires, ...placed, lookStep(), ...cell, lastGate(ground)];
}

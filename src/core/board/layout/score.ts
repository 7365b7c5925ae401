import { boardOf } from '../copper';
import { distance, holeOf } from '../geometry';
import type { Plan } from '../plan';
import { isArched } from '../arches';
import { crosses } from './wirePrice';
import { WEIGHTS } from './weights';

/** How good a plan is to build from: fewer, straighter and shorter wires, none over another. */
export interface Quality {
  readonly jumpers: number;
  /** All wires together, in pitches of 2.54 mm. */
  readonly wire: number;
  readonly crossings: number;
  /** Flat wires that lie neither along a row nor down a column. */
  readonly slants: number;
  readonly cuts: number;
  /** Wires, their length, crossings and cuts in one figure; smaller is better. */
  readonly cost: number;
}

export function qualityOf(plan: Plan): Quality {
  const board = boardOf(plan);
  const wires = plan.placements
    .filter((p) => p.kind === 'jumper')
    .map((p) => Object.values(p.legs).map((hole) => holeOf(board, hole)!) as [Hole, Hole]);
  let crossings = 0;
  wires.forEach(([a, b], i) => {
    for (const [c, d] of wires.slice(i + 1)) if (crosses(a, b, c, d)) crossings++;
  });
  const wire = wires.reduce((sum, [a, b]) => sum + distance(a, b), 0);
  const cuts = plan.cuts?.length ?? 0;
  const jumper = board.copper === 'pads' ? WEIGHTS.link : WEIGHTS.jumper;
  const slants = wires.filter(([a, b]) => a.x !== b.x && a.y !== b.y && !isArched(plan, [a, b])).length;
  const cost = jumper * wires.length + WEIGHTS.wire * wire + WEIGHTS.crossing * crossings + 0.3 * cuts;
  return { jumpers: wires.length, wire, crossings, slants, cuts, cost };
}

type Hole = NonNullable<ReturnType<typeof holeOf>>;

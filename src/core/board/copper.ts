import { BOARDS, type BoardId, type BoardSpec } from './boards';
import { holeOf, type HoleName } from './geometry';

/** What the copper of a plan depends on: its board, and where strips are cut. */
interface Copper {
  readonly board: BoardId;
  readonly cuts?: readonly HoleName[] | undefined;
}

export function boardOf(plan: Pick<Copper, 'board'>): BoardSpec {
  return BOARDS[plan.board];
}

/**
 * The name of the copper that each hole sits on, with the plan's cuts made: a strip cut at C7 falls into
 * `C 1–6` and `C 8–40`; the hole of the cut itself belongs to neither.
 */
export function copperOf(plan: Copper): (hole: HoleName) => string {
  const board = boardOf(plan);
  const cutsIn = new Map<string, number[]>();
  for (const cut of plan.cuts ?? []) {
    const hole = holeOf(board, cut);
    if (hole) cutsIn.set(hole.strip, [...(cutsIn.get(hole.strip) ?? []), hole.x]);
  }
  return (name) => {
    const hole = holeOf(board, name);
    if (!hole) return name;
    const cuts = cutsIn.get(hole.strip);
    if (!cuts) return hole.strip;
    if (cuts.includes(hole.x)) return `${name} cut`;
    const from = Math.max(0, ...cuts.filter((x) => x < hole.x)) + 1;
    const to = Math.min(board.across + 1, ...cuts.filter((x) => x > hole.x)) - 1;
    return `${hole.strip} ${from}–${to}`;
  };
}

import {
  boardHoles,
  boardOf,
  holeOf,
  LANE_PITCH,
  type BoardSpec,
  type Hole,
  type HoleName,
  type Plan,
} from '@/core';

/** Drawing units per pitch of 2.54 mm. */
export const UNIT = 18;
const LEFT = 1.1;
const TOP = 1.7;

/**
 * How a board's pitches turn into places: as they are; a quarter round, row 1 at the left; or strips running down.
 */
export type View = 'plain' | 'flat' | 'down';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Pitches across the widest row of a plug-in board, rails included. */
export const PLUG_WIDTH = 17;

/** The place of a hole in the drawing. */
export function at(hole: Pick<Hole, 'x' | 'y'>, view: View = 'plain'): Point {
  switch (view) {
    case 'plain':
      return { x: (hole.x + LEFT) * UNIT, y: (hole.y + TOP) * UNIT };
    case 'flat':
      return { x: (hole.y + LEFT) * UNIT, y: (PLUG_WIDTH - hole.x + TOP) * UNIT };
    case 'down':
      return { x: (hole.y + LEFT) * UNIT, y: (hole.x + TOP) * UNIT };
  }
}

/** How a board is drawn when it is held upright or flat: upright, all of them are taller than wide. */
export function viewOf(plan: Plan, held: 'upright' | 'flat'): View {
  const { copper } = boardOf(plan);
  if (copper === 'rows') return held === 'flat' ? 'flat' : 'plain';
  if (copper === 'tapes') return 'plain';
  return held === 'flat' ? 'plain' : 'down';
}

export function atHole(plan: Plan, name: HoleName, view: View = 'plain'): Point {
  const hole = holeOf(boardOf(plan), name);
  return hole ? at(hole, view) : { x: 0, y: 0 };
}

/** The hole nearest to a place in the drawing, if one is close. */
export function nearestHole(plan: Plan, place: Point, view: View = 'plain'): Hole | undefined {
  let best: Hole | undefined;
  let distance = UNIT * (boardOf(plan).copper === 'tapes' ? 2.5 : 1.2);
  for (const hole of boardHoles(boardOf(plan))) {
    const { x, y } = at(hole, view);
    const away = Math.hypot(x - place.x, y - place.y);
    if (away < distance) {
      best = hole;
      distance = away;
    }
  }
  return best;
}

/** What of the board is drawn, in pitches: whole, or as far as it is used and a little more. */
export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly foot: number;
}

export function extentOf(plan: Plan, whole: boolean): Extent {
  const board = boardOf(plan);
  if (board.copper === 'rows')
    return { left: 0, right: PLUG_WIDTH, top: 0, foot: rowsShown(plan, whole) + 1 };
  const used = plan.placements
    .flatMap((p) => Object.values(p.legs))
    .flatMap((name) => holeOf(board, name) ?? []);
  const [right, foot] = [Math.max(...used.map(({ x }) => x)), Math.max(...used.map(({ y }) => y))];
  if (board.copper === 'tapes') return { left: 0, right: right + LANE_PITCH, top: -1, foot: foot + 2 };
  return whole
    ? { left: 0, right: board.across + 1, top: 0, foot: board.rows + 1 }
    : {
        left: 0,
        right: Math.min(board.across, right + 3) + 1,
        top: 0,
        foot: Math.min(board.rows, foot + 2) + 1,
      };
}

/** The last row of a plug-in board that is drawn: enough to see every leg, and a few rows more. */
export function rowsShown(plan: Plan, whole: boolean): number {
  const board: BoardSpec = boardOf(plan);
  if (whole) return board.rows;
  const used = plan.placements.flatMap((p) =>
    Object.values(p.legs).map((name) => holeOf(board, name)?.row ?? 1),
  );
  return Math.min(board.rows, Math.max(15, Math.max(...used) + 4));
}

/** A part of a drawing, in its units. */
export interface Window {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Pitches that a window is long at least, and what it shows beyond what it is about. */
const WINDOW_LONG = 22;
const WINDOW_BEYOND = 6;

/** What is shown of a long board, across its whole width, so that these places are seen large; all of a short one. */
export function windowAround(places: readonly Point[], width: number, height: number): Window {
  const along = height >= width ? 'y' : 'x';
  const whole = along === 'y' ? height : width;
  if (places.length === 0 || whole <= (WINDOW_LONG + 4) * UNIT) return { x: 0, y: 0, width, height };
  const values = places.map((place) => place[along]);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const length = Math.min(whole, Math.max(WINDOW_LONG * UNIT, most - least + 2 * WINDOW_BEYOND * UNIT));
  const from = Math.max(0, Math.min(whole - length, (least + most - length) / 2));
  return along === 'y' ? { x: 0, y: from, width, height: length } : { x: from, y: 0, width: length, height };
}

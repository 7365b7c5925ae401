/** A plug-in board: rows of five joined holes either side of a trench, and rails along both edges. */
export interface BoardSpec {
  readonly id: 'half';
  readonly rows: number;
  readonly left: readonly string[];
  readonly right: readonly string[];
  readonly rails: readonly RailName[];
}

export const RAIL_NAMES = ['L+', 'L-', 'R+', 'R-'] as const;
export type RailName = (typeof RAIL_NAMES)[number];

export const HALF_BOARD: BoardSpec = {
  id: 'half',
  rows: 30,
  left: ['a', 'b', 'c', 'd', 'e'],
  right: ['f', 'g', 'h', 'i', 'j'],
  rails: RAIL_NAMES,
};

/** `a5`, or `L+3` on a rail. */
export type HoleName = string;

export interface Hole {
  readonly name: HoleName;
  /** Column letter, or rail. */
  readonly column: string;
  readonly row: number;
  /** The strip of joined holes it belongs to: `5 a–e`, `5 f–j`, or the rail. */
  readonly strip: string;
  readonly rail: boolean;
  /** Place in pitches of 2.54 mm; rows run downwards from 1. */
  readonly x: number;
  readonly y: number;
}

/** Columns in pitches from the left rail; the trench is two pitches wide, so that a chip's pins fall in e and f. */
const COLUMN_X: Readonly<Record<string, number>> = {
  'L+': 0,
  'L-': 1,
  a: 3,
  b: 4,
  c: 5,
  d: 6,
  e: 7,
  f: 10,
  g: 11,
  h: 12,
  i: 13,
  j: 14,
  'R+': 16,
  'R-': 17,
};

export const BOARD_WIDTH = 17;

/** Rail holes come in groups of five with a gap of one. */
export function railHasHole(row: number): boolean {
  return row % 6 !== 0;
}

export function boardHoles(board: BoardSpec): Hole[] {
  const holes: Hole[] = [];
  for (let row = 1; row <= board.rows; row++) {
    for (const column of [...board.left, ...board.right]) holes.push(hole(board, column, row));
    if (railHasHole(row)) for (const rail of board.rails) holes.push(hole(board, rail, row));
  }
  return holes;
}

function hole(board: BoardSpec, column: string, row: number): Hole {
  const rail = board.rails.some((name) => name === column);
  const side = board.left.includes(column) ? board.left : board.right;
  return {
    name: `${column}${row}`,
    column,
    row,
    rail,
    strip: rail ? column : `${row} ${side[0]!}–${side[side.length - 1]!}`,
    x: COLUMN_X[column]!,
    y: row,
  };
}

/** The hole of a name, or undefined when the board has none of that name. */
export function holeOf(board: BoardSpec, name: HoleName): Hole | undefined {
  const found = /^([a-j]|[LR][+-])(\d{1,2})$/u.exec(name);
  if (!found) return undefined;
  const [column, row] = [found[1]!, Number(found[2])];
  const known = [...board.left, ...board.right, ...board.rails].includes(column);
  if (!known || row < 1 || row > board.rows) return undefined;
  const made = hole(board, column, row);
  return made.rail && !railHasHole(row) ? undefined : made;
}

/** The rail hole at a row, or the closest one that there is. */
export function railHoleNear(board: BoardSpec, rail: RailName, row: number): HoleName {
  const near = [row, row + 1, row - 1].find((r) => r >= 1 && r <= board.rows && railHasHole(r));
  return `${rail}${near ?? 1}`;
}

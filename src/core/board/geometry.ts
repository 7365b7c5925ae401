import { BOARD_IDS, BOARDS, type BoardId, type BoardSpec, type RailName } from './boards';

/** Looked up once: these stand in the innermost loops. */
const { floor, hypot } = Math;

/** `a5` or `L+3` on a plug-in board, `C12` on a soldered one, `p3`, `m3` or `2s3` on a card's lane 3. */
export type HoleName = string;

export interface Hole {
  readonly name: HoleName;
  /** Column letter or rail; on a soldered board the letter of the row; on a card the tape. */
  readonly column: string;
  readonly row: number;
  /** The joined holes it belongs to: `5 a–e`, a rail, a strip before it is cut, a tape. */
  readonly strip: string;
  readonly rail: boolean;
  /** Place in pitches of 2.54 mm, x to the right and y down. */
  readonly x: number;
  readonly y: number;
}

export const LEFT_COLUMNS = ['a', 'b', 'c', 'd', 'e'] as const;
export const RIGHT_COLUMNS = ['f', 'g', 'h', 'i', 'j'] as const;

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

/** The middle of the trench of a plug-in board, in pitches from the left rail. */
export const TRENCH_X = 8.5;

/** Rail holes come in groups of five with a gap of one. */
export function railHasHole(row: number): boolean {
  return row % 6 !== 0;
}

/** Pitches between two lanes of a card, and between a tape and the next one down a lane. */
export const LANE_PITCH = 5;
export const TAPE_PITCH = 6;

interface Grid {
  readonly holes: readonly Hole[];
  readonly byName: ReadonlyMap<HoleName, Hole>;
}

const GRIDS = Object.fromEntries(
  BOARD_IDS.map((id): [BoardId, Grid] => {
    const holes = holesOf(BOARDS[id]);
    return [id, { holes, byName: new Map(holes.map((hole) => [hole.name, hole])) }];
  }),
) as Readonly<Record<BoardId, Grid>>;

function holesOf(board: BoardSpec): Hole[] {
  if (board.copper === 'rows') return plugHoles(board);
  return board.copper === 'tapes' ? cardHoles(board) : gridHoles(board);
}

function plugHoles(board: BoardSpec): Hole[] {
  const holes: Hole[] = [];
  for (let row = 1; row <= board.rows; row++) {
    for (const side of [LEFT_COLUMNS, RIGHT_COLUMNS]) {
      for (const column of side) {
        const strip = `${row} ${side[0]}–${side[4]}`;
        holes.push({
          name: `${column}${row}`,
          column,
          row,
          strip,
          rail: false,
          x: COLUMN_X[column]!,
          y: row,
        });
      }
    }
    if (!railHasHole(row)) continue;
    for (const rail of board.rails) {
      const strip = board.splitAfter && row > board.splitAfter ? `${rail} lower` : rail;
      holes.push({ name: `${rail}${row}`, column: rail, row, strip, rail: true, x: COLUMN_X[rail]!, y: row });
    }
  }
  return holes;
}

/** The letters of a soldered board's row: A to Z, and then AA, AB and so on. */
function lettersOf(row: number): string {
  const letter = String.fromCharCode(65 + (row % 26));
  return row < 26 ? letter : `A${letter}`;
}

function gridHoles(board: BoardSpec): Hole[] {
  return Array.from({ length: board.rows * board.across }, (_, i): Hole => {
    const row = floor(i / board.across);
    const x = (i % board.across) + 1;
    const column = lettersOf(row);
    const name = `${column}${x}`;
    const strip = board.copper === 'pads' ? name : column;
    return { name, column, row: x, strip, rail: false, x, y: row + 1 };
  });
}

/** A card's lanes hang between the plus tape along the top and the minus tape along the foot. */
function cardHoles(board: BoardSpec): Hole[] {
  const holes: Hole[] = [];
  for (let lane = 0; lane <= board.across; lane++) {
    const x = lane * LANE_PITCH;
    const at = (name: string, column: string, y: number, strip: string) =>
      holes.push({ name, column, row: lane, strip, rail: strip.length === 1, x, y });
    at(`p${lane}`, 'p', 0, 'p');
    at(`m${lane}`, 'm', (board.rows - 1) * TAPE_PITCH, 'm');
    if (lane === 0) continue;
    for (let stub = 1; stub < board.rows - 1; stub++) {
      const column = `${stub}s`;
      at(`${column}${lane}`, column, stub * TAPE_PITCH, `${column}${lane}`);
      at(`${stub}t${lane}`, `${stub}t`, stub * TAPE_PITCH + 1, `${column}${lane}`);
    }
  }
  return holes;
}

export function boardHoles(board: BoardSpec): readonly Hole[] {
  return GRIDS[board.id].holes;
}

/** The hole of a name, or undefined when the board has none of that name. */
export function holeOf(board: BoardSpec, name: HoleName): Hole | undefined {
  return GRIDS[board.id].byName.get(name);
}

/** The rail hole at a row, or the closest one that there is. */
export function railHoleNear(board: BoardSpec, rail: RailName, row: number): HoleName {
  const near = [row, row + 1, row - 1].find((r) => holeOf(board, `${rail}${r}`));
  return `${rail}${near ?? 1}`;
}

export function distance(a: Hole, b: Hole): number {
  return hypot(a.x - b.x, a.y - b.y);
}

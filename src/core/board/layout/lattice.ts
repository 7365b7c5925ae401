import type { BoardSpec } from '../boards';
import { boardHoles, LEFT_COLUMNS, RIGHT_COLUMNS, type Hole } from '../geometry';

/** A board's holes by number, for the inner loops of the layout. */
export interface Lattice {
  readonly board: BoardSpec;
  readonly holes: readonly Hole[];
  /** Number of the uncut strip of each hole. */
  readonly strip: Int32Array;
  readonly members: readonly (readonly number[])[];
  /** Place of each hole among the members of its strip. */
  readonly placeOf: Int32Array;
  /** Columns run across, ranks down; −1 where there is no hole. Rails are no columns. */
  readonly columns: number;
  readonly ranks: number;
  at(column: number, rank: number): number;
  /** Column and rank of each hole; rails have neither and stand at column −1. */
  readonly columnOf: Int32Array;
  readonly rankOf: Int32Array;
  number(name: string): number;
  /** The hole at a place in pitches, −1 where there is none. */
  placeAt(x: number, y: number): number;
}

/** More rows than any board has. */
const ROWS_MOST = 1000;

const PLUG_COLUMNS: readonly string[] = [...LEFT_COLUMNS, ...RIGHT_COLUMNS];

const KNOWN = new WeakMap<BoardSpec, Lattice>();

/** The lattice of a board, worked out once for each. */
export function latticeOf(board: BoardSpec): Lattice {
  const lattice = KNOWN.get(board) ?? lattices(board);
  KNOWN.set(board, lattice);
  return lattice;
}

function lattices(board: BoardSpec): Lattice {
  const holes = boardHoles(board);
  const strips = new Map<string, number>();
  const members: number[][] = [];
  const placeOf = new Int32Array(holes.length);
  const strip = Int32Array.from(holes, (hole, i) => {
    const known = strips.get(hole.strip) ?? strips.size;
    strips.set(hole.strip, known);
    placeOf[i] = (members[known] ??= []).push(i) - 1;
    return known;
  });
  const plugged = board.copper === 'rows';
  const columns = plugged ? PLUG_COLUMNS.length : board.across;
  const ranks = board.rows;
  const grid = new Int32Array(columns * ranks).fill(-1);
  const names = new Map<string, number>();
  const places = new Map<number, number>();
  const columnOf = new Int32Array(holes.length).fill(-1);
  const rankOf = new Int32Array(holes.length).fill(-1);
  holes.forEach((hole, i) => {
    names.set(hole.name, i);
    places.set(hole.x * ROWS_MOST + hole.y, i);
    const column = plugged ? PLUG_COLUMNS.indexOf(hole.column) : hole.x - 1;
    const rank = (plugged ? hole.row : hole.y) - 1;
    if (column < 0 || hole.rail) return;
    grid[rank * columns + column] = i;
    columnOf[i] = column;
    rankOf[i] = rank;
  });
  return {
    board,
    holes,
    strip,
    members,
    placeOf,
    columns,
    ranks,
    columnOf,
    rankOf,
    at: (column, rank) =>
      column < 0 || rank < 0 || column >= columns || rank >= ranks ? -1 : grid[rank * columns + column]!,
    number: (name) => names.get(name) ?? -1,
    placeAt: (x, y) => places.get(x * ROWS_MOST + y) ?? -1,
  };
}

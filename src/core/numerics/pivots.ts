import { LIMITS } from './limits';

/** Looked up once: these stand in the innermost loops. */
const { abs, max } = Math;

/** Where the entries of a square matrix stand; entry 0 is a bin that belongs to no place. */
export interface Coordinates {
  readonly size: number;
  readonly rows: Int32Array;
  readonly columns: Int32Array;
}

/** An elimination written down as places in the array of entries, with what is filled in behind them. */
export interface Ordering {
  /** Entries and filled-in places together. */
  readonly places: number;
  /** Row and column of the matrix that step k eliminates. */
  readonly rows: Int32Array;
  readonly columns: Int32Array;
  readonly diagonal: Int32Array;
  readonly inverse: Float64Array;
  /** Multipliers of step k: their places, the steps they belong to, and the most they may grow to. */
  readonly lowerStart: Int32Array;
  readonly lowerAt: Int32Array;
  readonly lowerRow: Int32Array;
  readonly most: Float64Array;
  /** Row of step k beside its pivot. */
  readonly upperStart: Int32Array;
  readonly upperAt: Int32Array;
  readonly upperColumn: Int32Array;
  /** For each multiplier, the places that its row takes from the pivot's row. */
  readonly target: Int32Array;
  /** Takes what the multipliers are now as the measure of their growth. */
  rememberGrowth(lu: Float64Array): void;
}

/** One row while pivots are being chosen: values by column, and the largest there was at first. */
interface Row {
  readonly values: Map<number, number>;
  scale: number;
}

/**
 * Chooses pivots of few neighbours (Markowitz) among those that are large enough in their scaled column, and writes
 * the elimination down.
 *
 * @param values the entries, in the order of `at`
 * @returns the elimination, or the column for which no usable pivot was left
 */
export function choosePivots(at: Coordinates, values: Float64Array): Ordering | number {
  const table = rowsOf(at, values);
  const holders = holdersOf(table, at.size);
  const steps: { row: number; column: number; lower: number[]; upper: number[] }[] = [];
  const leftColumns = new Set(holders.keys());
  while (steps.length < at.size) {
    const pivot = nextPivot(table, holders, leftColumns);
    if (typeof pivot === 'number') return pivot;
    const { row, column } = pivot;
    leftColumns.delete(column);
    const pivotRow = table[row]!.values;
    for (const c of pivotRow.keys()) holders[c]!.delete(row);
    const lower = [...holders[column]!];
    const upper = [...pivotRow.keys()].filter((c) => c !== column);
    for (const r of lower) eliminate(table[r]!, pivotRow, r, column, upper, holders);
    steps.push({ row, column, lower, upper });
  }
  return writeDown(at, steps);
}

function rowsOf(at: Coordinates, values: Float64Array): Row[] {
  const table = Array.from({ length: at.size }, (): Row => ({ values: new Map(), scale: 0 }));
  for (let s = 1; s < at.rows.length; s++) {
    const { values: row } = table[at.rows[s]!]!;
    row.set(at.columns[s]!, (row.get(at.columns[s]!) ?? 0) + values[s]!);
  }
  for (const row of table) for (const value of row.values.values()) row.scale = max(row.scale, abs(value));
  return table;
}

function holdersOf(table: readonly Row[], size: number): Set<number>[] {
  const holders = Array.from({ length: size }, () => new Set<number>());
  table.forEach((row, r) => {
    for (const c of row.values.keys()) holders[c]!.add(r);
  });
  return holders;
}

/** Columns looked at before the best pivot so far is taken. */
const COLUMNS_LOOKED_AT = 4;

function nextPivot(
  table: readonly Row[],
  holders: readonly Set<number>[],
  left: ReadonlySet<number>,
): { row: number; column: number } | number {
  const shortest: number[] = [];
  for (const c of left) {
    const count = holders[c]!.size;
    if (count === 0) return c;
    if (shortest.length < COLUMNS_LOOKED_AT || count < holders[shortest[shortest.length - 1]!]!.size) {
      if (shortest.length === COLUMNS_LOOKED_AT) shortest.pop();
      let i = shortest.length;
      while (i > 0 && holders[shortest[i - 1]!]!.size > count) i--;
      shortest.splice(i, 0, c);
    }
  }
  let best: { row: number; column: number; cost: number; ratio: number } | undefined;
  for (const column of shortest) {
    const found = pivotOf(table, holders, column);
    if (!found) return column;
    if (!best || found.cost < best.cost || (found.cost === best.cost && found.ratio > best.ratio))
      best = found;
  }
  return best!;
}

function pivotOf(table: readonly Row[], holders: readonly Set<number>[], column: number) {
  let largest = 0;
  for (const r of holders[column]!)
    largest = max(largest, abs(table[r]!.values.get(column)!) / table[r]!.scale);
  if (!(largest > LIMITS.pivot)) return undefined;
  let best: { row: number; column: number; cost: number; ratio: number } | undefined;
  for (const r of holders[column]!) {
    const ratio = abs(table[r]!.values.get(column)!) / table[r]!.scale;
    if (ratio < LIMITS.pivotChoice * largest) continue;
    const cost = (table[r]!.values.size - 1) * (holders[column]!.size - 1);
    if (!best || cost < best.cost || (cost === best.cost && ratio > best.ratio)) {
      best = { row: r, column, cost, ratio };
    }
  }
  return best;
}

function eliminate(
  row: Row,
  pivotRow: ReadonlyMap<number, number>,
  r: number,
  column: number,
  upper: readonly number[],
  holders: readonly Set<number>[],
): void {
  const factor = row.values.get(column)! / pivotRow.get(column)!;
  row.values.delete(column);
  for (const c of upper) {
    row.values.set(c, (row.values.get(c) ?? 0) - factor * pivotRow.get(c)!);
    holders[c]!.add(r);
  }
}

type Steps = readonly { row: number; column: number; lower: number[]; upper: number[] }[];

function writeDown(at: Coordinates, steps: Steps): Ordering {
  const n = at.size;
  const stepOfRow = new Int32Array(n);
  const stepOfColumn = new Int32Array(n);
  steps.forEach(({ row, column }, k) => {
    stepOfRow[row] = k;
    stepOfColumn[column] = k;
  });
  const places = new Map<number, number>();
  for (let s = 1; s < at.rows.length; s++) places.set(at.rows[s]! * n + at.columns[s]!, s);
  const place = (row: number, column: number): number => {
    const key = row * n + column;
    let found = places.get(key);
    if (found === undefined) places.set(key, (found = places.size + 1));
    return found;
  };
  const lowerStart = starts(steps.map((s) => s.lower.length));
  const upperStart = starts(steps.map((s) => s.upper.length));
  const lowerAt = Int32Array.from(steps.flatMap((s) => s.lower.map((r) => place(r, s.column))));
  const upperAt = Int32Array.from(steps.flatMap((s) => s.upper.map((c) => place(s.row, c))));
  const target = Int32Array.from(
    steps.flatMap((s) => s.lower.flatMap((r) => s.upper.map((c) => place(r, c)))),
  );
  const diagonal = Int32Array.from(steps, (s) => place(s.row, s.column));
  const most = new Float64Array(lowerAt.length);
  return {
    places: places.size + 1,
    rows: Int32Array.from(steps, (s) => s.row),
    columns: Int32Array.from(steps, (s) => s.column),
    diagonal,
    inverse: new Float64Array(n),
    lowerStart,
    lowerAt,
    lowerRow: Int32Array.from(steps.flatMap((s) => s.lower.map((r) => stepOfRow[r]!))),
    most,
    upperStart,
    upperAt,
    upperColumn: Int32Array.from(steps.flatMap((s) => s.upper.map((c) => stepOfColumn[c]!))),
    target,
    rememberGrowth(lu) {
      for (let l = 0; l < most.length; l++) most[l] = LIMITS.pivotGrowth * max(1, abs(lu[lowerAt[l]!]!));
    },
  };
}

function starts(counts: readonly number[]): Int32Array {
  const all = new Int32Array(counts.length + 1);
  counts.forEach((count, k) => (all[k + 1] = all[k]! + count));
  return all;
}

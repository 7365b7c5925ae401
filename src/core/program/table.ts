import { z } from 'zod';
import { CONTROLLERS, type ControllerId } from '../catalogue/controllers';
import type { PinTable } from '../devices/pinTable';
import type { Seconds } from '../quantities/units';

/** More than these are no table that a class reads. */
export const ROWS_MOST = 100;
export const COLUMNS_MOST = 8;
/** Shortest and longest row, in seconds. */
export const ROW_SECONDS = { low: 0.02, high: 3600 } as const;
export const ROUNDS_MOST = 1000;

export const rowSchema = z.strictObject({
  /** Step of the lamp of each column: 0 off, the highest of the board fully on. */
  steps: z
    .array(z.number().int('must be a whole number').min(0).max(1e6))
    .min(1)
    .max(COLUMNS_MOST)
    .readonly(),
  seconds: z.number().min(ROW_SECONDS.low).max(ROW_SECONDS.high),
  /** Whether the lamps go there evenly over the row, from where they are; else they jump. */
  fade: z.boolean(),
});
export type ProgramRow = z.output<typeof rowSchema>;

/** What a program does: the pins that it names, and row after row what it sets them to and for how long. */
export interface ProgramTable {
  readonly board: ControllerId;
  /** Numbers of the pins, as the program has them. */
  readonly columns: readonly number[];
  readonly rows: readonly ProgramRow[];
  /** How often the rows are gone through; 0 without end. */
  readonly rounds: number;
  /** Whether all lamps go off when the rounds are over, or stay as the last row has them. */
  readonly after: 'off' | 'stay';
  /** Lamps hang between the rail and their pins: a low pin lights them. */
  readonly lowLights: boolean;
}

/** Whole milliseconds of a row: what a program waits for. */
export function millisOf({ seconds }: Pick<ProgramRow, 'seconds'>): number {
  return Math.round(seconds * 1000);
}

export function roundMillis({ rows }: Pick<ProgramTable, 'rows'>): number {
  return rows.reduce((sum, row) => sum + millisOf(row), 0);
}

/** Seconds of all rounds; none where they have no end. */
export function wholeSeconds(table: Pick<ProgramTable, 'rows' | 'rounds'>): number | undefined {
  return table.rounds === 0 ? undefined : (table.rounds * roundMillis(table)) / 1000;
}

/** Where the lamps stand before the first row: a fade in it begins where the last row ends, if that comes before it. */
export function stepsBefore({ columns, rows, rounds }: ProgramTable): readonly number[] {
  return rounds === 1 ? columns.map(() => 0) : (rows[rows.length - 1]?.steps ?? columns.map(() => 0));
}

/** Where the lamps are left when the rounds are over. */
export function stepsAfter({ columns, rows, after }: ProgramTable): readonly number[] {
  return after === 'off' ? columns.map(() => 0) : rows[rows.length - 1]!.steps;
}

/** What the program does with one of its columns, as a share of the time for which the pin is high. */
export function pinTableOf(table: ProgramTable, column: number): PinTable {
  const { steps } = CONTROLLERS[table.board];
  const high = (step: number) => {
    const share = Math.min(1, Math.max(0, step / steps));
    return table.lowLights ? 1 - share : share;
  };
  let before = stepsBefore(table)[column]!;
  const spells = table.rows.map((row) => {
    const to = row.steps[column] ?? 0;
    const spell = {
      seconds: millisOf(row) / 1000,
      from: high(row.fade ? before : to),
      to: high(to),
    };
    before = to;
    return spell;
  });
  return { spells, rounds: table.rounds, after: high(stepsAfter(table)[column]!) };
}

/** When the table has the lamp of a column on, if only dimmed or on its way there, from switching on to `until`. */
export function wantedSpells(
  table: ProgramTable,
  column: number,
  until: Seconds,
): { readonly from: Seconds; readonly to: Seconds }[] {
  const spells: { from: Seconds; to: Seconds }[] = [];
  const rounds = table.rounds === 0 ? Infinity : table.rounds;
  let before = stepsBefore(table)[column]!;
  let at = 0;
  const add = (lit: boolean, to: Seconds) => {
    const last = spells[spells.length - 1];
    if (lit && last?.to === at) last.to = to;
    else if (lit && to > at) spells.push({ from: at, to });
    at = to;
  };
  for (let round = 0; round < rounds && at < until; round++) {
    for (const row of table.rows) {
      const step = row.steps[column]!;
      add(step > 0 || (row.fade && before > 0), Math.min(until, at + millisOf(row) / 1000));
      before = step;
    }
  }
  if (at < until) add(stepsAfter(table)[column]! > 0, until);
  return spells;
}

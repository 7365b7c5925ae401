import { CONTROLLERS, controllerPin } from '../catalogue/controllers';
import { oneLine } from './ruleText';
import { millisOf, stepsBefore, stepsAfter, type ProgramTable } from './table';

/** What is said in a program text besides its table. */
export interface ProgramWords {
  readonly title: string;
  /** The lamp of each column, as `D1 red`; empty where none hangs on its pin. */
  readonly lamps: readonly string[];
}

/** What both program texts say of a table, each in its own language. */
export interface Script {
  readonly title: string;
  readonly pins: readonly { readonly number: number; readonly dims: boolean; readonly lamp: string }[];
  readonly full: number;
  readonly hertz: number;
  readonly lowLights: boolean;
  readonly before: readonly number[];
  readonly lines: readonly { readonly call: 'show' | 'fade'; readonly figures: readonly number[] }[];
  readonly rounds: number;
  readonly after: readonly number[];
}

export function scriptOf(table: ProgramTable, { title, lamps }: ProgramWords): Script {
  const board = CONTROLLERS[table.board];
  return {
    title: oneLine(title),
    pins: table.columns.map((number, i) => ({
      number,
      dims: controllerPin(table.board, number)?.dims ?? false,
      lamp: lamps[i] ?? '',
    })),
    full: board.steps,
    hertz: board.hertz,
    lowLights: table.lowLights,
    before: stepsBefore(table),
    lines: table.rows.map((row) => ({
      call: row.fade ? 'fade' : 'show',
      figures: [millisOf(row), ...row.steps],
    })),
    rounds: table.rounds,
    after: stepsAfter(table),
  };
}

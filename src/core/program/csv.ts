import Papa from 'papaparse';
import { CONTROLLERS, type ControllerId } from '../catalogue/controllers';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { toCsv, type CsvDialect } from '../formats/csv/table';
import { COLUMNS_MOST, ROW_SECONDS, ROWS_MOST, type ProgramRow, type ProgramTable } from './table';

/** The table for a spreadsheet: a column for each pin, then the seconds, then whether the row is faded to. */
export function programCsv(
  { columns, rows }: Pick<ProgramTable, 'columns' | 'rows'>,
  dialect?: CsvDialect,
): string {
  return toCsv(
    [...columns.map((pin) => `pin ${pin}`), 'seconds', 'fade'],
    rows.map(({ steps, seconds, fade }) => [...steps, seconds, fade ? 'yes' : 'no']),
    dialect,
  );
}

type Read = Pick<ProgramTable, 'columns'> & { readonly rows: ProgramRow[] };

/**
 * Reads such a table back: comma or semicolon, point or decimal comma; a cell may also be `on`, `off` or `50 %`.
 *
 * @returns its columns and rows, or the first line that cannot be taken
 */
export function readProgramCsv(text: string, board: ControllerId): Outcome<Read> {
  const lines = Papa.parse<string[]>(text.replace(/^\ufeff/u, '').trim(), { skipEmptyLines: true }).data;
  const [head = [], ...body] = lines.map((line) => line.map((cell) => cell.trim().toLowerCase()));
  const columns = head.flatMap((name) => /^(?:pin )?(\d+)$/u.exec(name)?.[1] ?? []).map(Number);
  const at = head.indexOf('seconds');
  const count = columns.length;
  const known = count > 0 && count <= COLUMNS_MOST && at === count && body.length > 0;
  if (!known) {
    const found = (lines[0] ?? []).join(', ').slice(0, 80);
    return refused(finding('table-columns', { found }));
  }
  if (body.length > ROWS_MOST) return refused(finding('rows-beyond', { rows: body.length, most: ROWS_MOST }));
  const { steps: full } = CONTROLLERS[board];
  const rows: ProgramRow[] = [];
  for (const [i, line] of body.entries()) {
    const steps = line.slice(0, count).map((cell) => stepIn(cell, full));
    const seconds = Number((line[at] ?? '').replace(',', '.').replace(/\s*s$/u, ''));
    const fade = fadeIn(line[at + 1] ?? '');
    const problem = rowProblem(line, columns, { steps, seconds, fade });
    if (problem) return refused(finding('csv-row', { row: i + 2, problem }));
    rows.push({ steps: steps as number[], seconds: Math.round(seconds * 1000) / 1000, fade: fade! });
  }
  return accepted({ columns, rows });
}

/** What keeps a line from being a row, in words that go on after its number. */
function rowProblem(
  line: readonly string[],
  columns: readonly number[],
  {
    steps,
    seconds,
    fade,
  }: {
    readonly steps: readonly (number | undefined)[];
    readonly seconds: number;
    readonly fade: boolean | undefined;
  },
): string | undefined {
  const count = columns.length;
  if (line.length < count + 1) return 'has fewer cells than there are columns';
  const unread = steps.findIndex((step) => step === undefined);
  if (unread >= 0)
    return `has “${line[unread]}” for pin ${columns[unread]}, which is no step: on, off, a number or a share`;
  const { low, high } = ROW_SECONDS;
  if (!(seconds >= low && seconds <= high))
    return `lasts “${line[count]}”, and a row lasts ${low} to ${high} seconds`;
  return fade === undefined ? `has “${line[count + 1]}” for fade: yes or no` : undefined;
}

/** `on`, `off`, `128`, `50 %`. */
export function stepIn(typed: string, full: number): number | undefined {
  const text = typed.trim().toLowerCase();
  if (text === 'on') return full;
  if (text === 'off') return 0;
  const share = /^(\d+(?:[.,]\d+)?)\s*%$/u.exec(text)?.[1];
  if (share !== undefined) {
    const part = Number(share.replace(',', '.')) / 100;
    return part <= 1 ? Math.round(part * full) : undefined;
  }
  return /^\d{1,6}$/u.test(text) ? Number(text) : undefined;
}

function fadeIn(text: string): boolean | undefined {
  if (['yes', 'y', '1', 'true', 'fade'].includes(text)) return true;
  return ['', 'no', 'n', '0', 'false'].includes(text) ? false : undefined;
}

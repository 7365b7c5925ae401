import Papa from 'papaparse';

export type Cell = string | number | null;

/** How a house's spreadsheets write tables: commas and decimal points, or semicolons and decimal commas. */
export const CSV_DIALECTS = ['comma', 'semicolon'] as const;
export type CsvDialect = (typeof CSV_DIALECTS)[number];

const DIALECTS = {
  comma: { delimiter: ',', point: '.' },
  semicolon: { delimiter: ';', point: ',' },
} as const;

/**
 * A table as CSV (RFC 4180) with a byte-order mark, so that spreadsheets read the accents right.
 * Cells that a spreadsheet would run as a formula get a leading apostrophe.
 */
export function toCsv(
  head: readonly string[],
  rows: readonly (readonly Cell[])[],
  dialect: CsvDialect = 'comma',
): string {
  return `\ufeff${csvRows([head, ...rows], dialect)}`;
}

/** Rows of such a table without its mark, for one that is written some rows at a time. */
export function csvRows(rows: readonly (readonly Cell[])[], dialect: CsvDialect = 'comma'): string {
  const { delimiter, point } = DIALECTS[dialect];
  const data = rows.map((row) =>
    row.map((cell) => (typeof cell === 'number' ? String(cell).replace('.', point) : cell)),
  );
  const body = Papa.unparse(data, {
    delimiter,
    escapeFormulae: /^[=@\t\r]|^[+-](?![\d.,]+$)/u,
    newline: '\r\n',
  });
  return `${body}\r\n`;
}

/** A table that was read: its rows, each cell without its margins, and how it separates them. */
export interface ReadTable {
  readonly rows: readonly (readonly string[])[];
  /** The line of each row as an editor counts them, from 1; a row with line breaks inside counts as one. */
  readonly lines: readonly number[];
  readonly delimiter: string;
}

/** A spreadsheet's own first line that says how cells are separated. */
const SEPARATOR = /^"?sep=(.)"?\r?\n/iu;

const GUESSED_BY_ROWS = 20;

/** A table as somebody's spreadsheet wrote it, with commas, semicolons or tabs, whether it says so first or not. */
export function readTable(text: string): ReadTable {
  const plain = text.replace(/^\ufeff/u, '');
  const said = SEPARATOR.exec(plain)?.[1];
  const body = plain.replace(SEPARATOR, '');
  // What separates is guessed without empty lines, which speak for nothing; the lines are counted with them.
  const delimiter =
    said ?? Papa.parse(body, { skipEmptyLines: 'greedy', preview: GUESSED_BY_ROWS }).meta.delimiter;
  const { data } = Papa.parse<string[]>(body, { delimiter });
  const first = said ? 2 : 1;
  const rows = data.flatMap((cells, i) => {
    const row = cells.map((cell) => cell.trim());
    return row.some((cell) => cell !== '') ? [{ row, line: i + first }] : [];
  });
  return { rows: rows.map(({ row }) => row), lines: rows.map(({ line }) => line), delimiter };
}

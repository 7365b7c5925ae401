import Papa from 'papaparse';

export type Cell = string | number | null;

/**
 * A table as CSV (RFC 4180) with a byte-order mark, so that spreadsheets read the accents right.
 * Cells that a spreadsheet would run as a formula get a leading apostrophe.
 */
export function toCsv(head: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const body = Papa.unparse(
    { fields: [...head], data: rows.map((row) => [...row]) },
    { escapeFormulae: /^[=@\t\r]|^[+-](?![\d.]+$)/u, newline: '\r\n' },
  );
  return `\ufeff${body}\r\n`;
}

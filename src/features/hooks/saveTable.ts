import { CSV_DIALECTS, toCsv, type Cell, type CsvDialect } from '@/core';
import { saveAs } from '@/ui/download';

/** How this house writes tables, as the page was told when it was made. */
export function tablesHere(): CsvDialect {
  if (typeof document === 'undefined') return 'comma';
  const told = document.documentElement.dataset['tables'];
  return CSV_DIALECTS.find((dialect) => dialect === told) ?? 'comma';
}

/** Hands a table to the browser as a CSV file in the house's own dialect. */
export function saveTable(name: string, head: readonly string[], rows: readonly (readonly Cell[])[]): void {
  saveAs(name, 'text/csv', toCsv(head, rows, tablesHere()));
}

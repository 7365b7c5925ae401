export function cellId(row: number, column: number): string {
  return `cell-${row}-${column}`;
}

/** Where the caret goes when a column ends: what is typed on goes nowhere. */
export const COLUMN_END = 'grid-hint';

/** More rows than any class has benches. */
const ROWS_MOST = 400;

/**
 * Goes up or down a column to the next cell. A bench that is absent has none.
 *
 * @param which `there` goes past benches whose student is late; `any` stops at them
 * @returns the cell, or undefined where the column ends
 */
export function focusCell(
  row: number,
  column: number,
  step: 1 | -1,
  which: 'there' | 'any',
): HTMLElement | undefined {
  for (let at = row + step; at >= 0 && at < ROWS_MOST; at += step) {
    const cell = document.getElementById(cellId(at, column));
    if (!cell || (which === 'there' && cell.dataset['passedOver'])) continue;
    cell.focus();
    return cell;
  }
  return undefined;
}

export function focusColumnEnd(): void {
  document.getElementById(COLUMN_END)?.focus();
}

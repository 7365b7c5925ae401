import type { VerdictName } from './verdict';

/** How one checkpoint went over a class. */
export interface ColumnSummary {
  readonly measured: number;
  readonly right: number;
  /** Mean of the right ones over the typical figure, less one; undefined without a right one. */
  readonly offset?: number;
}

export function columnSummary(
  readings: readonly { readonly value: number; readonly verdict: VerdictName }[],
  typical: number,
): ColumnSummary {
  const right = readings.filter((r) => r.verdict === 'right');
  const mean = right.reduce((sum, r) => sum + r.value, 0) / right.length;
  return {
    measured: readings.length,
    right: right.length,
    ...(right.length > 0 && typical !== 0 ? { offset: mean / typical - 1 } : {}),
  };
}

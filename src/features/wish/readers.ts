import { parseQuantity, type Finding, type Outcome, type Unit } from '@/core';

/** A figure with its unit, or a plain number where there is none. */
export function readFigure(typed: string, unit: Unit | undefined): Outcome<number> {
  if (unit) return parseQuantity(typed, unit);
  const value = Number(typed.replace(',', '.'));
  if (typed.trim() !== '' && Number.isFinite(value)) return { ok: true, value, findings: [] };
  return refusal({ code: 'not-a-figure', severity: 'refusal', data: { typed, unit: '' } });
}

/** The same within limits, which the refusal names. */
export function readWithin(name: string, unit: Unit, low: number, high: number) {
  return (typed: string): Outcome<number> => {
    const figure = parseQuantity(typed, unit);
    if (!figure.ok || (figure.value >= low && figure.value <= high)) return figure;
    const data = { name, value: figure.value, low, high, unit };
    return refusal({ code: 'out-of-range', severity: 'refusal', data });
  };
}

/** Several figures in a list: `10n, 100n, 1u`. */
export function readList(typed: string, unit: Unit): Outcome<readonly number[]> {
  const values: number[] = [];
  for (const item of typed.split(/[;,\s]+/u).filter((text) => text !== '')) {
    const figure = parseQuantity(item, unit);
    if (!figure.ok) return figure;
    values.push(figure.value);
  }
  return { ok: true, value: values, findings: [] };
}

export function refusal(finding: Finding): { readonly ok: false; readonly findings: readonly Finding[] } {
  return { ok: false, findings: [finding] };
}

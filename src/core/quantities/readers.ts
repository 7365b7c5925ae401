import { finding, refused, accepted, type Outcome } from '../findings/finding';
import { parseQuantity } from './parse';
import type { Unit } from './units';

/**
 * Reads a figure with its unit, or a plain number where there is none.
 *
 * @returns the value in SI units; `not-a-figure` or `wrong-unit` where it cannot be read
 */
export function readFigure(typed: string, unit: Unit | undefined): Outcome<number> {
  if (unit) return parseQuantity(typed, unit);
  const value = Number(typed.replace(',', '.'));
  if (typed.trim() !== '' && Number.isFinite(value)) return accepted(value);
  return refused(finding('not-a-figure', { typed, unit: '' }));
}

/**
 * Makes a reader of a figure within limits.
 *
 * @param name subject of the refusal: `A distance`
 * @returns `out-of-range` where the figure is read and lies outside
 */
export function readWithin(name: string, unit: Unit, low: number, high: number) {
  return (typed: string): Outcome<number> => {
    const figure = parseQuantity(typed, unit);
    if (!figure.ok || (figure.value >= low && figure.value <= high)) return figure;
    return refused(finding('out-of-range', { name, value: figure.value, low, high, unit }));
  };
}

/** Reads several figures in a list: `10n, 100n, 1u`. The first that cannot be read refuses the list. */
export function readList(typed: string, unit: Unit): Outcome<readonly number[]> {
  const values: number[] = [];
  for (const item of typed.split(/[;,\s]+/u).filter((text) => text !== '')) {
    const figure = parseQuantity(item, unit);
    if (!figure.ok) return figure;
    values.push(figure.value);
  }
  return accepted(values);
}

/**
 * Makes a reader of a whole number within limits.
 *
 * @returns `bad-field` of that place and field where it is none
 */
export function readCount(place: string, field: string, low: number, high: number) {
  return (typed: string): Outcome<number> => {
    const count = Number(typed);
    if (typed.trim() !== '' && Number.isInteger(count) && count >= low && count <= high)
      return accepted(count);
    const problem = `must be a whole number from ${low} to ${high}, and “${typed}” is not`;
    return refused(finding('bad-field', { place, field, problem }));
  };
}

import { apply, at, less, num, over, size, times, type Code, type Local, type Value } from './code';
import type { Ordering } from './pivots';

/** What straight-line elimination is to work on. */
export interface System {
  /** An entry of the matrix; undefined where there is none but what is filled in. */
  entry(place: number): Value | undefined;
  /** The right-hand side of a row. */
  rhs(row: number): Value;
  /** First of the places where the factors are kept, and of those for the inverse pivots. */
  readonly factors: number;
  readonly inverse: number;
}

/** The code's answer: a local for each step of the elimination (column `order.columns[step]`). */
export interface Solution {
  readonly unknowns: readonly Local[];
  /** How near a multiplier has come to its bound, or a pivot to nothing: above 1 the order does not suit any more. */
  readonly worst: Value;
}

/**
 * Writes an elimination out place by place: the code factors and solves. Each factor is gathered in one go from the
 * products that go into it (Crout), in the order in which a running elimination subtracts them.
 * Source: Duff, Erisman & Reid, Direct Methods for Sparse Matrices, 9.5 (compiled code for repeated patterns).
 */
export function writeElimination(code: Code, order: Ordering, system: System): Solution {
  const table = tableOf(order);
  const locals = { worst: code.keep(num(0)), spare: code.keep(num(0)) };
  for (let k = 0; k < order.rows.length; k++) writeFactors(code, order, table, system, k, locals);
  return { unknowns: writeSolution(code, order, table, system), worst: locals.worst.value };
}

/** Where the factors stand: by row left of the pivot, and by column above it; step → place. */
interface Table {
  readonly left: readonly ReadonlyMap<number, number>[];
  readonly above: readonly ReadonlyMap<number, number>[];
}

function tableOf(order: Ordering): Table {
  const { lowerStart, lowerAt, lowerRow, upperStart, upperAt, upperColumn } = order;
  const steps = order.rows.length;
  const left = Array.from({ length: steps }, () => new Map<number, number>());
  const above = Array.from({ length: steps }, () => new Map<number, number>());
  for (let k = 0; k < steps; k++) {
    for (let l = lowerStart[k]!; l < lowerStart[k + 1]!; l++) left[lowerRow[l]!]!.set(k, lowerAt[l]!);
    for (let u = upperStart[k]!; u < upperStart[k + 1]!; u++) above[upperColumn[u]!]!.set(k, upperAt[u]!);
  }
  return { left, above };
}

/** Pivot, row and column of step k. */
function writeFactors(
  code: Code,
  order: Ordering,
  { left, above }: Table,
  { entry, factors, inverse }: System,
  k: number,
  { worst, spare }: { readonly worst: Local; readonly spare: Local },
): void {
  const { diagonal, lowerStart, lowerAt, lowerRow, upperStart, upperAt, upperColumn, most } = order;
  /** The entry at `place` less the products of row and column before step k. */
  const gathered = (place: number, row: number, column: number) => {
    const products: Value[] = [];
    for (const [step, factor] of left[row]!) {
      const other = above[column]!.get(step);
      if (step < k && other !== undefined) products.push(times(at(factors + factor), at(factors + other)));
    }
    return less(entry(place) ?? num(0), ...products);
  };
  const watch = (most: number) =>
    code.set(worst, apply('max', worst.value, times(size(spare.value), num(1 / rounded(most)))));
  code.set(spare, over(num(1), gathered(diagonal[k]!, k, k)));
  watch(1e300);
  code.store(inverse + k, spare.value);
  for (let u = upperStart[k]!; u < upperStart[k + 1]!; u++)
    code.store(factors + upperAt[u]!, gathered(upperAt[u]!, k, upperColumn[u]!));
  for (let l = lowerStart[k]!; l < lowerStart[k + 1]!; l++) {
    code.set(spare, times(gathered(lowerAt[l]!, lowerRow[l]!, k), at(inverse + k)));
    watch(most[l]!);
    code.store(factors + lowerAt[l]!, spare.value);
  }
}

/** The next power of sixteen: how far a multiplier may grow is a rough bound, and circuits that differ little are the same code. */
function rounded(most: number): number {
  return 16 ** Math.ceil(Math.log2(most) / 4);
}

/** Forward and backward, every unknown in a local of its own. */
function writeSolution(code: Code, order: Ordering, { left }: Table, system: System): Local[] {
  const { rows, upperStart, upperAt, upperColumn } = order;
  const { factors, inverse, rhs } = system;
  const unknowns: Local[] = [];
  for (let k = 0; k < rows.length; k++) {
    const products = [...left[k]!].map(([step, factor]) =>
      times(at(factors + factor), unknowns[step]!.value),
    );
    unknowns.push(code.keep(less(rhs(rows[k]!), ...products)));
  }
  for (let k = rows.length - 1; k >= 0; k--) {
    const products: Value[] = [];
    for (let u = upperStart[k]!; u < upperStart[k + 1]!; u++)
      products.push(times(at(factors + upperAt[u]!), unknowns[upperColumn[u]!]!.value));
    code.set(unknowns[k]!, times(less(unknowns[k]!.value, ...products), at(inverse + k)));
  }
  return unknowns;
}

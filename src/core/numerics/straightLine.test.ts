import fc from 'fast-check';
import { anyMatrix, booked, solvedDensely } from '../../../tests/support/matrices';
import { apply, at, Code, either, num } from './code';
import { assemble } from './machine';
import { choosePivots } from './pivots';
import { writeElimination } from './straightLine';

/** A machine that solves one pattern: entries from place 0, then right-hand sides, which become the answer. */
function solverOf({ at: where, values }: ReturnType<typeof booked>) {
  const order = choosePivots(where, values);
  if (typeof order === 'number') throw new Error(`no pivot in column ${order}`);
  order.most.fill(1e6);
  const given = values.length;
  const rhs = given + order.places;
  const inverse = rhs + where.size;
  const code = new Code();
  const { unknowns, worst } = writeElimination(code, order, {
    factors: given,
    inverse,
    entry: (place) => (place < given ? at(place) : undefined),
    rhs: (row) => at(rhs + row),
  });
  order.columns.forEach((column, step) => code.store(rhs + column, unknowns[step]!.value));
  code.put(either(apply('atMost', worst, num(1)), num(1), num(0)));
  const { memory, run } = assemble(inverse + where.size, code)!;
  return (entries: Float64Array, right: readonly number[]) => {
    memory.set(entries);
    memory.set(right, rhs);
    return { suits: run() === 1, answer: memory.slice(rhs, rhs + where.size) };
  };
}

describe('elimination as straight-line code', () => {
  it('solves as dense factors do, and again with other values in the same places', () => {
    fc.assert(
      fc.property(anyMatrix, fc.double({ min: 0.5, max: 2, noNaN: true }), ({ size, filled, rhs }, turn) => {
        const matrix = booked(size, filled);
        const solve = solverOf(matrix);
        for (const scale of [1, turn]) {
          const values = matrix.values.map((v, s) => (s % 2 ? v * scale : v));
          const { suits, answer } = solve(values, rhs);
          expect(suits).toBe(true);
          solvedDensely(size, { ...matrix, values }, rhs).forEach((x, i) =>
            expect(answer[i]).toBeCloseTo(x, 9),
          );
        }
      }),
    );
  });

  it('says when a pivot is next to nothing or a multiplier has outgrown its bound', () => {
    const matrix = booked(2, [
      [0, 0, 1],
      [0, 1, 1],
      [1, 0, 1],
      [1, 1, -1],
    ]);
    const solve = solverOf(matrix);
    expect(solve(matrix.values, [2, 0]).suits).toBe(true);
    expect(solve(Float64Array.from([0, 1e-9, 1, 1, 1e-9]), [1, 1]).suits).toBe(false);
    expect(solve(Float64Array.from([0, 0, 0, 0, 0]), [1, 1]).suits).toBe(false);
    expect(solve(matrix.values, [2, 0]).answer).toEqual(Float64Array.from([1, 1]));
  });
});

import fc from 'fast-check';
import { anyMatrix, booked, solvedDensely } from '../../../tests/support/matrices';
import { SparseLu } from './sparseLu';

describe('sparse factors', () => {
  it('solve as dense ones do, and again with other values in the same places', () => {
    fc.assert(
      fc.property(anyMatrix, fc.double({ min: 0.5, max: 2, noNaN: true }), ({ size, filled, rhs }, turn) => {
        const matrix = booked(size, filled);
        const lu = new SparseLu(matrix.at);
        const entries = { values: matrix.values.slice() };
        expect(lu.factor(entries.values)).toBe(false);
        expect(lu.choose(entries)).toBe(true);
        for (const scale of [1, turn]) {
          const values = matrix.values.map((v, s) => (s % 2 ? v * scale : v));
          entries.values.fill(0);
          entries.values.set(values);
          expect(lu.factor(entries.values)).toBe(true);
          const answer = Float64Array.from(rhs);
          lu.solve(entries.values, answer);
          solvedDensely(size, { ...matrix, values }, rhs).forEach((x, i) =>
            expect(answer[i]).toBeCloseTo(x, 9),
          );
        }
      }),
    );
  });

  it('take rows with nothing on their diagonal, as those of sources have', () => {
    const matrix = booked(3, [
      [0, 0, 1e-3],
      [0, 2, 1],
      [1, 1, 1e-6],
      [1, 0, -1e-6],
      [2, 0, 1],
    ]);
    const lu = new SparseLu(matrix.at);
    const entries = { values: matrix.values.slice() };
    expect(lu.choose(entries)).toBe(true);
    lu.factor(entries.values);
    const answer = Float64Array.from([0, 0, 5]);
    lu.solve(entries.values, answer);
    expect([...answer]).toEqual([5, 5, -0.005]);
  });

  it('name the column without a pivot', () => {
    const lu = new SparseLu(
      booked(2, [
        [0, 0, 1],
        [1, 0, 2],
        [0, 1, 0],
      ]).at,
    );
    expect(lu.choose({ values: Float64Array.from([0, 1, 2, 0]) })).toBe(false);
    expect(lu.singular).toBe(1);
  });

  it('ask for new pivots when a multiplier has outgrown them', () => {
    const matrix = booked(2, [
      [0, 0, 1],
      [0, 1, 1],
      [1, 0, 1],
      [1, 1, -1],
    ]);
    const lu = new SparseLu(matrix.at);
    const entries = { values: matrix.values.slice() };
    lu.choose(entries);
    entries.values.set([0, 1e-9, 1, 1, -1]);
    const first = lu.factor(entries.values);
    entries.values.set([0, 1, 1, 1e-9, -1]);
    const other = lu.factor(entries.values);
    expect([first, other]).toContain(false);
  });

  it('fill in little in a ladder', () => {
    const size = 300;
    const chain = Array.from({ length: size }, (_, i) => i).flatMap((i) => [
      [i, i, 3] as const,
      ...(i > 0
        ? ([
            [i, i - 1, -1],
            [i - 1, i, -1],
          ] as const)
        : []),
    ]);
    const entries = { values: booked(size, chain).values };
    new SparseLu(booked(size, chain).at).choose(entries);
    expect(entries.values.length).toBeLessThanOrEqual(3 * size);
  });
});

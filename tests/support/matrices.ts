import fc from 'fast-check';
import { DenseLu } from '@/core/numerics/lu';

/** A sparse matrix: values by row and column, place 0 a bin, as the circuits book them. */
export function booked(size: number, filled: readonly (readonly [number, number, number])[]) {
  const places = new Map(
    filled.map(([r, c, v]) => [`${r % size},${c % size}`, [r % size, c % size, v] as const]),
  );
  const list = [...places.values()];
  return {
    at: {
      size,
      rows: Int32Array.from([0, ...list.map((p) => p[0])]),
      columns: Int32Array.from([0, ...list.map((p) => p[1])]),
    },
    values: Float64Array.from([0, ...list.map((p) => p[2])]),
  };
}

/** The answer of dense factors. */
export function solvedDensely(
  size: number,
  { at, values }: ReturnType<typeof booked>,
  rhs: readonly number[],
): Float64Array {
  const matrix = new Float64Array(size * size);
  for (let s = 1; s < values.length; s++) matrix[at.rows[s]! * size + at.columns[s]!] = values[s]!;
  const lu = new DenseLu(size);
  lu.factor(matrix, size);
  const answer = Float64Array.from(rhs);
  lu.solve(matrix, size, answer);
  return answer;
}

/** Matrices that are well-conditioned by their diagonal. */
export const anyMatrix = fc
  .integer({ min: 1, max: 14 })
  .chain((size) =>
    fc.record({
      size: fc.constant(size),
      off: fc.array(
        fc.tuple(fc.nat(size - 1), fc.nat(size - 1), fc.double({ min: -1, max: 1, noNaN: true })),
        { maxLength: 3 * size },
      ),
      rhs: fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: size, maxLength: size }),
    }),
  )
  .map(({ size, off, rhs }) => {
    const diagonal = Array.from({ length: size }, (_, i) => [i, i, 4 + 3 * size + i] as const);
    return { size, rhs, filled: [...off, ...diagonal] };
  });

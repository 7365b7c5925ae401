import type { Circuit } from '../circuit/circuit';
import { DenseLu } from '../numerics/lu';
import { prepare } from './prepare';

/**
 * The two runs that a benchmark sets side by side: one warm operating point, and one plain dense
 * factor-and-solve of a matrix of the same size.
 */
export function newtonBench(circuit: Circuit): { solve(): void; dense(): void; size: number } {
  const bench = prepare(circuit);
  if (!bench.ok) throw new Error('This circuit cannot be compiled.');
  const { compiled, point } = bench.value;
  const { size } = compiled;
  const kept = Float64Array.from(
    { length: size * size },
    (_, i) => 1 / (1 + (i % 7)) + (i % (size + 1) === 0 ? size : 0),
  );
  const matrix = new Float64Array(size * size);
  const rhs = new Float64Array(size).fill(1);
  const lu = new DenseLu(size);
  point.solve(true);
  const settled = compiled.equations.x.slice();
  return {
    size,
    solve() {
      compiled.equations.x.set(settled);
      compiled.equations.x[0]! += 1e-3;
      point.solve();
    },
    dense() {
      matrix.set(kept);
      lu.factor(matrix, size);
      rhs.fill(1);
      lu.solve(matrix, size, rhs);
    },
  };
}

import { LIMITS } from './limits';

/** Looked up once: these stand in the innermost loops. */
const { abs, max } = Math;

/**
 * Dense LU with scaled partial pivoting, in place, on preallocated arrays.
 * Source: Golub & Van Loan, Matrix Computations, 3.4 (row scaling as in 3.5.2).
 */
export class DenseLu {
  readonly order: Int32Array;
  private readonly scale: Float64Array;
  private readonly work: Float64Array;

  constructor(readonly size: number) {
    this.order = new Int32Array(size);
    this.scale = new Float64Array(size);
    this.work = new Float64Array(size);
  }

  /**
   * Factors the leading size × size block of a row-major matrix of the given stride.
   * @returns -1 when done, else the column that had no usable pivot
   */
  factor(matrix: Float64Array, stride: number): number {
    const n = this.size;
    for (let i = 0; i < n; i++) {
      let largest = 0;
      for (let j = 0; j < n; j++) largest = max(largest, abs(matrix[i * stride + j]!));
      if (largest === 0) return i;
      this.scale[i] = largest;
      this.order[i] = i;
    }
    for (let k = 0; k < n; k++) {
      const row = this.pivotRow(matrix, stride, k);
      if (row < 0) return k;
      this.swap(row, k);
      this.eliminate(matrix, stride, k);
    }
    return -1;
  }

  private pivotRow(matrix: Float64Array, stride: number, k: number): number {
    let best = -1;
    let size: number = LIMITS.pivot;
    for (let i = k; i < this.size; i++) {
      const row = this.order[i]!;
      const ratio = abs(matrix[row * stride + k]!) / this.scale[row]!;
      if (ratio > size) {
        size = ratio;
        best = i;
      }
    }
    return best;
  }

  private swap(i: number, k: number): void {
    const held = this.order[i]!;
    this.order[i] = this.order[k]!;
    this.order[k] = held;
  }

  private eliminate(matrix: Float64Array, stride: number, k: number): void {
    const pivotAt = this.order[k]! * stride;
    const pivot = matrix[pivotAt + k]!;
    for (let i = k + 1; i < this.size; i++) {
      const at = this.order[i]! * stride;
      const lower = matrix[at + k]!;
      if (lower === 0) continue;
      const factor = lower / pivot;
      matrix[at + k] = factor;
      for (let j = k + 1; j < this.size; j++) {
        matrix[at + j] = matrix[at + j]! - factor * matrix[pivotAt + j]!;
      }
    }
  }

  /** Solves for the right-hand side in `rhs` and leaves the answer there. */
  solve(matrix: Float64Array, stride: number, rhs: Float64Array): void {
    const n = this.size;
    for (let i = 0; i < n; i++) {
      const at = this.order[i]! * stride;
      let sum = rhs[this.order[i]!]!;
      for (let j = 0; j < i; j++) sum -= matrix[at + j]! * this.work[j]!;
      this.work[i] = sum;
    }
    for (let i = n - 1; i >= 0; i--) {
      const at = this.order[i]! * stride;
      let sum = this.work[i]!;
      for (let j = i + 1; j < n; j++) sum -= matrix[at + j]! * rhs[j]!;
      rhs[i] = sum / matrix[at + i]!;
    }
  }
}

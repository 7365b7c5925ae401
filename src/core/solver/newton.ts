import type { Compiled } from '../circuit/compile';
import { LIMITS } from '../numerics/limits';
import { DenseLu } from '../numerics/lu';

/** Looked up once: these stand in the innermost loops. */
const { abs, max } = Math;

/** How a solution was come by. Nothing is read off a circuit without one. */
export interface Settling {
  readonly converged: boolean;
  readonly iterations: number;
  /** Largest current left over at any node, in amps. */
  readonly residual: number;
  /** The node where it is left over. */
  readonly worstNode: string;
  readonly method: 'newton' | 'damped' | 'conductance steps' | 'source steps';
}

/** Newton's method over one compiled circuit; its memory is made once and used for every solve. */
export class Newton {
  private readonly lu: DenseLu;
  private readonly step: Float64Array;
  private readonly before: Float64Array;
  private readonly pins = new Float64Array(16);
  private shunt = 0;
  residual = 0;
  worst = 0;
  iterations = 0;

  constructor(private readonly compiled: Compiled) {
    this.lu = new DenseLu(compiled.size);
    this.step = new Float64Array(compiled.size + 1);
    this.before = new Float64Array(compiled.size + 1);
  }

  /**
   * Iterates from the x that stands in the equations.
   *
   * @param shunt siemens from every node to ground, for continuation; 0 for the circuit itself
   * @param damped halves steps that do not lessen the residual
   * @returns whether it settled; x then holds the solution
   */
  settle(shunt = 0, damped = false): boolean {
    this.shunt = shunt;
    this.assemble();
    for (let i = 0; i < LIMITS.newtonSteps; i++) {
      this.iterations++;
      if (!this.solveStep()) return false;
      const moved = damped ? this.dampedMove() : this.fullMove();
      if (!Number.isFinite(moved)) return false;
      if (moved < LIMITS.stepVolts && this.small()) return true;
    }
    return false;
  }

  private small(): boolean {
    return this.residual <= LIMITS.residualRelative * this.largestAmps() + LIMITS.residualAmps;
  }

  private solveStep(): boolean {
    const { matrix, stride, residual } = this.compiled.equations;
    if (this.lu.factor(matrix, stride) >= 0) return false;
    for (let i = 0; i < this.compiled.size; i++) this.step[i] = -residual[i]!;
    this.lu.solve(matrix, stride, this.step);
    return true;
  }

  private fullMove(): number {
    const { x } = this.compiled.equations;
    const nodes = this.compiled.nodes.length;
    let largest = 0;
    for (let i = 0; i < this.compiled.size; i++) {
      x[i]! += this.step[i]!;
      if (i < nodes) largest = max(largest, abs(this.step[i]!));
    }
    this.assemble();
    return largest;
  }

  /** Deuflhard's residual test: a step is halved until the residual is no larger, at most eight times. */
  private dampedMove(): number {
    const { x } = this.compiled.equations;
    const start = this.norm();
    this.before.set(x);
    let share = 1;
    let largest = 0;
    for (let tries = 0; tries < 9; tries++, share /= 2) {
      x.set(this.before);
      largest = 0;
      for (let i = 0; i < this.compiled.size; i++) {
        x[i]! += share * this.step[i]!;
        if (i < this.compiled.nodes.length) {
          largest = max(largest, abs(share * this.step[i]!));
        }
      }
      this.assemble();
      if (this.norm() <= start) break;
    }
    return largest;
  }

  private norm(): number {
    const { residual } = this.compiled.equations;
    let sum = 0;
    for (let i = 0; i < this.compiled.size; i++) sum += residual[i]! * residual[i]!;
    return sum;
  }

  private assemble(): void {
    const { equations, placed, nodes } = this.compiled;
    equations.matrix.fill(0);
    equations.residual.fill(0);
    for (let i = 0; i < placed.length; i++) placed[i]!.instance.stamp(equations);
    this.residual = 0;
    for (let i = 0; i < nodes.length; i++) {
      if (this.shunt > 0) {
        equations.matrix[i * equations.stride + i]! += this.shunt;
        equations.residual[i]! += this.shunt * equations.x[i]!;
      }
      const left = abs(equations.residual[i]!);
      if (left > this.residual) {
        this.residual = left;
        this.worst = i;
      }
    }
  }

  private largestAmps(): number {
    const { placed, equations } = this.compiled;
    let largest = 0;
    for (let i = 0; i < placed.length; i++) {
      placed[i]!.instance.currents(equations.x, this.pins);
      for (let pin = 0; pin < placed[i]!.nodes.length; pin++) {
        largest = max(largest, abs(this.pins[pin]!));
      }
    }
    return largest;
  }
}

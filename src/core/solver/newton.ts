import type { Compiled } from '../circuit/compile';
import { LIMITS } from '../numerics/limits';
import type { Volts } from '../quantities/units';
import { SparseLu } from '../numerics/sparseLu';
import { NewtonMachine } from './newtonMachine';

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
  private readonly lu: SparseLu;
  private readonly step: Float64Array;
  private readonly before: Float64Array;
  private readonly pins = new Float64Array(16);
  private shunt = 0;
  /** Straight-line code for the stages of a run, and for the circuit at rest. */
  private ofStages: NewtonMachine | undefined;
  private atRest: NewtonMachine | undefined;
  private stages = 0;
  /** Stages after which code for them pays. */
  private codeAfter: number = LIMITS.compileAfter;
  /** Stages in a row that code has not settled. */
  private failed = 0;
  residual = 0;
  worst = 0;
  iterations = 0;

  constructor(private readonly compiled: Compiled) {
    this.lu = new SparseLu(compiled.coordinates);
    this.step = new Float64Array(compiled.size + 1);
    this.before = new Float64Array(compiled.size + 1);
  }

  /**
   * Iterates from the x that stands in the equations, with junctions limited.
   *
   * @returns whether it settled; x then holds the solution
   */
  settle(): boolean {
    if (this.atRest && this.byCode(this.atRest)) return true;
    this.compiled.equations.limiting = true;
    return this.iterate(false, 0);
  }

  /**
   * The same with steps halved until the residual is no larger, and no limits of their own in the junctions.
   *
   * @param shunt siemens from every node to ground, for continuation; 0 for the circuit itself
   */
  settleDamped(shunt = 0): boolean {
    this.compiled.equations.limiting = false;
    return this.iterate(true, shunt);
  }

  /**
   * A stage of a step in time, from a guess.
   *
   * @param enough volts: settled when the last step moved no node by more
   */
  settleStage(enough: number): boolean {
    const { equations } = this.compiled;
    // Junctions are limited from where the stage before left them: a guess may lie far up their curves.
    equations.limiting = true;
    this.shunt = 0;
    const machine = this.compiledStages();
    if (machine) {
      if (machine.settleStage(enough)) {
        this.failed = 0;
        return true;
      }
      if (++this.failed < LIMITS.codeFailures) return false;
      // Where code does not come to an end, the stamped parts try from the same guess, as if nothing had been read before.
      equations.fresh = true;
    }
    return this.settleStamped(enough);
  }

  /** Straight-line code for stages, once there have been so many that it pays, in the order of pivots that serves then. */
  private compiledStages(): NewtonMachine | undefined {
    if (!this.ofStages && ++this.stages % this.codeAfter === 0)
      this.ofStages = this.machine(LIMITS.tangentVolts);
    return this.ofStages;
  }

  /** Many stages are to come for certain: their code is written at once. */
  expectMany(): void {
    this.codeAfter = LIMITS.compileSoon;
  }

  /** From here on the circuit at rest is solved by straight-line code: worth it for many hundreds of solves. */
  hasten(): void {
    this.atRest ??= this.machine(-1);
  }

  private machine(tangent: Volts): NewtonMachine | undefined {
    if (this.compiled.size > LIMITS.codeUnknowns) return undefined;
    return this.lu.order && NewtonMachine.of(this.compiled, this.lu.order, tangent);
  }

  private byCode(machine: NewtonMachine): boolean {
    const before = machine.iterations;
    const settled = machine.settleAtRest();
    this.iterations += machine.iterations - before;
    this.residual = machine.residual;
    return settled;
  }

  private settleStamped(enough: number): boolean {
    const { equations } = this.compiled;
    for (let i = 0; i < LIMITS.stageSteps; i++) {
      this.iterations++;
      this.stampAll();
      if (!this.solveStep()) return false;
      const moved = this.move();
      if (!(moved < Infinity)) return false;
      if (moved < enough && !equations.limited) return true;
    }
    return false;
  }

  private iterate(damped: boolean, shunt: number): boolean {
    const { equations } = this.compiled;
    this.shunt = shunt;
    equations.fresh = true;
    this.assemble();
    for (let i = 0; i < LIMITS.newtonSteps; i++) {
      this.iterations++;
      if (!this.solveStep()) return false;
      const moved = damped ? this.dampedMove() : this.fullMove();
      if (!(moved < Infinity)) return false;
      if (moved < LIMITS.stepVolts && !equations.limited && this.small()) return true;
    }
    return false;
  }

  private small(): boolean {
    if (this.residual <= LIMITS.residualAmps) return true;
    return this.residual <= LIMITS.residualRelative * this.largestAmps();
  }

  private solveStep(): boolean {
    const { equations } = this.compiled;
    const { residual } = equations;
    if (!this.lu.factor(equations.values)) {
      this.assemble();
      if (!this.lu.choose(equations) || !this.lu.factor(equations.values)) return false;
    }
    for (let i = 0; i < this.compiled.size; i++) this.step[i] = -residual[i]!;
    this.lu.solve(equations.values, this.step);
    return true;
  }

  private fullMove(): number {
    const moved = this.move();
    this.assemble();
    return moved;
  }

  /** Adds the step to x. @returns the largest move of a node, in volts; NaN when there is one */
  private move(): number {
    const { x } = this.compiled.equations;
    const nodes = this.compiled.nodeCount;
    let largest = 0;
    for (let i = 0; i < this.compiled.size; i++) {
      x[i]! += this.step[i]!;
      if (i < nodes) largest = max(largest, abs(this.step[i]!));
    }
    return largest;
  }

  /** Deuflhard's residual test: a step is halved until the residual is no larger, at most eight times. */
  private dampedMove(): number {
    const { x } = this.compiled.equations;
    const start = this.norm();
    this.before.set(x);
    let largest = 0;
    for (let tries = 0; tries < 9; tries++) {
      if (tries > 0) for (let i = 0; i < this.compiled.size; i++) this.step[i]! /= 2;
      x.set(this.before);
      largest = this.move();
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

  private stampAll(): void {
    const { equations, stamped } = this.compiled;
    equations.values.fill(0);
    equations.residual.fill(0);
    equations.limited = false;
    for (let i = 0; i < stamped.length; i++) stamped[i]!.instance.stamp(equations);
    equations.fresh = false;
  }

  /** Stamps all parts and finds the node with the largest current left over. */
  private assemble(): void {
    const { equations, nodeCount, diagonal } = this.compiled;
    this.stampAll();
    const { values, residual, x } = equations;
    this.residual = 0;
    for (let i = 0; i < nodeCount; i++) {
      if (this.shunt > 0) {
        values[diagonal[i]!]! += this.shunt;
        residual[i]! += this.shunt * x[i]!;
      }
      const left = abs(residual[i]!);
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

import type { Compiled } from '../circuit/compile';
import type { Equations, Instance } from '../devices/device';
import { LIMITS } from '../numerics/limits';
import { assemble } from '../numerics/machine';
import type { Ordering } from '../numerics/pivots';
import type { Volts } from '../quantities/units';
import { codeOf, layoutOf, type Cell, type Layout } from './newtonCode';

type Stamp = Pick<Instance, 'stamp'>;

/** Looked up once: these stand in the innermost loops. */
const { abs, max } = Math;

/**
 * One circuit's step of Newton's method as straight-line code. Parts whose equations are straight lines are stamped once,
 * at x = 0; those that bend at every step, most of them by the code itself. Where it does not settle, or its order of
 * pivots does not suit, the equations are left as they were.
 */
export class NewtonMachine {
  private readonly straight: readonly Stamp[];
  /** Of the straight ones those that keep or move something, and the others. */
  private readonly moving: readonly Stamp[];
  private readonly resting: readonly Stamp[];
  private readonly bent: readonly Stamp[];
  /** What the straight parts stamp, and what the others do. */
  private readonly base: Equations;
  private readonly above: Equations;
  /** What the straight parts stamp that neither keep nor move anything: the same in every stage of a run. */
  private still: Pick<Equations, 'values' | 'residual'> | undefined;
  /** Largest current left over at any node before the last step, in amps. */
  residual = 0;
  iterations = 0;

  private constructor(
    private readonly compiled: Compiled,
    private readonly memory: Float64Array,
    private readonly layout: Layout,
    private readonly cells: readonly Cell[],
    private readonly step: () => number,
  ) {
    const instances = compiled.stamped.map(({ instance }) => instance);
    this.straight = instances.filter(({ straight }) => straight);
    const moves = ({ storage, wave }: (typeof instances)[number]) =>
      storage !== undefined || wave !== undefined;
    this.moving = instances.filter((part) => part.straight && moves(part));
    this.resting = instances.filter((part) => part.straight && !moves(part));
    this.bent = instances.filter(({ straight, write }) => !straight && !write);
    const view = (from: number, length: number) => memory.subarray(from, from + length);
    const { size } = compiled;
    const entries = compiled.coordinates.rows.length;
    const blank = { ...compiled.equations, limiting: true };
    this.base = {
      ...blank,
      values: view(layout.base, entries),
      residual: view(layout.baseResidual, size + 1),
      x: new Float64Array(size + 1),
    };
    this.above = {
      ...blank,
      values: view(layout.bent, entries),
      residual: view(layout.bentResidual, size + 1),
      x: view(layout.x, size + 1),
    };
    this.refresh();
  }

  /**
   * @param order of pivots that suits the circuit now
   * @param tangent a curve that was read within so many volts is taken by its tangent there; below 0 it is read anew
   * @returns undefined where compiled code is not allowed
   */
  static of(compiled: Compiled, order: Ordering, tangent: Volts): NewtonMachine | undefined {
    const layout = layoutOf(compiled, order);
    const cells: Cell[] = [];
    const code = codeOf(compiled, order, layout, tangent, cells);
    const machine = assemble(layout.end + cells.length, code);
    return machine && new NewtonMachine(compiled, machine.memory, layout, cells, machine.run);
  }

  /**
   * A stage of a step in time, from the guess that stands in the equations.
   *
   * @param enough volts: settled when the last step moved no node by more
   * @returns whether it settled
   */
  settleStage(enough: Volts): boolean {
    this.beginStage();
    return this.settle(LIMITS.stageSteps, enough, false);
  }

  /**
   * The circuit at rest, with every figure as the knobs stand now.
   *
   * @returns whether it settled, as closely as it is asked of a circuit at rest
   */
  settleAtRest(): boolean {
    this.refresh();
    this.above.fresh = true;
    this.stamp(this.straight, undefined);
    return this.settle(LIMITS.newtonSteps, LIMITS.stepVolts, true);
  }

  /** @param rested what is left over must be next to nothing too */
  private settle(steps: number, enough: Volts, rested: boolean): boolean {
    const { equations, size } = this.compiled;
    const { above, bent, memory, layout } = this;
    for (let i = 0; i < size; i++) above.x[i] = equations.x[i]!;
    for (let i = 0; i < steps; i++) {
      this.iterations++;
      above.limited = false;
      for (let part = 0; part < bent.length; part++) bent[part]!.stamp(above);
      above.fresh = false;
      memory[layout.falls] = i > 0 && i < LIMITS.fallingSteps ? 1 : 0;
      const moved = this.step();
      if (moved < enough && !above.limited && (!rested || this.small())) {
        for (let k = 0; k < size; k++) equations.x[k] = above.x[k]!;
        return true;
      }
      if (Number.isNaN(moved)) return false;
    }
    return false;
  }

  /** What is left over, beside the largest current that flows through a source or a part with a branch of its own. */
  private small(): boolean {
    const { nodeCount, size } = this.compiled;
    const { x } = this.above;
    this.residual = this.memory[this.layout.left]!;
    if (this.residual <= LIMITS.residualAmps) return true;
    let largest = 0;
    for (let i = nodeCount; i < size; i++) largest = max(largest, abs(x[i]!));
    return this.residual <= LIMITS.residualRelative * largest;
  }

  /** Reads the figures of all parts, and forgets where curves were read. */
  private refresh(): void {
    const { memory, cells, layout } = this;
    for (let i = 0; i < cells.length; i++) {
      const cell = cells[i]!;
      memory[layout.end + i] = typeof cell === 'number' ? cell : cell();
    }
  }

  /** Stamps for a stage: what neither keeps nor moves anything only once. */
  private beginStage(): void {
    if (!this.still) {
      this.stamp(this.resting, undefined);
      this.still = { values: this.base.values.slice(), residual: this.base.residual.slice() };
    }
    this.stamp(this.moving, this.still);
  }

  /** Stamps straight parts at x = 0 for where the equations stand, upon what has been stamped or upon nothing. */
  private stamp(parts: readonly Stamp[], upon: Pick<Equations, 'values' | 'residual'> | undefined): void {
    const { base, above } = this;
    const { regime, theta, time, source } = this.compiled.equations;
    base.regime = above.regime = regime;
    base.theta = above.theta = theta;
    base.time = above.time = time;
    base.source = above.source = source;
    if (upon) {
      base.values.set(upon.values);
      base.residual.set(upon.residual);
    } else {
      base.values.fill(0);
      base.residual.fill(0);
    }
    for (let i = 0; i < parts.length; i++) parts[i]!.stamp(base);
  }
}

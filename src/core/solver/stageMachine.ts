import type { Compiled } from '../circuit/compile';
import type { Equations, Instance, Writing } from '../devices/device';
import { apply, at, Code, either, less, num, size, sum, times } from '../numerics/code';
import { assemble } from '../numerics/machine';
import type { Ordering } from '../numerics/pivots';
import { writeElimination } from '../numerics/straightLine';

type Stamp = Pick<Instance, 'stamp'>;

/**
 * One circuit's step of Newton's method as straight-line code, for the stages of a run over time. Parts whose equations
 * are straight lines are stamped once a stage, at x = 0; those that bend at every step. The code adds both, eliminates,
 * moves x, and clears what bends for the next step.
 */
export class StageMachine {
  /** Straight parts that keep nothing and do not move: their stamp is the same in every stage. */
  private readonly still: Pick<Equations, 'values' | 'residual'>;
  private readonly straight: readonly Stamp[];
  private readonly bent: readonly Stamp[];
  /** What the straight parts stamp, and what the others do. */
  private readonly base: Equations;
  private readonly above: Equations;

  private constructor(
    private readonly compiled: Compiled,
    memory: Float64Array,
    layout: Layout,
    private readonly step: () => number,
  ) {
    const instances = compiled.stamped.map(({ instance }) => instance);
    const moves = ({ storage, wave }: Pick<Instance, 'storage' | 'wave'>) =>
      storage !== undefined || wave !== undefined;
    this.straight = instances.filter((part) => part.straight && moves(part));
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
    for (const part of instances) if (part.straight && !moves(part)) part.stamp(this.base);
    this.still = { values: this.base.values.slice(), residual: this.base.residual.slice() };
  }

  /**
   * @param order of pivots that suits the circuit now
   * @returns undefined where compiled code is not allowed
   */
  static of(compiled: Compiled, order: Ordering): StageMachine | undefined {
    const layout = layoutOf(compiled, order);
    const remembered: number[] = [];
    const code = codeOf(compiled, order, layout, remembered);
    const machine = assemble(layout.end + remembered.length, code);
    machine?.memory.set(remembered, layout.end);
    return machine && new StageMachine(compiled, machine.memory, layout, machine.run);
  }

  /**
   * A stage from the guess that stands in the equations.
   *
   * @param enough volts: settled when the last step moved no node by more
   * @returns whether it settled; undefined when its order of pivots does not suit, and then the equations are as they were
   */
  settle(enough: number, steps: number): boolean | undefined {
    const { equations } = this.compiled;
    const { above, bent } = this;
    this.begin(equations);
    above.x.set(equations.x);
    for (let i = 0; i < steps; i++) {
      above.limited = false;
      for (let part = 0; part < bent.length; part++) bent[part]!.stamp(above);
      const moved = this.step();
      if (moved < enough && !above.limited) {
        equations.x.set(above.x);
        return true;
      }
      if (Number.isNaN(moved)) return undefined;
    }
    return false;
  }

  private begin({ regime, theta, time, source }: Equations): void {
    const { base, above, straight } = this;
    base.regime = above.regime = regime;
    base.theta = above.theta = theta;
    base.time = above.time = time;
    base.source = above.source = source;
    base.values.set(this.still.values);
    base.residual.set(this.still.residual);
    for (let i = 0; i < straight.length; i++) straight[i]!.stamp(base);
  }
}

/** Where everything stands in the memory. */
type Layout = Readonly<
  Record<'base' | 'baseResidual' | 'bent' | 'bentResidual' | 'x' | 'factors' | 'inverse' | 'end', number>
>;

function layoutOf({ size, coordinates }: Compiled, order: Ordering): Layout {
  const entries = coordinates.rows.length;
  let used = 0;
  const room = (places: number) => {
    used += places;
    return used - places;
  };
  const layout = {
    base: room(entries),
    baseResidual: room(size + 1),
    bent: room(entries),
    bentResidual: room(size + 1),
    x: room(size + 1),
    factors: room(order.places),
    inverse: room(size),
  };
  return { ...layout, end: used };
}

/** The whole step. Stamps are gathered above what the straight parts have left, and cleared for the next one. */
function codeOf(compiled: Compiled, order: Ordering, layout: Layout, remembered: number[]): Code {
  const { size: unknowns, nodeCount, stamped, coordinates } = compiled;
  const { rows, columns } = coordinates;
  const code = new Code();
  const elsewhere = code.keep(num(0));
  const writing: Writing = {
    code,
    x: (index) => (index < unknowns ? at(layout.x + index) : num(0)),
    flow: (row, amps) => void (row < unknowns && code.add(layout.bentResidual + row, amps)),
    slope: (place, siemens) => void (place > 0 && code.add(layout.bent + place, siemens)),
    remember: (first) => layout.end + remembered.push(first) - 1,
    readElsewhere: () => void code.set(elsewhere, num(Infinity)),
  };
  for (const { instance } of stamped) if (!instance.straight) instance.write?.(writing);

  const booked = (straight: boolean) =>
    new Set(stamped.flatMap(({ instance, places }) => (!!instance.straight === straight ? places : [])));
  const [straight, bent] = [booked(true), booked(false)];
  const rowOf = Array.from({ length: unknowns }, (): number[] => []);
  for (const place of straight) if (place > 0) rowOf[rows[place]!]!.push(place);
  const solution = writeElimination(code, order, {
    factors: layout.factors,
    inverse: layout.inverse,
    entry(place) {
      const parts = [
        ...(straight.has(place) ? [at(layout.base + place)] : []),
        ...(bent.has(place) ? [at(layout.bent + place)] : []),
      ];
      return parts.length > 0 ? sum(parts[0]!, ...parts.slice(1)) : undefined;
    },
    rhs(row) {
      const products = rowOf[row]!.map((place) =>
        times(at(layout.base + place), at(layout.x + columns[place]!)),
      );
      return less(num(0), at(layout.baseResidual + row), at(layout.bentResidual + row), ...products);
    },
  });

  const moved = code.keep(elsewhere.value);
  order.columns.forEach((column, step) => {
    const by = solution.unknowns[step]!.value;
    code.add(layout.x + column, by);
    if (column < nodeCount) code.set(moved, apply('max', moved.value, size(by)));
  });
  for (const place of bent) if (place > 0) code.store(layout.bent + place, num(0));
  for (let row = 0; row < unknowns; row++) code.store(layout.bentResidual + row, num(0));
  return code.put(either(apply('atMost', solution.worst, num(1)), moved.value, num(NaN)));
}

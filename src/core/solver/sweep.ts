import { partOf, withPart, type Circuit, type Part } from '../circuit/circuit';
import { deviceOf } from '../circuit/deviceOf';
import { withField } from '../circuit/withField';
import { isProblem } from '../devices/device';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { readSolution } from './report';
import { unsettled, prepare, type Prepared } from './prepare';
import { restOf } from './resting';

export interface SweepPlan {
  readonly part: string;
  readonly field: string;
  readonly from: number;
  readonly to: number;
  /** Number of points, both ends included. */
  readonly steps: number;
  /** Spaced evenly by ratio instead of by difference. */
  readonly log?: boolean;
}

export interface Sweep {
  readonly values: number[];
  readonly nodes: Record<string, number[]>;
  readonly parts: Record<string, { amps: number[] }>;
}

/**
 * Solves a circuit with one field of one part going from one value to another; each point starts from the one before.
 */
export function sweep(circuit: Circuit, plan: SweepPlan): Outcome<Sweep> {
  const part = partOf(circuit, plan.part);
  if (!part) {
    const problem = 'is not in the circuit';
    return refused(finding('bad-field', { place: 'sweep', field: plan.part, problem }));
  }
  const result: Sweep = { values: spaced(plan), nodes: {}, parts: {} };
  const stepper = new Stepper(circuit, part, plan.field);
  for (const value of result.values) {
    const point = stepper.at(value);
    if (!point.ok) return point;
    const { nodes, parts } = readSolution(point.value.compiled);
    for (const [name, volts] of Object.entries(nodes)) (result.nodes[name] ??= []).push(volts);
    for (const [id, { amps }] of Object.entries(parts)) (result.parts[id] ??= { amps: [] }).amps.push(amps);
  }
  return accepted(result);
}

/** One circuit solved at one value of a field after another; it is placed anew only where its structure changes. */
export class Stepper {
  private bench: Prepared | undefined;
  private part: Part;

  constructor(
    private readonly circuit: Circuit,
    part: Part,
    private readonly field: string,
  ) {
    this.part = part;
  }

  /** The solved bench at a value, or why there is none. */
  at(value: number): Outcome<Prepared> {
    const part = withField(this.part, this.field, value);
    if (isProblem(part)) return refused(finding('bad-field', { place: this.part.id, ...part }));
    const before = this.bench;
    if (!before || !this.turned(before, part, value)) {
      const placed = prepare(withPart(this.circuit, part.id, () => part));
      if (!placed.ok) return placed;
      this.bench = placed.value;
      if (before) carryOver(before, placed.value);
    }
    this.part = part;
    const bench = this.bench!;
    const settling = before ? bench.point.solve(false, 'standing') : restOf(bench).settling;
    return settling.converged ? accepted(bench) : refused(unsettled(bench, settling));
  }

  /** Turns the knob of the placed part where that says the same as placing it anew. */
  private turned({ compiled }: Prepared, part: Part, value: number): boolean {
    const device = deviceOf(part);
    const placed = compiled.placed.find((p) => p.part.id === part.id)!;
    const turn = placed.instance.knobs[this.field];
    const same =
      turn &&
      device.branches(part.params) === device.branches(this.part.params) &&
      !device.forces?.(part.params) &&
      !device.forces?.(this.part.params);
    if (same) turn(value);
    return same === true;
  }
}

function carryOver(from: Prepared, to: Prepared): void {
  if (from.compiled.size !== to.compiled.size) return;
  to.compiled.equations.x.set(from.compiled.equations.x);
  to.compiled.placed.forEach(({ instance }, i) => {
    if (instance.latch) instance.latch.state = from.compiled.placed[i]!.instance.latch!.state;
  });
}

function spaced({ from, to, steps, log }: SweepPlan): number[] {
  return Array.from({ length: steps }, (_, i) => {
    const share = steps > 1 ? i / (steps - 1) : 0;
    if (i === steps - 1 && steps > 1) return to;
    return log ? from * (to / from) ** share : from + (to - from) * share;
  });
}

import { withPart, partOf, type Circuit, type Part } from '../circuit/circuit';
import { compile } from '../circuit/compile';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { OperatingPoint } from './operatingPoint';
import { readSolution } from './report';
import { unsettled } from './solve';

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
  const held = part && (part.params as Record<string, unknown>)[plan.field];
  if (!part || typeof held !== 'number') {
    const place = part ? plan.part : 'sweep';
    return refused(
      finding('bad-field', { place, field: part ? plan.field : plan.part, problem: 'cannot be varied' }),
    );
  }
  const result: Sweep = { values: spaced(plan), nodes: {}, parts: {} };
  let before: Float64Array | undefined;
  for (const value of result.values) {
    const compiled = compile(withPart(circuit, plan.part, (p) => withField(p, plan.field, value)));
    if (!compiled.ok) return compiled;
    const { equations } = compiled.value;
    if (before?.length === equations.x.length) equations.x.set(before);
    const settling = new OperatingPoint(compiled.value).solve();
    if (!settling.converged) return refused(unsettled(settling));
    before = equations.x;
    const { nodes, parts } = readSolution(compiled.value);
    for (const [name, volts] of Object.entries(nodes)) (result.nodes[name] ??= []).push(volts);
    for (const [id, { amps }] of Object.entries(parts)) {
      (result.parts[id] ??= { amps: [] }).amps.push(amps);
    }
  }
  return accepted(result);
}

function withField(part: Part, field: string, value: number): Part {
  return { ...part, params: { ...part.params, [field]: value } } as Part;
}

function spaced({ from, to, steps, log }: SweepPlan): number[] {
  return Array.from({ length: steps }, (_, i) => {
    const share = steps > 1 ? i / (steps - 1) : 0;
    if (i === steps - 1 && steps > 1) return to;
    return log ? from * (to / from) ** share : from + (to - from) * share;
  });
}

import type { Compiled } from '../../circuit/compile';

/**
 * How the mean current into each part's pins follows from the mean of the unknowns. Where equations are straight lines
 * it is the current at the means. What is left follows from Kirchhoff's law, at a node or through a part where one pin's
 * current is missing; and where that does not reach, from currents that are watched all along.
 */
export class Means {
  /** Parts, by place in the circuit, whose currents have to be averaged on the way. */
  readonly watched: readonly number[];
  private readonly steps: readonly Missing[];
  private readonly amps: readonly Float64Array[];

  constructor(private readonly compiled: Compiled) {
    this.amps = compiled.placed.map(({ nodes }) => new Float64Array(nodes.length));
    const { steps, watched } = plan(compiled);
    this.steps = steps;
    this.watched = watched;
  }

  /**
   * @param x means of the unknowns, and 0 for ground
   * @param watched means of the watched parts' pins, one part after the other
   * @returns means of each part's pins
   */
  of(x: Float64Array, watched: Float64Array): readonly Float64Array[] {
    const { placed } = this.compiled;
    placed.forEach(({ instance }, i) => {
      this.amps[i]!.fill(0);
      if (instance.straight) instance.currents(x, this.amps[i]!);
    });
    let next = 0;
    for (const part of this.watched) {
      const { length } = this.amps[part]!;
      this.amps[part]!.set(watched.subarray(next, next + length));
      next += length;
    }
    for (const { part, pin, node } of this.steps) {
      const others = node === undefined ? [...this.amps[part]!] : this.intoNode(node);
      this.amps[part]![pin]! -= others.reduce((sum, amps) => sum + amps, 0);
    }
    return this.amps;
  }

  private intoNode(node: number): number[] {
    return this.compiled.placed.flatMap(({ nodes }, i) =>
      [...this.amps[i]!].filter((_, pin) => nodes[pin] === node),
    );
  }
}

/** One current that all others at a node, or all others of its part, leave open. */
interface Missing {
  readonly part: number;
  readonly pin: number;
  readonly node: number | undefined;
}

function plan({ placed, nodes: names }: Compiled): { steps: Missing[]; watched: number[] } {
  const open = new Map<string, { part: number; pin: number; node: number }>();
  placed.forEach(({ instance, nodes }, part) => {
    if (instance.straight) return;
    nodes.forEach((node, pin) => node >= 0 && open.set(`${part}.${pin}`, { part, pin, node }));
  });
  const steps: Missing[] = [];
  const watched: number[] = [];
  const alone = (of: 'part' | 'node', which: number) => {
    const left = [...open.values()].filter((current) => current[of] === which);
    return left.length === 1 ? left[0] : undefined;
  };
  const found = (): Missing | undefined => {
    for (let node = 0; node < names.length; node++) {
      const only = alone('node', node);
      if (only) return { ...only, node };
    }
    for (let part = 0; part < placed.length; part++) {
      const only = alone('part', part);
      if (only) return { ...only, node: undefined };
    }
    return undefined;
  };
  while (open.size > 0) {
    const step = found();
    if (step) {
      steps.push(step);
      open.delete(`${step.part}.${step.pin}`);
      continue;
    }
    const { part } = [...open.values()][0]!;
    watched.push(part);
    for (const key of [...open.keys()]) if (key.startsWith(`${part}.`)) open.delete(key);
  }
  // What was found of a part before it came to be watched is measured with the rest of it.
  return { steps: steps.filter(({ part }) => !watched.includes(part)), watched };
}

import type { PinPair } from '../devices/device';
import { isKind, type Circuit, type Part } from './circuit';
import { deviceOf } from './deviceOf';

/** Whether time stands still (capacitors are open) or moves (they join what they stand between). */
export type Motion = 'steady' | 'moving';

/** Which nodes hang together, and at what fixed volts from one another where only ideal sources join them. */
export class Groups {
  private readonly parent = new Map<string, string>();
  private readonly volts = new Map<string, number>();

  /** The group's leading node, and the volts of `node` over it; what is passed on the way is shortened. */
  find(node: string): { root: string; volts: number } {
    const passed: string[] = [];
    let root = node;
    for (let up = this.parent.get(root); up !== undefined; up = this.parent.get(root)) {
      passed.push(root);
      root = up;
    }
    let volts = 0;
    for (let i = passed.length - 1; i >= 0; i--) {
      volts += this.volts.get(passed[i]!)!;
      this.parent.set(passed[i]!, root);
      this.volts.set(passed[i]!, volts);
    }
    return { root, volts };
  }

  /**
   * Joins a and b with a fixed `volts` from b to a; `NaN` volts move with time.
   *
   * @returns 'new', 'agrees' when they were joined already at these volts, 'clashes', or 'moves' when none can say
   */
  join(a: string, b: string, volts = 0): 'new' | 'agrees' | 'clashes' | 'moves' {
    const at = this.find(a);
    const bt = this.find(b);
    if (at.root === bt.root) {
      const left = Math.abs(at.volts - bt.volts - volts);
      return Number.isNaN(left) ? 'moves' : left < 1e-9 ? 'agrees' : 'clashes';
    }
    this.parent.set(at.root, bt.root);
    this.volts.set(at.root, bt.volts + volts - at.volts);
    return 'new';
  }
}

/** Nodes with no path for current to ground. */
export function floatingNodes(circuit: Circuit, motion: Motion = 'steady'): string[] {
  const groups = new Groups();
  for (const part of circuit.parts) {
    for (const [a, b] of conducting(part, motion)) groups.join(a, b);
  }
  const ground = groups.find(circuit.ground).root;
  const nodes = new Set(circuit.parts.flatMap((part) => Object.values(part.pins)));
  return [...nodes].filter((node) => groups.find(node).root !== ground);
}

/** Parts of the circuit that direct current cannot reach from ground. */
export function cutOffParts(circuit: Circuit): Part[] {
  const floating = new Set(floatingNodes(circuit));
  return circuit.parts.filter((part) => Object.values(part.pins).every((node) => floating.has(node)));
}

export function conducting(part: Part, motion: Motion): [string, string][] {
  const device = deviceOf(part);
  const changing = motion === 'moving' ? (device.changingPaths ?? []) : [];
  return [...device.paths(part.params), ...changing].flatMap((pair) => {
    const nodes = nodesOf(part, pair);
    return nodes ? [nodes] : [];
  });
}

/** The nodes of two pins, where neither is left out. */
function nodesOf(part: Part, [a, b]: PinPair): [string, string] | undefined {
  const { pins } = deviceOf(part);
  const [from, to] = [part.pins[pins[a]!], part.pins[pins[b]!]];
  return from === undefined || to === undefined ? undefined : [from, to];
}

export interface IdealLoops {
  /** Ideal sources, and the wires and charged capacitors among them, that would force two different voltages. */
  readonly atOdds: string[];
  /** Capacitors that stand in a loop of ideal sources and take the volts these leave them. */
  readonly takesVolts: ReadonlySet<string>;
}

/** Loops in which every part forces its volts. */
export function idealLoops(circuit: Circuit, motion: Motion = 'steady'): IdealLoops {
  const groups = new Groups();
  const atOdds: string[] = [];
  for (const part of circuit.parts) {
    const forced = deviceOf(part).forces?.(part.params);
    const nodes = forced && nodesOf(part, forced.between);
    if (!nodes) continue;
    const joined = groups.join(...nodes, forced.volts);
    if (joined === 'clashes' || joined === 'moves') atOdds.push(part.id);
  }
  const takesVolts = new Set<string>();
  if (motion === 'moving') atOdds.push(...capacitorLoops(circuit, groups, takesVolts));
  return { atOdds, takesVolts };
}

/** A capacitor across sources takes their volts; capacitors across one another must start at the same. */
function capacitorLoops(circuit: Circuit, groups: Groups, takesVolts: Set<string>): string[] {
  const capacitors = circuit.parts.filter((part) => isKind(part, 'capacitor'));
  const bare = capacitors.filter(({ id, pins }) => {
    const sourced = groups.find(pins['a']!).root === groups.find(pins['b']!).root;
    if (sourced) takesVolts.add(id);
    return !sourced;
  });
  return bare.flatMap(({ id, pins, params }) => {
    const joined = groups.join(pins['a']!, pins['b']!, params.volts);
    if (joined !== 'new') takesVolts.add(id);
    return joined === 'clashes' ? [id] : [];
  });
}

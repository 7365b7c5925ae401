import { DEVICES } from '../devices/index';
import type { Circuit, Part } from './circuit';

/** Which nodes hang together, and at what fixed volts from one another where only ideal sources join them. */
class Groups {
  private readonly parent = new Map<string, string>();
  private readonly volts = new Map<string, number>();

  /** The group's leading node, and the volts of `node` over it. */
  find(node: string): { root: string; volts: number } {
    let root = node;
    let volts = 0;
    for (;;) {
      const up = this.parent.get(root);
      if (up === undefined) return { root, volts };
      volts += this.volts.get(root) ?? 0;
      root = up;
    }
  }

  /** Joins a and b with a fixed `volts` from b to a; false when they were joined already at other volts. */
  join(a: string, b: string, volts = 0): boolean {
    const at = this.find(a);
    const bt = this.find(b);
    if (at.root === bt.root) return Math.abs(at.volts - bt.volts - volts) < 1e-9;
    this.parent.set(at.root, bt.root);
    this.volts.set(at.root, bt.volts + volts - at.volts);
    return true;
  }
}

/** Nodes with no path for direct current to ground. */
export function floatingNodes(circuit: Circuit): string[] {
  const groups = new Groups();
  for (const part of circuit.parts) {
    for (const [a, b] of conducting(part)) groups.join(a, b);
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

function conducting(part: Part): [string, string][] {
  const device = DEVICES[part.kind];
  const pins: readonly string[] = device.pins;
  const paths = (device.paths as (params: unknown) => readonly (readonly [number, number])[])(part.params);
  return paths.map(([a, b]) => [part.pins[pins[a]!]!, part.pins[pins[b]!]!]);
}

/** Ideal sources (and the wires among them) that would force two different voltages between the same nodes. */
export function sourcesAtOdds(circuit: Circuit): string[] {
  const groups = new Groups();
  const odds: string[] = [];
  for (const part of circuit.parts) {
    const ideal = idealVolts(part);
    if (ideal && !groups.join(ideal.plus, ideal.minus, ideal.volts)) odds.push(part.id);
  }
  return odds;
}

function idealVolts(part: Part): { plus: string; minus: string; volts: number } | undefined {
  const pin = (name: string) => part.pins[name]!;
  if (part.kind === 'wire' || (part.kind === 'switch' && part.params.closed)) {
    return { plus: pin('a'), minus: pin('b'), volts: 0 };
  }
  if (part.kind === 'resistor' && part.params.ohms === 0) {
    return { plus: pin('a'), minus: pin('b'), volts: 0 };
  }
  if (part.kind === 'supply' && part.params.ohms === 0 && !part.params.limitAmps) {
    return { plus: pin('plus'), minus: pin('minus'), volts: part.params.volts };
  }
  return undefined;
}

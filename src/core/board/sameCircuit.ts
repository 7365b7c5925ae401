import { POLARITY } from '../catalogue/polarity';
import type { Circuit, Part } from '../circuit/circuit';

/**
 * Whether two circuits join the same pins of the same parts, whatever their nodes are called.
 * Wires are looked through; a part without polarity may lie either way.
 */
export function sameCircuit(one: Circuit, other: Circuit): boolean {
  return figures(one) === figures(other) && JSON.stringify(nets(one)) === JSON.stringify(nets(other));
}

function figures(circuit: Circuit): string {
  const rows = realParts(circuit).map((part) => [part.id, part.kind, part.params]);
  return JSON.stringify(rows.sort((a, b) => String(a[0]).localeCompare(String(b[0]))));
}

function realParts(circuit: Circuit): Part[] {
  return circuit.parts.filter((part) => part.kind !== 'wire');
}

/** Each net as the sorted list of the pins on it; all nets in order. */
export function nets(circuit: Circuit): string[][] {
  const joined = joinedByWires(circuit);
  const byNode = new Map<string, string[]>();
  for (const part of realParts(circuit)) {
    for (const [pin, node] of Object.entries(part.pins)) {
      const name = POLARITY[part.kind]?.polarised === false ? part.id : `${part.id}.${pin}`;
      const net = joined(node);
      byNode.set(net, [...(byNode.get(net) ?? []), name]);
    }
  }
  return [...byNode.values()].map((pins) => pins.sort()).sort((a, b) => a.join().localeCompare(b.join()));
}

/** A function from a node to the name its whole net goes by, wires looked through. */
export function joinedByWires(circuit: Circuit): (node: string) => string {
  const parent = new Map<string, string>();
  const find = (node: string): string => {
    const up = parent.get(node);
    return up === undefined ? node : find(up);
  };
  for (const part of circuit.parts) {
    if (part.kind !== 'wire') continue;
    const [a, b] = [find(part.pins['a']!), find(part.pins['b']!)];
    if (a !== b) parent.set(a, b);
  }
  return find;
}

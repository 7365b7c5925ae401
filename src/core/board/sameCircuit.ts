import type { Circuit, Part } from '../circuit/circuit';
import { joinedByWires } from '../circuit/wires';
import { pinName } from '../parts/index';

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
      const name = pinName(part, pin);
      const net = joined(node);
      byNode.set(net, [...(byNode.get(net) ?? []), name]);
    }
  }
  // A pin that nothing else is joined to makes no net: it may be left out of a circuit, or lie in a row by itself.
  const joinedPins = [...byNode.values()].filter((pins) => pins.length > 1);
  return joinedPins.map((pins) => pins.sort()).sort((a, b) => a.join().localeCompare(b.join()));
}

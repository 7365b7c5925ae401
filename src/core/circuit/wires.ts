import type { Circuit } from './circuit';

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

/** The same circuit with its wires looked through: fewer equations, and the same figures at every other part. */
export function withoutWires(circuit: Circuit): Circuit {
  if (!circuit.parts.some((part) => part.kind === 'wire')) return circuit;
  const joined = joinedByWires(circuit);
  const read = new Set(circuit.checks.flatMap((check) => (check.measure === 'amps' ? [check.part] : [])));
  if (circuit.parts.some((part) => part.kind === 'wire' && read.has(part.id))) return circuit;
  return {
    ...circuit,
    ground: joined(circuit.ground),
    parts: circuit.parts
      .filter((part) => part.kind !== 'wire')
      .map((part) => ({
        ...part,
        pins: Object.fromEntries(Object.entries(part.pins).map(([pin, node]) => [pin, joined(node)])),
      })),
    checks: circuit.checks.map((check) =>
      check.measure === 'amps' ? check : { ...check, from: joined(check.from), to: joined(check.to) },
    ),
  };
}

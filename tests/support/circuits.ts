import { circuitFrom } from '@/core/formats/circuit/parse';
import type { Circuit } from '@/core/circuit/circuit';

/** The circuit in a plain circuit file; the test fails with the findings when it is refused. */
export function made(file: object): Circuit {
  const circuit = circuitFrom(file);
  if (!circuit.ok) throw new Error(JSON.stringify(circuit.findings));
  return circuit.value;
}

/** A circuit out of plain parts. */
export function circuitOf(parts: readonly object[], checks: readonly object[] = [], ground = '0'): Circuit {
  return made({ format: 'mivvet.circuit/1', ground, parts, checks });
}

export const supplyPart = (volts: number, ohms: number, more: object = {}) => ({
  id: 'B1',
  kind: 'supply',
  pins: { plus: 'plus', minus: '0' },
  volts,
  ohms,
  ...more,
});

export const resistorPart = (id: string, a: string, b: string, ohms: number, more: object = {}) => ({
  id,
  kind: 'resistor',
  pins: { a, b },
  ohms,
  ...more,
});

export const ledPart = (id: string, anode: string, cathode: string, type: string, more: object = {}) => ({
  id,
  kind: 'led',
  pins: { anode, cathode },
  type,
  ...more,
});

/** Supply, resistor, and one or more like lamps in a row. */
export function lampLoop(volts: number, inside: number, type: string, ohms: number, lamps = 1): Circuit {
  const first = ohms > 0 ? 'n0' : 'plus';
  const node = (i: number) => (i === 0 ? first : i === lamps ? '0' : `n${i}`);
  return circuitOf([
    supplyPart(volts, inside),
    ...(ohms > 0 ? [resistorPart('R1', 'plus', 'n0', ohms)] : []),
    ...Array.from({ length: lamps }, (_, i) => ledPart(`D${i + 1}`, node(i), node(i + 1), type)),
  ]);
}

import fc from 'fast-check';
import { circuitFrom } from '@/core/formats/circuit/parse';
import type { Circuit } from '@/core/circuit/circuit';

/** A circuit out of plain JSON; the test fails with the findings when it is refused. */
export function circuitOf(parts: readonly object[], checks: readonly object[] = [], ground = '0'): Circuit {
  const made = circuitFrom({ format: 'mivvet.circuit/1', ground, parts, checks });
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  return made.value;
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

const LAMP_COLOURS = ['red', 'yellow', 'green', 'blue', 'white', 'infrared'];

/**
 * A random connected circuit of supplies, resistors, potentiometers, lamps, diodes, switches and wires:
 * a spine of resistors keeps every node in reach of ground, and anything may stand across any two nodes.
 */
export function randomCircuit(mostNodes: number): fc.Arbitrary<Circuit> {
  return fc
    .record({
      nodes: fc.integer({ min: 2, max: mostNodes }),
      volts: fc.double({ min: 1, max: 24, noNaN: true }),
      inside: fc.double({ min: 0.01, max: 50, noNaN: true }),
      spine: fc.array(fc.double({ min: 1, max: 6, noNaN: true }), {
        minLength: mostNodes,
        maxLength: mostNodes,
      }),
      extra: fc.array(
        fc.record({
          kind: fc.constantFrom('resistor', 'led', 'diode', 'potentiometer', 'switch', 'wire', 'supply'),
          a: fc.nat(1000),
          b: fc.nat(1000),
          c: fc.nat(1000),
          size: fc.double({ min: 0, max: 1, noNaN: true }),
          flag: fc.boolean(),
        }),
        { minLength: 1, maxLength: mostNodes * 2 },
      ),
    })
    .map(({ nodes, volts, inside, spine, extra }) => {
      const name = (i: number) => (i % nodes === 0 ? '0' : `n${i % nodes}`);
      const parts: object[] = [
        { id: 'B', kind: 'supply', pins: { plus: name(1), minus: '0' }, volts, ohms: inside },
      ];
      for (let i = 1; i < nodes; i++) {
        parts.push(resistorPart(`S${i}`, name(i), name(i - 1), 10 ** spine[i - 1]!));
      }
      extra.forEach((e, i) => {
        const [a, b] = [name(e.a), name(e.b)];
        if (a === b) return;
        const ohms = 10 ** (1 + 5 * e.size);
        const type = LAMP_COLOURS[e.c % LAMP_COLOURS.length]!;
        if (e.kind === 'resistor') parts.push(resistorPart(`R${i}`, a, b, ohms));
        if (e.kind === 'led') parts.push(ledPart(`D${i}`, a, b, type));
        if (e.kind === 'diode') {
          parts.push({ id: `X${i}`, kind: 'diode', pins: { anode: a, cathode: b }, type: 'signal' });
        }
        if (e.kind === 'switch') {
          parts.push({ id: `K${i}`, kind: 'switch', pins: { a, b }, closed: e.flag });
        }
        if (e.kind === 'wire' && e.flag) parts.push({ id: `W${i}`, kind: 'wire', pins: { a, b } });
        if (e.kind === 'potentiometer') {
          parts.push({
            id: `P${i}`,
            kind: 'potentiometer',
            pins: { a, wiper: name(e.c), b },
            ohms,
            position: e.size,
          });
        }
        if (e.kind === 'supply' && e.flag) {
          parts.push({
            id: `V${i}`,
            kind: 'supply',
            pins: { plus: a, minus: b },
            volts: 12 * e.size,
            ohms: 1 + e.size,
            limitAmps: 0.05,
          });
        }
      });
      return circuitOf(parts);
    });
}

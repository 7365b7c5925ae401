import fc from 'fast-check';
import type { Circuit } from '@/core/circuit/circuit';
import { circuitOf, ledPart, resistorPart } from './circuits';

interface Extra {
  readonly i: number;
  readonly a: string;
  readonly b: string;
  readonly c: string;
  /** 0 to 1. */
  readonly size: number;
  readonly flag: boolean;
}

const LAMP_COLOURS = ['red', 'yellow', 'green', 'blue', 'white', 'infrared'];
const ohmsOf = (size: number) => 10 ** (1 + 5 * size);
const junction = (a: string, b: string) => ({ anode: a, cathode: b });

/** One part of each kind across random nodes; undefined leaves it out. */
const EXTRAS: Readonly<Record<string, (e: Extra) => object | undefined>> = {
  resistor: ({ i, a, b, size }) => resistorPart(`R${i}`, a, b, ohmsOf(size)),
  led: ({ i, a, b, size }) => ledPart(`D${i}`, a, b, LAMP_COLOURS[Math.floor(size * 5.99)]!),
  diode: ({ i, a, b }) => ({ id: `X${i}`, kind: 'diode', pins: junction(a, b), type: 'signal' }),
  zener: ({ i, a, b }) => ({ id: `Z${i}`, kind: 'zener', pins: junction(a, b), type: 'zener-6v2' }),
  switch: ({ i, a, b, flag }) => ({ id: `K${i}`, kind: 'switch', pins: { a, b }, closed: flag }),
  wire: ({ i, a, b, flag }) => (flag ? { id: `W${i}`, kind: 'wire', pins: { a, b } } : undefined),
  potentiometer: ({ i, a, b, c, size }) => ({
    id: `P${i}`,
    kind: 'potentiometer',
    pins: { a, wiper: c, b },
    ohms: ohmsOf(size),
    position: size,
  }),
  transistor: ({ i, a, b, c, flag }) => ({
    id: `Q${i}`,
    kind: 'transistor',
    pins: { collector: a, base: c, emitter: b },
    polarity: flag ? 'npn' : 'pnp',
  }),
  ldr: ({ i, a, b, size }) => ({ id: `L${i}`, kind: 'ldr', pins: { a, b }, lux: 1000 * size }),
  pin: ({ i, a, b, size, flag }) => ({
    id: `G${i}`,
    kind: 'pin',
    pins: { pin: a, ground: b },
    drive: flag ? 'pwm' : 'high',
    duty: size,
  }),
  inductor: ({ i, a, b }) => ({ id: `J${i}`, kind: 'inductor', pins: { a, b }, henries: 0.01, ohms: 5 }),
  capacitor: ({ i, a, b, flag }) => ({
    id: `C${i}`,
    kind: 'capacitor',
    pins: { a, b },
    farads: 1e-6,
    polarised: flag,
  }),
  speaker: ({ i, a, b }) => ({ id: `T${i}`, kind: 'speaker', pins: { a, b } }),
  timer: ({ i, a, b, c, flag }) =>
    i % 3 === 0
      ? {
          id: `U${i}`,
          kind: 'timer',
          pins: { ground: '0', trigger: a, output: b, reset: a, threshold: c, supply: a },
          family: flag ? 'bipolar' : 'cmos',
        }
      : undefined,
  supply: ({ i, a, b, size, flag }) =>
    flag
      ? {
          id: `V${i}`,
          kind: 'supply',
          pins: { plus: a, minus: b },
          volts: 12 * size,
          ohms: 1 + size,
          limitAmps: 0.05,
        }
      : undefined,
};

/**
 * A random connected circuit of every kind of part: a spine of resistors keeps every node in reach of ground, and
 * anything may stand across any nodes.
 */
export function randomCircuit(mostNodes: number): fc.Arbitrary<Circuit> {
  const extra = fc.record({
    kind: fc.constantFrom(...Object.keys(EXTRAS)),
    a: fc.nat(1000),
    b: fc.nat(1000),
    c: fc.nat(1000),
    size: fc.double({ min: 0, max: 1, noNaN: true }),
    flag: fc.boolean(),
  });
  return fc
    .record({
      nodes: fc.integer({ min: 2, max: mostNodes }),
      volts: fc.double({ min: 1, max: 24, noNaN: true }),
      inside: fc.double({ min: 0.01, max: 50, noNaN: true }),
      spine: fc.array(fc.double({ min: 1, max: 6, noNaN: true }), {
        minLength: mostNodes,
        maxLength: mostNodes,
      }),
      extra: fc.array(extra, { minLength: 1, maxLength: mostNodes * 2 }),
    })
    .map(({ nodes, volts, inside, spine, extra: extras }) => {
      const name = (i: number) => (i % nodes === 0 ? '0' : `n${i % nodes}`);
      const parts: object[] = [
        { id: 'B', kind: 'supply', pins: { plus: name(1), minus: '0' }, volts, ohms: inside },
      ];
      for (let i = 1; i < nodes; i++)
        parts.push(resistorPart(`S${i}`, name(i), name(i - 1), 10 ** spine[i - 1]!));
      extras.forEach(({ kind, a, b, c, size, flag }, i) => {
        if (name(a) === name(b)) return;
        const made = EXTRAS[kind]!({ i, a: name(a), b: name(b), c: name(c), size, flag });
        if (made) parts.push(made);
      });
      return circuitOf(parts);
    });
}

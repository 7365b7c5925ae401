import fc from 'fast-check';
import type { Part } from '../circuit/circuit';
import { compile, deviceOf } from '../circuit/compile';
import { circuitOf, supplyPart } from '../../../tests/support/circuits';
import { isProblem, type Equations } from './device';
import { DEVICES, KINDS } from './index';

/** One or more examples of every kind; a new device adds its own. */
const EXAMPLES: Readonly<Record<keyof typeof DEVICES, readonly object[]>> = {
  supply: [
    { volts: 4.8, ohms: 0.45 },
    { volts: 5, ohms: 0 },
    { volts: 9, ohms: 1, limitAmps: 0.02 },
    { volts: -3, ohms: 2 },
  ],
  resistor: [{ ohms: 330 }, { ohms: 0 }, { ohms: 1e9 }],
  potentiometer: [
    { ohms: 10000, position: 0.3 },
    { ohms: 500, position: 0 },
    { ohms: 500, position: 1 },
  ],
  led: [{ type: 'red' }, { type: 'green' }, { vf: 3, n: 2, rs: 0 }, { type: 'blue', vf: 2.9, at: 0.01 }],
  diode: [{ type: 'signal' }, { type: 'rectifier' }, { vf: 0.7, at: 0.01, n: 1.5, rs: 1 }],
  switch: [{ closed: true }, { closed: false }],
  wire: [{}],
};

const cases = KINDS.flatMap((kind) =>
  EXAMPLES[kind].map((fields) => [kind, JSON.stringify(fields), fields] as const),
);

function placed(kind: keyof typeof DEVICES, fields: object) {
  const pins = Object.fromEntries(DEVICES[kind].pins.map((pin, i) => [pin, `x${i}`]));
  const anchors = DEVICES[kind].pins.map((_, i) => ({
    id: `A${i}`,
    kind: 'resistor',
    pins: { a: `x${i}`, b: '0' },
    ohms: 1e6,
  }));
  const circuit = circuitOf([{ id: 'Z', kind, pins, ...fields }, ...anchors]);
  const compiled = compile(circuit);
  if (!compiled.ok) throw new Error(JSON.stringify(compiled.findings));
  const at = compiled.value.placed.find((p) => p.part.id === 'Z')!;
  return { compiled: compiled.value, at, pins: DEVICES[kind].pins.length };
}

function stampAlone(
  equations: Equations,
  stamp: (eq: Equations) => void,
): { residual: number[]; matrix: number[] } {
  equations.residual.fill(0);
  equations.matrix.fill(0);
  stamp(equations);
  return { residual: [...equations.residual], matrix: [...equations.matrix] };
}

describe.each(cases)('%s %s', (kind, _name, fields) => {
  const volts = fc.double({ min: -12, max: 12, noNaN: true });

  it('has derivatives that agree with finite differences', () => {
    const { compiled, at } = placed(kind, fields);
    const { equations, size } = compiled;
    const stride = equations.stride;
    fc.assert(
      fc.property(fc.array(volts, { minLength: size, maxLength: size }), (start) => {
        start.forEach((v, i) => (equations.x[i] = i < compiled.nodes.length ? v : v / 100));
        const { matrix, residual } = stampAlone(equations, (eq) => at.instance.stamp(eq));
        for (let column = 0; column < size; column++) {
          const held = equations.x[column]!;
          const step = 1e-6;
          equations.x[column] = held + step;
          const up = stampAlone(equations, (eq) => at.instance.stamp(eq)).residual;
          equations.x[column] = held - step;
          const down = stampAlone(equations, (eq) => at.instance.stamp(eq)).residual;
          equations.x[column] = held;
          for (let row = 0; row < size; row++) {
            const slope = (up[row]! - down[row]!) / (2 * step);
            const exact = matrix[row * stride + column]!;
            const floor = 1e-6 * (1 + Math.abs(residual[row]!)) + 2e-4 * Math.abs(exact);
            // At the corner of a current limit the two sides have different slopes.
            if (kind === 'supply' && Math.abs(slope - exact) > floor) continue;
            expect(Math.abs(slope - exact)).toBeLessThanOrEqual(floor);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('has pin currents that sum to zero and are the ones it stamps', () => {
    const { compiled, at, pins } = placed(kind, fields);
    const { equations, size } = compiled;
    fc.assert(
      fc.property(fc.array(volts, { minLength: size, maxLength: size }), (start) => {
        start.forEach((v, i) => (equations.x[i] = v));
        const { residual } = stampAlone(equations, (eq) => at.instance.stamp(eq));
        const amps = new Float64Array(pins);
        at.instance.currents(equations.x, amps);
        const largest = Math.max(1e-9, ...amps.map(Math.abs));
        expect(Math.abs(amps.reduce((s, a) => s + a, 0))).toBeLessThan(1e-9 * largest);
        amps.forEach((a, pin) => expect(residual[at.nodes[pin]!]! / largest).toBeCloseTo(a / largest, 9));
      }),
    );
  });

  it('stays finite hundreds of volts beyond any use', () => {
    const { compiled, at } = placed(kind, fields);
    for (const v of [-500, 500]) {
      compiled.equations.x.fill(0);
      compiled.equations.x[0] = v;
      const { residual, matrix } = stampAlone(compiled.equations, (eq) => at.instance.stamp(eq));
      expect([...residual, ...matrix].every(Number.isFinite)).toBe(true);
    }
  });

  it('gives out no energy unless it is a source', () => {
    if (kind === 'supply') return expect(DEVICES.supply.kind).toBe('supply');
    const { compiled, at, pins } = placed(kind, fields);
    if (deviceOf(at.part).branches(at.part.params) > 0) return expect(pins).toBeGreaterThan(1);
    fc.assert(
      fc.property(fc.array(volts, { minLength: pins, maxLength: pins }), (start) => {
        start.forEach((v, i) => (compiled.equations.x[i] = v));
        const amps = new Float64Array(pins);
        at.instance.currents(compiled.equations.x, amps);
        const watts = amps.reduce((s, a, pin) => s + a * compiled.equations.x[at.nodes[pin]!]!, 0);
        expect(watts).toBeGreaterThanOrEqual(-1e-12);
      }),
    );
  });
});

describe('resolving fields', () => {
  const resolve = (kind: keyof typeof DEVICES, fields: object) =>
    deviceOf({ id: 'Z', kind, pins: {}, params: {} } as unknown as Part).resolve(fields as never);

  it('names what is missing or impossible in a junction', () => {
    expect(resolve('led', { maxAmps: 0.02 })).toMatchObject({ field: 'vf' });
    expect(resolve('led', { vf: 3, maxAmps: 0.02 })).toMatchObject({ field: 'n' });
    expect(resolve('led', { vf: 3, n: 2, maxAmps: 0.02 })).toMatchObject({ field: 'rs' });
    expect(resolve('diode', { vf: 0.1, at: 0.1, n: 1, rs: 2 })).toMatchObject({ field: 'vf' });
  });

  it('lets a field override its row, and widens the spread to hold it', () => {
    const made = resolve('led', { type: 'red', vf: 2.4, maxAmps: 0.02 });
    expect(isProblem(made)).toBe(false);
    expect(made).toMatchObject({ vf: 2.4, vfHigh: 2.4, vfLow: 1.75, n: 1.7 });
  });

  it('passes through its stated point', () => {
    const circuit = circuitOf([
      supplyPart(5, 0),
      { id: 'D', kind: 'led', type: 'green', pins: { anode: 'plus', cathode: '0' } },
    ]);
    const compiled = compile(circuit);
    if (!compiled.ok) throw new Error('refused');
    const lamp = compiled.value.placed.find((p) => p.part.id === 'D')!;
    compiled.value.equations.x[0] = 3.1;
    const amps = new Float64Array(2);
    lamp.instance.currents(compiled.value.equations.x, amps);
    expect(amps[0]).toBeCloseTo(0.02, 9);
  });
});

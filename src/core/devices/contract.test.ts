import fc from 'fast-check';
import type { Part } from '../circuit/circuit';
import { compile, type Compiled } from '../circuit/compile';
import { deviceOf } from '../circuit/deviceOf';
import { circuitOf, supplyPart } from '../../../tests/support/circuits';
import { apply, at, Code, num } from '../numerics/code';
import { assemble } from '../numerics/machine';
import { FIRST_PIN, isProblem, type Equations, type Instance, type Regime } from './device';
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
  capacitor: [{ farads: 1e-6 }, { farads: 1e-4, polarised: true, volts: 2 }, { farads: '470 nF', volts: -3 }],
  inductor: [{ henries: 0.01, ohms: 5 }, { henries: 1 }],
  led: [
    { type: 'red' },
    { type: 'green' },
    { vf: 3, n: 2, rs: 0 },
    { type: 'blue', vf: 2.9, at: 0.01 },
    { type: 'red', inside: 470 },
  ],
  diode: [{ type: 'signal' }, { type: 'rectifier' }, { vf: 0.7, at: 0.01, n: 1.5, rs: 1 }],
  zener: [{ type: 'zener-5v1' }, { type: 'zener-12v', rz: 0 }, { vf: 0.7, n: 1.8, rs: 1, vz: 3.3, rz: 20 }],
  transistor: [{}, { polarity: 'pnp' }, { polarity: 'npn', betaF: 50, betaR: 1, is: 1e-15 }],
  timer: [{ family: 'bipolar' }, { family: 'cmos' }],
  ldr: [{ lux: 150 }, { lux: 0 }, { lux: 1e5, min: 200 }, { lux: 5, gamma: 0.9, dark: 2e6 }],
  speaker: [{}, { ohms: 64 }],
  pin: [
    { drive: 'high' },
    { drive: 'low', ohms: 40 },
    { drive: 'pwm', duty: 0.25 },
    { drive: 'input' },
    { drive: 'high', ohms: 0 },
    { drive: 'table', spells: [{ seconds: 1, from: 1, to: 0.25 }], hertz: 1000 },
  ],
  signal: [
    { shape: 'sine', amplitude: 1, hertz: 440, offset: 2 },
    { shape: 'square', amplitude: 5, hertz: 100, ohms: 600 },
  ],
  switch: [{ closed: true }, { closed: false }, { closed: false, pressAt: 0 }],
  wire: [{}],
};

/** Kinds that may give out energy: sources, and what keeps or draws it from a supply pin. */
const GIVES: readonly string[] = ['supply', 'pin', 'signal'];
/** Kinds with corners, where the two sides have different slopes. */
const CORNERS: readonly string[] = ['supply', 'capacitor', 'timer', 'ldr'];
const REGIMES: readonly Regime[] = ['steady', 'start', 'held', 'step'];

/** Kinds of which an example bends, and those that are written down as code. */
const STRAIGHT_NOT = /^(supply|capacitor|led|diode|zener|transistor|timer|pin)$/;
const WRITTEN: readonly string[] = ['led', 'diode', 'transistor'];

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

/** Residuals and Jacobian (row, column) of one part at the x that stands in the equations. */
function stampAlone({ equations, coordinates }: Compiled, stamp: (eq: Equations) => void) {
  equations.residual.fill(0);
  equations.values.fill(0);
  stamp(equations);
  const entries = new Map<string, number>();
  equations.values.forEach((value, s) => {
    if (s > 0) entries.set(`${coordinates.rows[s]},${coordinates.columns[s]}`, value);
  });
  return {
    residual: [...equations.residual],
    slope: (r: number, c: number) => entries.get(`${r},${c}`) ?? 0,
  };
}

/** A part's code alone: its places of the Jacobian, its residuals, then x; it answers 1 while its curve was read elsewhere. */
function writtenAlone(compiled: Compiled, { write }: Instance) {
  const [entries, size] = [compiled.coordinates.rows.length, compiled.size];
  const code = new Code();
  const elsewhere = code.keep(num(0));
  const cells: (number | (() => number))[] = [];
  const end = entries + 2 * (size + 1);
  write!({
    code,
    x: (index) => (index < size ? at(entries + size + 1 + index) : num(0)),
    flow: (row, amps) => void (row < size && code.add(entries + row, amps)),
    slope: (place, siemens) => void (place > 0 && code.add(place, siemens)),
    remember: (first) => end + cells.push(first) - 1,
    figure: (read) => at(end + cells.push(read) - 1),
    tangent: -1,
    mayFall: apply('more', num(1), num(0)),
    readElsewhere: () => void code.set(elsewhere, num(1)),
  });
  code.put(elsewhere.value);
  const machine = assemble(end + cells.length, code)!;
  machine.memory.set(
    cells.map((cell) => (typeof cell === 'number' ? cell : cell())),
    end,
  );
  return machine;
}

function anyState(compiled: Compiled, most: number) {
  const volts = fc.double({ min: -most, max: most, noNaN: true });
  return fc.array(volts, { minLength: compiled.size, maxLength: compiled.size }).map((values) => {
    values.forEach((v, i) => (compiled.equations.x[i] = i < compiled.nodeCount ? v : v / 100));
    return values;
  });
}

describe.each(cases)('%s %s', (kind, _name, fields) => {
  const states = DEVICES[kind].kind === 'timer' ? [0, 1, 2] : [0];
  const most = kind === 'transistor' ? 0.9 : 12;

  it.each(REGIMES)('has derivatives that agree with finite differences (%s)', (regime) => {
    const { compiled, at } = placed(kind, fields);
    const { equations, size } = compiled;
    Object.assign(equations, { regime, theta: 1e-3, time: 0.3e-3 });
    const alone = () => stampAlone(compiled, (eq) => at.instance.stamp(eq));
    fc.assert(
      fc.property(anyState(compiled, most), fc.constantFrom(...states), (_start, state) => {
        if (at.instance.latch) at.instance.latch.state = state;
        const { residual, slope } = alone();
        for (let column = 0; column < size; column++) {
          const held = equations.x[column]!;
          const step = 1e-6;
          equations.x[column] = held + step;
          const up = alone().residual;
          equations.x[column] = held - step;
          const down = alone().residual;
          equations.x[column] = held;
          for (let row = 0; row < size; row++) {
            const measured = (up[row]! - down[row]!) / (2 * step);
            const exact = slope(row, column);
            const floor = 1e-6 * (1 + Math.abs(residual[row]!)) + 2e-4 * Math.abs(exact);
            const [left, right] = [residual[row]! - down[row]!, up[row]! - residual[row]!].map(
              (d) => d / step,
            );
            // At a corner the two sides differ, and the slope is that of one of them.
            if (CORNERS.includes(kind) && Math.abs(left! - right!) > floor) continue;
            expect(Math.abs(measured - exact)).toBeLessThanOrEqual(floor);
          }
        }
      }),
      { numRuns: 40 },
    );
  });

  it('has pin currents that sum to zero and are the ones it stamps', () => {
    const { compiled, at, pins } = placed(kind, fields);
    const { equations } = compiled;
    fc.assert(
      fc.property(anyState(compiled, most), fc.constantFrom(...states), (_start, state) => {
        if (at.instance.latch) at.instance.latch.state = state;
        const { residual } = stampAlone(compiled, (eq) => at.instance.stamp(eq));
        const amps = new Float64Array(pins);
        at.instance.currents(equations.x, amps);
        const largest = Math.max(1e-9, ...amps.map(Math.abs));
        expect(Math.abs(amps.reduce((s, a) => s + a, 0))).toBeLessThan(1e-11 * largest + 1e-15);
        amps.forEach((a, pin) => expect(residual[at.nodes[pin]!]! / largest).toBeCloseTo(a / largest, 9));
      }),
    );
  });

  it('stamps straight lines where it says so: slopes that are the same at any x', () => {
    const { compiled, at } = placed(kind, fields);
    const { equations } = compiled;
    if (!at.instance.straight) return expect(kind).toMatch(STRAIGHT_NOT);
    const stamped = () => {
      stampAlone(compiled, (eq) => at.instance.stamp(eq));
      return { values: [...equations.values], residual: [...equations.residual] };
    };
    equations.x.fill(0);
    const base = stamped();
    fc.assert(
      fc.property(anyState(compiled, most), () => {
        const { values, residual } = stamped();
        expect(values).toEqual(base.values);
        const { rows, columns } = compiled.coordinates;
        const linear = [...base.residual];
        values.forEach((value, s) => s > 0 && (linear[rows[s]!]! += value * equations.x[columns[s]!]!));
        linear.slice(0, compiled.size).forEach((amps, row) => expect(residual[row]).toBeCloseTo(amps, 6));
      }),
      { numRuns: 20 },
    );
  });

  it('writes down as code what it stamps', () => {
    const { compiled, at } = placed(kind, fields);
    if (!at.instance.write) return expect(WRITTEN).not.toContain(kind);
    const { equations, coordinates, size } = compiled;
    const entries = coordinates.rows.length;
    const machine = writtenAlone(compiled, at.instance);
    fc.assert(
      fc.property(anyState(compiled, most), () => {
        machine.memory.fill(0, 0, entries + size + 1);
        machine.memory.set(equations.x, entries + size + 1);
        // Until the curve is read at x: limits shorten the way there.
        for (let i = 0; i < 1000; i++) {
          machine.memory.fill(0, 0, entries + size + 1);
          if (machine.run() === 0) break;
        }
        stampAlone(compiled, (eq) => at.instance.stamp(Object.assign(eq, { limiting: false })));
        const largest = Math.max(...[...equations.values].map(Math.abs));
        equations.values.forEach((value, s) => {
          if (s > 0) expect(Math.abs(machine.memory[s]! - value)).toBeLessThan(1e-11 * largest + 1e-15);
        });
        equations.residual.subarray(0, size).forEach((amps, row) => {
          expect(Math.abs(machine.memory[entries + row]! - amps)).toBeLessThan(
            1e-9 * largest + 1e-9 * Math.abs(amps) + 1e-15,
          );
        });
      }),
    );
  });

  it('stays finite hundreds of volts beyond any use, limited or not', () => {
    const { compiled, at } = placed(kind, fields);
    for (const limiting of [false, true]) {
      for (const v of [-500, 500]) {
        for (let node = 0; node < compiled.nodeCount; node++) {
          compiled.equations.x.fill(0);
          compiled.equations.x[node] = v;
          Object.assign(compiled.equations, { limiting, fresh: false });
          const { residual } = stampAlone(compiled, (eq) => at.instance.stamp(eq));
          expect([...residual, ...compiled.equations.values].every(Number.isFinite)).toBe(true);
        }
      }
    }
  });

  it('gives out no energy unless it is a source', () => {
    const { compiled, at, pins } = placed(kind, fields);
    const device = deviceOf(at.part);
    if (GIVES.includes(kind)) return expect(device.branches(at.part.params)).toBeLessThan(2);
    if (device.branches(at.part.params) > 0) return expect(pins).toBeGreaterThan(1);
    // A timer takes its energy at the supply pin: it must stand above the others, and its low level is a small source.
    const slack = kind === 'timer' ? 1e-3 : 1e-12;
    fc.assert(
      fc.property(anyState(compiled, most), fc.constantFrom(...states), (start, state) => {
        if (at.instance.latch) at.instance.latch.state = state;
        const { x } = compiled.equations;
        if (kind === 'timer') start.forEach((v, i) => (x[i] = i === 0 ? 0 : i === 7 ? 15 : Math.abs(v)));
        const amps = new Float64Array(pins);
        at.instance.currents(x, amps);
        const watts = amps.reduce((s, a, pin) => s + a * x[at.nodes[pin]!]!, 0);
        expect(watts).toBeGreaterThanOrEqual(-slack);
      }),
    );
  });

  it('turns every figure that a draw may set, and says what it reads', () => {
    const { at, pins } = placed(kind, fields);
    const { spreads, reading = FIRST_PIN } = deviceOf(at.part);
    for (const spread of spreads(at.part.params)) {
      expect(spread.low).toBeLessThanOrEqual(spread.mode);
      expect(spread.mode).toBeLessThanOrEqual(spread.high);
      expect(at.instance.knobs[spread.field]).toBeInstanceOf(Function);
    }
    expect(Math.max(reading.pin, ...reading.volts)).toBeLessThan(pins);
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

import { circuitWith, PLACED_KINDS } from '../../../tests/support/kinds';
import { LAMPS } from '../catalogue/lamps';
import { KINDS } from '../devices';
import { observe } from '../observe/observe';
import { mistakesOf, overloadOf, PARTS, pinName, traitsOf } from './index';
import type { Surroundings } from './part';

const around = (circuit: Surroundings['circuit']): Surroundings => ({
  circuit,
  supply: { kind: 'block-9v', cells: 1, age: 'fresh' },
  drawer: [100, 220, 270, 330, 470, 680, 1000],
  sorts: { D9: 'red' },
  lamps: LAMPS,
});

describe.each(KINDS)('what is said of a %s', (kind) => {
  const { circuit, part } = circuitWith(kind);
  const traits = traitsOf(part as never);

  it('agrees with the pins that it has', () => {
    const pins = new Set(Object.keys(part.pins));
    const { footprint } = PARTS[kind];
    if (footprint.form === 'dual')
      for (const pin of [...footprint.left, ...footprint.right]) expect(pins).toContain(pin);
    for (const pin of traits.alike.flat()) expect(pins).toContain(pin);
    const { polarised, pins: cues } = traits.polarity(part as never);
    for (const pin of Object.keys(cues)) expect(pins).toContain(pin);
    expect(Object.keys(cues).length > 0 || !polarised).toBe(true);
  });

  it('leaves every mistake a circuit that says what it then does, or that it cannot be told', () => {
    for (const mistake of mistakesOf(part, around(circuit))) {
      expect(mistake.prior).toBeGreaterThan(0);
      const seen = observe(mistake.circuit ?? circuit);
      expect(seen.ok || seen.findings.length > 0).toBe(true);
      expect(mistake.data.part ?? part.id).toBe(part.id);
    }
  });

  it('has legs alike only where nothing changes when they are exchanged', () => {
    for (const [a, b] of traits.alike as readonly (readonly [string, string])[]) {
      const pins = { ...part.pins, [a]: part.pins[b]!, [b]: part.pins[a]! };
      const turned = circuit.parts.map((one) => (one.id === part.id ? { ...one, pins } : one));
      const [before, after] = [
        observe(circuit),
        observe({ ...circuit, parts: turned as typeof circuit.parts }),
      ];
      if (!before.ok || !after.ok) throw new Error('unsettled');
      for (const [node, volts] of Object.entries(before.value.nodes))
        expect(after.value.nodes[node]!).toBeCloseTo(volts, 9);
    }
  });

  it('stands what it does in a right circuit, as far as it is placed', () => {
    const report = { volts: 0.1, amps: 1e-4, watts: 1e-5, pins: {} };
    expect(overloadOf(part, report)).toBeUndefined();
  });
});

describe('too much', () => {
  const report = (volts: number, amps: number) => ({ volts, amps, watts: volts * amps, pins: {} });
  const over = (kind: Parameters<typeof circuitWith>[0], volts: number, amps: number, fields = {}) =>
    overloadOf(circuitWith(kind, fields).part, report(volts, amps));

  it('is heat for a resistor: 10 V and 30 mA are 300 mW on a quarter of a watt', () => {
    expect(over('resistor', 10, 0.03)).toMatchObject({ how: 'heat', limit: 0.25 });
    expect(over('resistor', 10, 0.03)!.figure).toBeCloseTo(0.3, 12);
    expect(over('resistor', 10, 0.03, { watts: 0.5 })).toBeUndefined();
  });

  it('is current for a lamp, and volts against it', () => {
    expect(over('led', 2, 0.021)).toEqual({ how: 'current', figure: 0.021, limit: 0.02 });
    expect(over('led', -6, 0)).toMatchObject({ how: 'reverse', figure: 6, limit: 5 });
    expect(over('led', 2, 0.019)).toBeUndefined();
  });

  it('is told of knobs, zeners, buttons, coils, sensors and speakers too', () => {
    expect(over('potentiometer', 5, 0.05)).toMatchObject({ how: 'heat' });
    expect(over('zener', 6.2, 0.1)).toMatchObject({ how: 'heat', limit: 0.5 });
    expect(over('switch', 0, 0.06)).toMatchObject({ how: 'current', limit: 0.05 });
    expect(over('inductor', 0, 0.6)).toMatchObject({ how: 'current' });
    expect(over('ldr', 9, 0.02)).toMatchObject({ how: 'heat' });
    expect(over('speaker', 8, 0.125)).toMatchObject({ how: 'heat' });
    expect(over('diode', 0.8, 0.3)).toMatchObject({ how: 'current' });
    expect(over('transistor', 1, 0.25)).toMatchObject({ how: 'current' });
    expect(over('pin', 5, 0.05)).toMatchObject({ how: 'current', limit: 0.04 });
  });

  it('is the wrong way round for an electrolytic, never for a ceramic', () => {
    expect(over('capacitor', -2, 0)).toMatchObject({ how: 'reverse' });
    expect(over('capacitor', -2, 0, { polarised: false })).toBeUndefined();
  });
});

describe('names of pins for the reader of a board', () => {
  it('are one for legs that may be exchanged, and two for legs that may not', () => {
    const names = (kind: Parameters<typeof circuitWith>[0], fields = {}) => {
      const { part } = circuitWith(kind, fields);
      return new Set(Object.keys(part.pins).map((pin) => pinName(part, pin))).size;
    };
    expect(names('resistor')).toBe(1);
    expect(names('led')).toBe(2);
    expect(names('potentiometer')).toBe(3);
    expect(names('capacitor')).toBe(2);
    expect(names('capacitor', { polarised: false })).toBe(1);
    expect(PLACED_KINDS).toContain('transistor');
  });
});

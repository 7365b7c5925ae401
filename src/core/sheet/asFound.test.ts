import { patternSheet, requestWith, sheetWith } from '../../../tests/support/sheets';
import { judgeBench } from '../checking/index';
import { sessionExpectation } from './expectation';
import { benchContextSchema, circuitAsFound, sheetAsFound, type BenchContext } from './asFound';

const NONE: BenchContext = { ohms: {}, lamps: {} };
const sheet = sheetWith();
const request = requestWith();
const found = (context: Partial<BenchContext>) => {
  const made = sheetAsFound(sheet, request, { ...NONE, ...context });
  if (!made.ok) throw new Error('refused');
  return made.value;
};
const session = (context: Partial<BenchContext>) => {
  const made = found(context);
  return sessionExpectation(made.sheet, made.request);
};
const typical = (of: { expected: { points: readonly { id: string; typical: number }[] } }, id: string) =>
  of.expected.points.find((point) => point.id === id)!.typical;

describe('a bench with other parts than the plan’s', () => {
  it('reads by them: twice the resistor and a bit over half the current', () => {
    const planned = typical(sheet, 'current');
    const fitted = found({ ohms: { R1: 660 } }).sheet;
    // By hand: 4.8 V less the lamp's 1.9 V or so over 330 Ω, against 660 Ω; the lamp and the cells take the rest.
    const ratio = typical(fitted, 'current') / planned;
    expect(ratio).toBeGreaterThan(0.5);
    expect(ratio).toBeLessThan(0.54);
    expect(typical(fitted, 'current') * 660).toBeCloseTo(typical(fitted, 'R1'), 1);
  });

  it('is right by what is fitted, and off by the plan', () => {
    const own = session({ ohms: { R1: 660 } });
    const amps = typical(own, 'current');
    const volts = typical(own, 'R1');
    const noted = [
      { point: 'current', value: Number(amps.toFixed(5)), step: 1e-5 },
      { point: 'R1', value: Number(volts.toFixed(2)), step: 0.01 },
    ];
    expect(judgeBench(own, noted, []).state).toBe('right');
    expect(judgeBench(session({}), noted, []).state).toBe('off');
  });

  it('is not called right when it reads what the plan says in spite of them', () => {
    const own = session({ ohms: { R1: 660 } });
    const noted = [{ point: 'current', value: Number(typical(sheet, 'current').toFixed(5)), step: 1e-5 }];
    expect(judgeBench(own, noted, []).state).toBe('off');
  });

  it('has a narrower band once its batch of lamps was measured, around what was measured', () => {
    const at = (of: typeof sheet) => of.expected.points.find(({ id }) => id === 'D1')!;
    const amps = typical(sheet, 'current');
    const measured = found({ lamps: { red: { volts: 2.02, amps } } }).sheet as typeof sheet;
    expect(at(measured).typical).toBeCloseTo(2.02, 1);
    expect(at(measured).high - at(measured).low).toBeLessThan(0.5 * (at(sheet).high - at(sheet).low));
  });

  it('is judged by its own meter', () => {
    const meter = {
      name: 'fine',
      counts: 19999,
      volts: { share: 5e-4, counts: 3 },
      amps: { share: 2e-3, counts: 5 },
    };
    const verdict = (own: ReturnType<typeof session>) =>
      judgeBench(own, [{ point: 'R1', value: 2.9, step: 0.001 }], []).verdicts['R1']!;
    expect(session({ meter }).meter).toEqual(meter);
    expect(verdict(session({ meter })).uncertainty).toBeLessThan(verdict(session({})).uncertainty / 3);
  });
});

it('names that are not in the circuit change nothing, and other sorts of lamps neither', () => {
  const context = { ohms: { R9: 10 }, lamps: { blue: { volts: 3, amps: 0.01 } } };
  expect(circuitAsFound(sheet.circuit, sheet.sorts, { ...NONE, ...context })).toEqual(sheet.circuit);
});

it('every lamp of the sort that was measured moves, and the others stay', () => {
  const strings = patternSheet('rgb');
  const before = strings.circuit.parts.filter(({ kind }) => kind === 'led');
  const after = circuitAsFound(strings.circuit, strings.sorts, {
    ...NONE,
    lamps: { red: { volts: 2.1, amps: 0.01 } },
  });
  const changed = before.filter(
    (part) => JSON.stringify(after.parts.find(({ id }) => id === part.id)) !== JSON.stringify(part),
  );
  expect(changed.map(({ id }) => strings.sorts[id])).toEqual(['red']);
});

it('figures that no part has are refused', () => {
  expect(benchContextSchema.safeParse({ ohms: { R1: 0 } }).success).toBe(false);
  expect(benchContextSchema.safeParse({ lamps: { red: { volts: 20, amps: 0.01 } } }).success).toBe(false);
  expect(benchContextSchema.safeParse({ lamps: { pink: { volts: 2, amps: 0.01 } } }).success).toBe(false);
  expect(benchContextSchema.parse({})).toEqual({ ohms: {}, lamps: {} });
});

import fc from 'fast-check';
import {
  circuitOf,
  lampLoop,
  ledPart,
  made,
  resistorPart,
  supplyPart,
} from '../../../tests/support/circuits';
import { answer, refusal } from '../../../tests/support/outcomes';
import { outputDriven, timerPart } from '@/demo/circuits';
import { seriesValues } from '../catalogue/preferred';
import type { TimerFamily } from '../catalogue/timers';
import type { Circuit } from '../circuit/circuit';
import { solve } from '../solver/solve';
import { resistorForCurrent } from './resistor';
import { seek } from './seek';
import { thresholds } from './thresholds';
import { trimRange } from './trim';

const withLampCheck = (circuit: Circuit): Circuit => ({
  ...circuit,
  checks: [{ id: 'lamp', measure: 'amps', part: 'D1' }],
});

describe('seeking the value of a field', () => {
  const loop = withLampCheck(lampLoop(9, 1, 'red', 470));

  it('finds the one with which the circuit reads the target', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-4, max: 0.02, noNaN: true }), (target) => {
        const ohms = answer(
          seek(loop, { part: 'R1', field: 'ohms', from: 1, to: 1e7, check: 'lamp', target }),
        );
        const { parts } = answer(solve(lampLoop(9, 1, 'red', ohms)));
        expect(parts['D1']!.amps / target).toBeCloseTo(1, 7);
      }),
      { numRuns: 30 },
    );
  });

  it('does not call out of reach what it could not read', () => {
    const plain = outputDriven('cmos', 9, 47e3, 10e-6);
    const checks = [{ id: 'lamp', measure: 'amps', part: 'R1' }];
    const wish = { part: 'B1', field: 'volts', from: 0, to: 9, check: 'lamp', target: 0.5 };
    expect(refusal(seek(made({ ...plain, checks }), wish))).toMatchObject({ code: 'oscillates' });
  });

  it('says the range when it is out of reach, and what is not there', () => {
    const wish = { part: 'R1', field: 'ohms', from: 100, to: 1000, check: 'lamp', target: 1 };
    expect(refusal(seek(loop, wish))).toMatchObject({ code: 'out-of-reach', data: { target: 1, unit: 'A' } });
    expect(refusal(seek(loop, { ...wish, part: 'R7' }))).toMatchObject({ code: 'bad-field' });
    expect(refusal(seek(loop, { ...wish, field: 'colour' }))).toMatchObject({ code: 'bad-field' });
    expect(refusal(seek(loop, { ...wish, check: 'sun' }))).toMatchObject({ code: 'check-refers' });
  });
});

describe('the resistor for a current', () => {
  it('is the solver’s, and stocked values come closest first with their currents', () => {
    const found = answer(
      resistorForCurrent(lampLoop(9, 1, 'red', 470), 'R1', 'D1', 0.01, seriesValues('E12')),
    );
    const lamp = answer(solve(lampLoop(9, 1, 'red', found.ohms))).parts['D1']!;
    expect(lamp.amps).toBeCloseTo(0.01, 9);
    expect(found.around).toMatchObject({ down: 680, up: 820 });
    expect(found.choices[0]!.ohms).toBe(680);
    const shares = found.choices.map(({ share }) => Math.abs(Math.log(share)));
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });

  it('is the larger one where two values would do', () => {
    // A base resistor: far too small a one drags the whole supply down, and the lamp with it.
    const stage = circuitOf([
      supplyPart(6, 0.6),
      resistorPart('RB', 'plus', 'b', 22e3),
      resistorPart('RC', 'plus', 'l', 220),
      ledPart('D1', 'l', 'c', 'red'),
      { id: 'Q', kind: 'transistor', pins: { collector: 'c', base: 'b', emitter: '0' } },
    ]);
    const { ohms } = answer(resistorForCurrent(stage, 'RB', 'D1', 0.008, [100e3]));
    expect(ohms).toBeGreaterThan(100e3);
    expect(ohms).toBeLessThan(200e3);
  });

  it('is refused for what is no resistor, or no part', () => {
    const loop = lampLoop(9, 1, 'red', 470);
    expect(refusal(resistorForCurrent(loop, 'D1', 'D1', 0.01, [100]))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(resistorForCurrent(loop, 'R1', 'D9', 0.01, [100]))).toMatchObject({
      code: 'check-refers',
    });
    expect(refusal(resistorForCurrent(loop, 'R1', 'D1', 9, [100]))).toMatchObject({ code: 'out-of-reach' });
  });
});

describe('the trim range of a sensor', () => {
  /** A light switch: sensor over trim at the base of a transistor. */
  const boathouse = circuitOf([
    supplyPart(9, 1),
    { id: 'L', kind: 'ldr', pins: { a: 'plus', b: 'b' }, lux: 20 },
    resistorPart('T', 'b', '0', 10e3),
    resistorPart('RC', 'plus', 'l', 390),
    ledPart('D1', 'l', 'c', 'red'),
    { id: 'Q', kind: 'transistor', pins: { collector: 'c', base: 'b', emitter: '0' } },
  ]);
  const check = { id: 'base', measure: 'volts', from: 'b', to: '0' } as const;

  it('goes from the most sensitive sensor to the least, and a stocked potentiometer covers it', () => {
    const range = answer(trimRange(boathouse, 'L', 'T', check, 0.6, [1e3, 4.7e3, 10e3]));
    expect(range.low).toBeLessThan(range.typical);
    expect(range.high).toBeGreaterThan(range.typical);
    // Without base current it would be R·0.6/8.4 of a sensor a factor of 1.5 off either way.
    expect(range.high / range.low).toBeGreaterThan(1.9);
    expect(range.potentiometer!.ohms).toBeGreaterThanOrEqual(range.high);
    expect(range.potentiometer!.to).toBeLessThanOrEqual(1);
    expect(range.potentiometer!.from * range.potentiometer!.ohms).toBeCloseTo(range.low, 6);
  });

  it('carries the current of a timer’s own reset pin', () => {
    const beam = (family: TimerFamily) =>
      circuitOf([
        { ...supplyPart(9, 0), pins: { plus: 'v', minus: '0' } },
        timerPart('U', family, { trigger: 'v', threshold: '0', output: 'o', reset: 'r' }),
        { id: 'L', kind: 'ldr', pins: { a: 'v', b: 'r' }, lux: 5 },
        resistorPart('T', 'r', '0', 10e3),
        resistorPart('RO', 'o', '0', 1e4),
      ]);
    const reset = { id: 'reset', measure: 'volts', from: 'r', to: '0' } as const;
    const trim = (family: TimerFamily) =>
      answer(trimRange(beam(family), 'L', 'T', reset, 0.6999, [])).typical;
    const sensor = 15e3 * 0.5 ** -0.7;
    expect(trim('cmos') / ((0.6999 * sensor) / 8.3001)).toBeCloseTo(1, 4);
    expect(trim('bipolar') / (0.6999 / (8.3001 / sensor + 1e-4))).toBeCloseTo(1, 4);
  });

  it('is refused for parts of other kinds', () => {
    expect(refusal(trimRange(boathouse, 'Q', 'T', check, 0.6, []))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(trimRange(boathouse, 'L', 'Q', check, 0.6, []))).toMatchObject({ code: 'not-of-kind' });
    expect(refusal(trimRange(boathouse, 'L', 'T', check, 30, []))).toMatchObject({ code: 'out-of-reach' });
  });
});

describe('the rungs of a gauge', () => {
  const rung = (n: number, type: string) => [
    { id: `Z${n}`, kind: 'zener', type, pins: { anode: `z${n}`, cathode: 'plus' } },
    resistorPart(`R${n}`, `z${n}`, `r${n}`, 220),
    ledPart(`D${n}`, `r${n}`, '0', 'red'),
  ];

  it('light one after another, each at the supply where it carries its current', () => {
    const gauge = circuitOf([
      supplyPart(12, 0),
      ...rung(1, 'zener-6v2'),
      ...rung(2, 'zener-8v2'),
      ...rung(3, 'zener-10v'),
    ]);
    const found = answer(thresholds(gauge, 'B1', 1e-3, 5, 16));
    const volts = found.map((rungOf) => rungOf.volts!);
    expect([...volts].sort((a, b) => a - b)).toEqual(volts);
    const at = answer(
      solve({ ...gauge, parts: circuitOf([supplyPart(volts[1]!, 0)]).parts.concat(gauge.parts.slice(1)) }),
    );
    expect(at.parts['D2']!.amps).toBeCloseTo(1e-3, 9);
    expect(answer(thresholds(gauge, 'B1', 1e-3, 5, 11)).map((rungOf) => rungOf.volts === undefined)).toEqual([
      false,
      false,
      true,
    ]);
    expect(refusal(thresholds(gauge, 'D1', 1e-3, 5, 11))).toMatchObject({ code: 'not-of-kind' });
  });
});

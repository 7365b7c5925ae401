import { patternSheet, requestWith, choiceWith } from '../../../tests/support/sheets';
import { DEFAULT_METER, meterHalfWidth, rangeFor } from '../catalogue/meter';
import { isKind, partOf } from '../circuit/circuit';
import { sessionExpectation } from '../sheet/expectation';
import { columnUnit } from '../quantities/column';
import { judgeBench } from './bench';
import { noteReading } from './noted';
import { faultsOf } from './faults/index';
import { faultContext } from '../sheet/expectation';

const noted = (typed: string, measured: 'hertz' | 'seconds' | 'amps') => {
  const reading = noteReading(typed, measured);
  return reading.ok ? reading.value : reading.findings[0]!.code;
};

describe('what is counted and timed', () => {
  it('is typed as it was counted, as a rate, or in seconds', () => {
    expect(noted('7/10', 'hertz')).toEqual({ value: 0.7, step: 0 });
    expect(noted('10 / 15,2 s', 'hertz')).toEqual({ value: 10 / 15.2, step: 0 });
    expect(noted('0.66', 'hertz')).toEqual({ value: 0.66, step: 0.01 });
    expect(noted('19.8', 'seconds')).toMatchObject({ value: 19.8 });
    expect(noted('7/0', 'hertz')).toBe('not-a-figure');
    expect(noted('8.6', 'amps')).toMatchObject({ value: 8.6e-3 });
  });

  it('is as sure as a thumb, ten seconds of counting, or beats are', () => {
    const half = (measured: 'hertz' | 'seconds', value: number) =>
      meterHalfWidth(DEFAULT_METER, measured, { value, range: 0, step: 0 });
    expect(half('seconds', 20)).toBe(0.3);
    // Ten flashes of 2 s, timed to 0.3 s: 1.5 % of their rate.
    expect(half('hertz', 0.5)).toBeCloseTo(0.5 * 0.015, 9);
    expect(half('hertz', 2.5)).toBe(0.05);
    expect(half('hertz', 440)).toBe(1);
    expect(rangeFor(DEFAULT_METER, 'hertz', 0.7)).toBe(0);
  });

  it('has columns in its own unit, currents in milliamperes', () => {
    expect(columnUnit('Hz')).toEqual({ name: 'Hz', scale: 1 });
    expect(columnUnit('A')).toEqual({ name: 'mA', scale: 1e-3 });
  });
});

describe('a bench that blinks', () => {
  const request = { ...requestWith(), choice: choiceWith('blink') };
  const sheet = patternSheet('blink');
  const session = sessionExpectation(sheet, request);
  const rate = sheet.expected.points.find(({ unit }) => unit === 'Hz')!;
  const reading = (point: string, value: number) => ({ point, value, step: 0 });
  const first = (bench: ReturnType<typeof judgeBench>) => bench.diagnosis?.groups[0]?.causes[0];

  it('is right at its own rate, and off at a tenth of it, for a capacitor ten times too large', () => {
    expect(judgeBench(session, [reading(rate.id, rate.typical)]).state).toBe('right');
    const slow = judgeBench(session, [reading(rate.id, rate.typical / 10)]);
    expect(slow.state).toBe('off');
    expect(first(slow)).toMatchObject({ code: 'wrong-capacitor', data: { part: 'C1' } });
  });

  it('that keeps the rate with its lamp dark has something wrong at the lamp', () => {
    const output = sheet.expected.points.find(({ id }) => id === 'U1 output')!;
    const across = sheet.expected.points.find(({ id }) => id === 'R3')!;
    const dark = judgeBench(session, [
      reading(rate.id, 0),
      reading(output.id, output.typical),
      // That it is up is as true of a chip that stands still; without a lamp nothing lifts the low one above its 50 mV.
      reading(`${output.id} low`, 0.05),
      reading(across.id, 0),
    ]);
    expect(dark.state).toBe('off');
    expect(['D1', 'R3', 'W2']).toContain(first(dark)!.data.part);
  });

  it('weighs the chip turned, a row down and without its capacitor', () => {
    const candidates = faultsOf(faultContext(sheet, request));
    const codes = candidates.map(({ code }) => code);
    expect(codes).toEqual(
      expect.arrayContaining(['chip-turned', 'chip-shifted', 'part-missing', 'part-reversed']),
    );
    const shifted = candidates.find(({ code }) => code === 'chip-shifted')!;
    const chip = partOf(shifted.circuit, 'U1')!;
    expect(isKind(chip, 'timer') && chip.pins['trigger']).toBe(partOf(sheet.circuit, 'U1')!.pins['output']);
    // A meter across a lamp that blinks stands for itself.
    expect(session.dictionary.unsettled).toBeLessThan(2);
  });
});

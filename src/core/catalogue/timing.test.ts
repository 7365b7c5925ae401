import fc from 'fast-check';
import { stallVolts, timesOf, TIMING_FORMS } from './timing';
import { TIMER_FAMILIES, TIMERS, type TimerFamily } from './timers';

const parts = { ra: 10e3, r: 47e3, farads: 10e-6 };
const anyFamily = fc.constantFrom(...TIMER_FAMILIES);
const anyForm = fc.constantFrom(...TIMING_FORMS);
const volts = fc.double({ min: 5, max: 15, noNaN: true });

describe('times of a timer', () => {
  it('grow with the capacitor, in proportion', () => {
    fc.assert(
      fc.property(
        anyForm,
        anyFamily,
        volts,
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        (form, family, v, scale) => {
          const one = timesOf(form, family, v, parts);
          const other = timesOf(form, family, v, { ...parts, farads: parts.farads * scale });
          expect(other.high / one.high).toBeCloseTo(scale, 9);
          if (one.low > 0) expect(other.low / one.low).toBeCloseTo(scale, 9);
        },
      ),
    );
  });

  it('are the ideal ones where the chip’s own ohms and drops do not count', () => {
    const large = { ra: 1e6, r: 1e6, farads: 1e-6 };
    const standard = timesOf('standard', 'cmos', 9, large);
    expect(standard.high).toBeCloseTo(2 * Math.LN2, 9);
    expect(standard.low / Math.LN2).toBeCloseTo(1, 3);
    const driven = timesOf('output-driven', 'cmos', 9, large);
    expect(driven.high / Math.LN2).toBeCloseTo(1, 3);
    expect(driven.low / Math.LN2).toBeCloseTo(1, 3);
    expect(timesOf('one-shot', 'bipolar', 5, large)).toEqual({
      high: expect.closeTo(Math.log(3), 9) as number,
      low: 0,
    });
  });

  it('are longer high than low where a bipolar output does not reach the rail', () => {
    fc.assert(
      fc.property(volts, (v) => {
        const { high, low } = timesOf('output-driven', 'bipolar', v, parts);
        expect(high).toBeGreaterThan(low);
      }),
    );
  });

  it.each(TIMER_FAMILIES)('stall at three times the drop of the output (%s)', (family: TimerFamily) => {
    const limit = stallVolts(family);
    expect(limit).toBeCloseTo(3 * TIMERS[family].highDrop, 12);
    expect(timesOf('output-driven', family, limit + 0.1, parts).high).toBeLessThan(Infinity);
    if (limit > 0) expect(timesOf('output-driven', family, limit - 0.1, parts).high).toBe(Infinity);
  });
});

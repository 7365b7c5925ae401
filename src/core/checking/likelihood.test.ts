import { DEFAULT_METER } from '../catalogue/meter';
import type { Signature } from './dictionary';
import { logLikelihood, meterLimits, type Taken } from './likelihood';

/** A candidate of two checkpoints with deviations of 0.1 V and 0.3 V, once the stated spread is widened by a fifth. */
function candidate(correlation = 0): Signature {
  const [a, b] = [0.1 / 1.2, 0.3 / 1.2];
  return {
    code: 'right',
    data: {},
    prior: 1,
    looks: {},
    means: [3, 5],
    covariance: [
      [a * a, correlation * a * b],
      [correlation * a * b, b * b],
    ],
  };
}

const read = (point: number, value: number, more: Partial<Taken> = {}): Taken => ({
  point,
  value,
  gain: 0,
  own: 0,
  ...more,
});
const VOLTS = ['volts', 'volts'];
const density = (taken: readonly Taken[], of = candidate()) => Math.exp(logLikelihood(of, taken, VOLTS));

/** Student's t of eight degrees of freedom at nothing: Γ(9/2)/(√(8π)·Γ(4)), with Γ(9/2) = 105·√π/16. */
const AT_NOTHING = (105 * Math.sqrt(Math.PI)) / 16 / (Math.sqrt(8 * Math.PI) * 6);

describe('the density of readings under a candidate', () => {
  it('of one reading is that of Student’s t about its mean', () => {
    expect(AT_NOTHING).toBeCloseTo(0.3867, 4);
    expect(density([read(0, 3)])).toBeCloseTo(AT_NOTHING / 0.1, 9);
    expect(density([read(0, 3.2)])).toBeCloseTo((AT_NOTHING / 0.1) * (1 + 4 / 8) ** -4.5, 9);
    expect(density([read(0, 2.8)])).toBeCloseTo(density([read(0, 3.2)]), 9);
    expect(density([])).toBe(1);
  });

  it('sums up to one, but for what lies so far out that it is excluded', () => {
    const step = 1e-3;
    let sum = 0;
    for (let value = 2; value < 4; value += step) sum += density([read(0, value)]) * step;
    // Beyond six deviations t of eight degrees has 0.032 %.
    expect(sum).toBeCloseTo(1 - 0.00032, 4);
    expect(logLikelihood(candidate(), [read(0, 3.61)], VOLTS)).toBe(-Infinity);
  });

  it('of two readings has one common tail, not two', () => {
    // Γ(5)/(Γ(4)·8π) = 1/(2π).
    expect(density([read(0, 3), read(1, 5)])).toBeCloseTo(1 / (2 * Math.PI) / (0.1 * 0.3), 9);
    const far = density([read(0, 3.3), read(1, 5.9)]);
    expect(far).toBeCloseTo((1 / (2 * Math.PI) / (0.1 * 0.3)) * (1 + 18 / 8) ** -5, 9);
    expect(far).toBeGreaterThan(density([read(0, 3.3)]) * density([read(1, 5.9)]));
  });

  it('of readings that go together is larger where they do', () => {
    const bound = candidate(0.8);
    // d² = (x² − 2ρxy + y²)/(1 − ρ²) with x = y = 2 and x = −y = 2; the determinant has √(1 − ρ²) = 0.6.
    const peak = 1 / (2 * Math.PI) / (0.1 * 0.3 * 0.6);
    expect(density([read(0, 3.2), read(1, 5.6)], bound)).toBeCloseTo(peak * (1 + 1.6 / 0.36 / 8) ** -5, 6);
    expect(density([read(0, 3.2), read(1, 4.4)], bound)).toBeCloseTo(peak * (1 + 14.4 / 0.36 / 8) ** -5, 6);
  });
});

describe('the meter’s share', () => {
  it('is a part of the reading that is the same all day, and its last digits', () => {
    const { gain, own } = meterLimits(DEFAULT_METER, 'volts', { value: 4, range: 20, step: 0.01 });
    expect(gain).toBeCloseTo(DEFAULT_METER.volts.share * 4, 12);
    expect(own).toBeGreaterThan(0);
    expect(meterLimits(DEFAULT_METER, 'seconds', { value: 4, range: 0, step: 0.1 }).gain).toBe(0);
  });

  it('moves readings of one meter the same way, and widens each by a third of its square', () => {
    const off = { gain: 0.3 };
    const same = density([read(0, 3.2, off), read(1, 5.3, off)]);
    expect(same).toBeGreaterThan(2 * density([read(0, 3.2, off), read(1, 4.7, off)]));
    // 0.1² + 0.3²/3 = 0.04: twice the deviation.
    expect(density([read(0, 3, off)])).toBeCloseTo(AT_NOTHING / 0.2, 9);
    const apart = logLikelihood(candidate(), [read(0, 3.2, off), read(1, 5.3, off)], ['volts', 'amps']);
    expect(Math.exp(apart)).toBeLessThan(same);
  });
});

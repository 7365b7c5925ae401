import fc from 'fast-check';
import { locateCrossing } from './crossing';

const FINE = { share: 1e-12, margin: 0 };

describe('locating a crossing', () => {
  it('finds where a rising margin passes zero, whatever its bend', () => {
    const wish = fc.record({
      root: fc.double({ min: 0.001, max: 0.999, noNaN: true }),
      power: fc.double({ min: 0.2, max: 5, noNaN: true }),
    });
    fc.assert(
      fc.property(wish, ({ root, power }) => {
        const margin = (x: number) => x ** power - root ** power;
        const found = locateCrossing(margin(0), 1, margin, FINE)!;
        expect(found).toBeCloseTo(root, 8);
        expect(margin(found)).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('leaves the last question at the answer, and just past it', () => {
    let last = NaN;
    const margin = (x: number) => {
      last = x;
      return Math.expm1(3 * x) - 2;
    };
    const found = locateCrossing(-2, 1, margin, { share: 1e-10, margin: 1e-8 });
    expect(last).toBe(found);
    expect(margin(found!)).toBeGreaterThan(0);
    expect(margin(found!)).toBeLessThan(1e-6);
  });

  it('takes a jump for what it is', () => {
    const found = locateCrossing(-1, 1, (x) => (x < 0.37 ? -1 : 5), { share: 1e-9, margin: 1e-8 })!;
    expect(found).toBeGreaterThanOrEqual(0.37);
    expect(found).toBeLessThan(0.37 + 1e-8);
  });

  it('gives up where there is no margin', () => {
    expect(locateCrossing(-1, 1, () => NaN, FINE)).toBeUndefined();
    expect(locateCrossing(-1, 1, (x) => (x === 1 ? 1 : NaN), FINE)).toBeUndefined();
  });

  it('asks few times for a nearly straight margin', () => {
    let asked = 0;
    locateCrossing(
      -0.3,
      1,
      (x) => {
        asked++;
        return x - 0.3 + 0.01 * x * x;
      },
      { share: 1e-10, margin: 1e-9 },
    );
    expect(asked).toBeLessThan(10);
  });
});

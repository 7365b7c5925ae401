import fc from 'fast-check';
import { DenseLu } from './lu';
import { wrightOmega } from './omega';
import { quantile } from './quantile';
import { keyOf, uniform } from './random';

describe('LU with scaled pivoting', () => {
  const entry = fc.double({ min: -1, max: 1, noNaN: true });

  it('solves systems of mixed scale to rounding', () => {
    const system = fc.integer({ min: 1, max: 12 }).chain((n) =>
      fc.record({
        n: fc.constant(n),
        a: fc.array(entry, { minLength: n * n, maxLength: n * n }),
        x: fc.array(entry, { minLength: n, maxLength: n }),
        scales: fc.array(fc.integer({ min: -9, max: 9 }), { minLength: n, maxLength: n }),
      }),
    );
    fc.assert(
      fc.property(system, ({ n, a, x, scales }) => {
        const matrix = new Float64Array(n * n);
        const rhs = new Float64Array(n);
        for (let i = 0; i < n; i++) {
          for (let j = 0; j < n; j++) {
            matrix[i * n + j] = (a[i * n + j]! + (i === j ? n + 1 : 0)) * 10 ** scales[i]!;
            rhs[i]! += matrix[i * n + j]! * x[j]!;
          }
        }
        const lu = new DenseLu(n);
        expect(lu.factor(matrix, n)).toBe(-1);
        lu.solve(matrix, n, rhs);
        for (let i = 0; i < n; i++) expect(rhs[i]).toBeCloseTo(x[i]!, 10);
      }),
    );
  });

  it('names the column without a pivot', () => {
    const lu = new DenseLu(2);
    expect(lu.factor(Float64Array.from([1, 2, 2, 4]), 2)).toBe(1);
    expect(lu.factor(Float64Array.from([0, 0, 1, 1]), 2)).toBe(0);
  });
});

describe('Wright omega', () => {
  it('satisfies y + ln y = z over the whole range in use', () => {
    fc.assert(
      fc.property(fc.double({ min: -600, max: 1e6, noNaN: true }), (z) => {
        const y = wrightOmega(z);
        const scale = Math.max(1, Math.abs(z));
        expect(Math.abs(y + Math.log(y) - z) / scale).toBeLessThan(1e-14);
      }),
    );
  });

  it('has its known values', () => {
    expect(wrightOmega(0)).toBeCloseTo(0.5671432904097838, 14);
    expect(wrightOmega(1)).toBe(1);
  });
});

describe('counter-based random numbers', () => {
  it('are a pure function of seed, draw and name', () => {
    const key = keyOf('R1.ohms');
    expect(uniform(1, 7, key)).toBe(uniform(1, 7, key));
    expect(uniform(1, 7, key)).not.toBe(uniform(2, 7, key));
    expect(uniform(1, 7, key)).not.toBe(uniform(1, 8, key));
    expect(uniform(1, 7, key)).not.toBe(uniform(1, 7, keyOf('R2.ohms')));
  });

  it('lie evenly: mean, variance, and no run between draws or names', () => {
    const n = 40_000;
    const [a, b] = [keyOf('D1.vf'), keyOf('D2.vf')];
    let [sum, squares, cross, serial] = [0, 0, 0, 0];
    for (let i = 0; i < n; i++) {
      const u = uniform(3, i, a) - 0.5;
      sum += u;
      squares += u * u;
      cross += u * (uniform(3, i, b) - 0.5);
      serial += u * (uniform(3, i + 1, a) - 0.5);
    }
    const error = 4 / Math.sqrt(12 * n);
    expect(Math.abs(sum / n)).toBeLessThan(error);
    expect(squares / n).toBeCloseTo(1 / 12, 2);
    expect(Math.abs(cross / n)).toBeLessThan(4 / (12 * Math.sqrt(n)));
    expect(Math.abs(serial / n)).toBeLessThan(4 / (12 * Math.sqrt(n)));
  });

  it('fill every tenth of the range alike', () => {
    const bins = new Array<number>(10).fill(0);
    const key = keyOf('B1.volts');
    for (let i = 0; i < 20_000; i++) bins[Math.floor(uniform(9, i, key) * 10)]! += 1;
    const chi = bins.reduce((s, count) => s + (count - 2000) ** 2 / 2000, 0);
    expect(chi).toBeLessThan(27.9); // chi-square, 9 degrees of freedom, one in a thousand
  });
});

describe('quantiles', () => {
  it('interpolate between order statistics', () => {
    expect(quantile([1, 2, 3, 4], 0.5)).toBe(2.5);
    expect(quantile([1, 2, 3, 4], 0)).toBe(1);
    expect(quantile([1, 2, 3, 4], 1)).toBe(4);
    expect(quantile([10], 0.3)).toBe(10);
    expect(quantile([0, 10], 0.025)).toBeCloseTo(0.25, 12);
  });
});

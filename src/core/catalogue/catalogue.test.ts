import fc from 'fast-check';
import { bestPair } from './combine';
import { bandsFor, letterCode, readBands } from './bands';
import { brightnessAt } from './brightness';
import { LAMPS, LAMP_TYPES } from './lamps';
import { burdenFor, DEFAULT_METER, meterHalfWidth, rangeFor, readingAsNoted } from './meter';
import { decade, neighbours, SERIES_NAMES, seriesValues } from './preferred';
import { ratingFor } from './ratings';
import { seriesResistor } from './seriesResistor';
import { supplyFigures } from './supplies';

describe('preferred series', () => {
  it('have as many values a decade as their name says, each within half a step of an even ratio', () => {
    for (const series of SERIES_NAMES) {
      const n = Number(series.slice(1));
      const values = decade(series);
      expect(values).toHaveLength(n);
      values.forEach((v, i) => expect(Math.abs(Math.log(v / 10 ** (i / n)))).toBeLessThan(0.055));
    }
  });

  it('hold the values that everybody knows', () => {
    expect(decade('E12')).toEqual([1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2]);
    expect(decade('E6')).toEqual([1, 1.5, 2.2, 3.3, 4.7, 6.8]);
    expect(decade('E96').slice(0, 5)).toEqual([1, 1.02, 1.05, 1.07, 1.1]);
    expect(decade('E48').slice(-2)).toEqual([9.09, 9.53]);
  });

  it('give the values around a sum', () => {
    expect(neighbours([270, 330], 291)).toEqual({ down: 270, up: 330, nearest: 270 });
    expect(neighbours([270, 330], 330)).toEqual({ down: 330, up: 330, nearest: 330 });
    expect(neighbours([100], 291)).toEqual({ down: 100, nearest: 100 });
    expect(neighbours([], 291)).toEqual({});
  });
});

describe('colour bands', () => {
  it.each([
    [330, 4, ['orange', 'orange', 'brown', 'gold']],
    [4700, 4, ['yellow', 'violet', 'red', 'gold']],
    [4.7, 4, ['yellow', 'violet', 'gold', 'gold']],
    [10, 4, ['brown', 'black', 'black', 'gold']],
    [1e6, 4, ['brown', 'black', 'green', 'gold']],
  ] as const)('%d Ω in %d bands', (ohms, count, colours) => {
    expect(bandsFor(ohms, count, 0.05)).toEqual(colours);
  });

  it('writes 5 bands with 1 %', () => {
    expect(bandsFor(330, 5, 0.01)).toEqual(['orange', 'orange', 'black', 'black', 'brown']);
    expect(bandsFor(49.9, 5, 0.01)).toEqual(['yellow', 'white', 'white', 'gold', 'brown']);
  });

  it('says when a value has too many digits, or colours make no value', () => {
    expect(bandsFor(332, 4, 0.05)).toBeUndefined();
    expect(bandsFor(332, 5, 0.01)).toBeDefined();
    expect(bandsFor(0, 4, 0.05)).toBeUndefined();
    expect(readBands(['gold', 'red', 'red', 'gold'])).toBeUndefined();
    expect(readBands(['red', 'red', 'red'])).toBeUndefined();
    expect(readBands(['red', 'red', 'red', 'black'])).toBeUndefined();
  });

  it('reads back every value of every series it can write', () => {
    for (const series of SERIES_NAMES) {
      for (const ohms of seriesValues(series)) {
        const count = Number(series.slice(1)) > 24 ? 5 : 4;
        const tolerance = count === 4 ? 0.05 : 0.01;
        const bands = bandsFor(ohms, count, tolerance);
        expect(bands).toBeDefined();
        const read = readBands(bands!);
        expect(read?.ohms).toBeCloseTo(ohms, 6);
        expect(read?.tolerance).toBe(tolerance);
      }
    }
  });

  it('writes letter codes', () => {
    expect([4.7, 330, 4700, 4.7e6, 1000].map(letterCode)).toEqual(['4R7', '330R', '4K7', '4M7', '1K']);
  });
});

describe('supplies', () => {
  it('add cells in series, volts and ohms', () => {
    const three = { kind: 'aa-alkaline', cells: 3, age: 'fresh' } as const;
    const fresh = supplyFigures(three);
    expect(fresh.volts).toBeCloseTo(4.8, 12);
    expect(fresh.ohms).toBeCloseTo(0.45, 12);
    expect(fresh.capacity).toBe(2.4);
    const tired = supplyFigures(three, 'tired');
    expect(tired.volts).toBeCloseTo(3.6, 12);
    expect(tired.ohms).toBeCloseTo(1.5, 12);
  });

  it('have one port, and a bench supply as set with its limit', () => {
    expect(supplyFigures({ kind: 'usb', cells: 4, age: 'nominal' }).volts).toBe(5);
    const bench = supplyFigures({ kind: 'bench', cells: 1, age: 'fresh', volts: 9, limitAmps: 0.1 });
    expect(bench).toMatchObject({ volts: 9, ohms: 0, limitAmps: 0.1 });
  });
});

describe('lamp figures', () => {
  it('keep the three limits apart and the spread around the figure', () => {
    for (const type of LAMP_TYPES) {
      const lamp = LAMPS[type];
      expect(lamp.vfLow).toBeLessThan(lamp.vf);
      expect(lamp.vfHigh).toBeGreaterThan(lamp.vf);
      expect(lamp.absoluteAmps).toBeGreaterThan(lamp.maxAmps);
    }
  });

  it.each([
    [0.00001, 'dark'],
    [0.0001, 'barely'],
    [0.0005, 'dim'],
    [0.003, 'fair'],
    [0.01, 'bright'],
    [0.017, 'at its limit'],
    [0.025, 'shortened life'],
    [0.04, 'expected to fail'],
  ] as const)('%d A looks %s', (amps, look) => {
    expect(brightnessAt(amps, 0.02)).toBe(look);
  });

  it('lets the limits of a small lamp win over the plain levels', () => {
    expect(brightnessAt(0.003, 0.002)).toBe('shortened life');
    expect(brightnessAt(0.0019, 0.002)).toBe('at its limit');
  });
});

describe('the class meter', () => {
  it('takes the smallest range that shows the reading', () => {
    expect(rangeFor(DEFAULT_METER, 'volts', 1.98)).toBe(2);
    expect(rangeFor(DEFAULT_METER, 'volts', 2.5)).toBe(20);
    expect(rangeFor(DEFAULT_METER, 'amps', 0.0088)).toBe(0.02);
    expect(burdenFor(DEFAULT_METER, 0.0088)).toBe(10);
    expect(burdenFor(DEFAULT_METER, 0.05)).toBe(1);
  });

  it('is off by its share of the reading and its counts', () => {
    const half = meterHalfWidth(DEFAULT_METER, 'volts', { value: 2.71, range: 20, step: 0.01 });
    expect(half).toBeCloseTo(0.005 * 2.71 + 2 * 0.01, 9);
    const amps = meterHalfWidth(DEFAULT_METER, 'amps', { value: 0.0088, range: 0.02, step: 1e-5 });
    expect(amps).toBeCloseTo(0.01 * 0.0088 + 3 * 1e-5, 9);
  });

  it('tells the range by the digits noted, and counts rounding when digits were dropped', () => {
    expect(readingAsNoted(DEFAULT_METER, 'volts', 1.86, 0.01, 2.1).range).toBe(20);
    expect(readingAsNoted(DEFAULT_METER, 'volts', 1.864, 0.001, 2.1).range).toBe(2);
    expect(readingAsNoted(DEFAULT_METER, 'volts', 0.01, 0.01, 3).range).toBe(20);
    const rounded = readingAsNoted(DEFAULT_METER, 'volts', 4.8, 0.1, 4.9);
    expect(meterHalfWidth(DEFAULT_METER, 'volts', rounded)).toBeCloseTo(0.024 + 0.02 + 0.05, 9);
  });
});

describe('ratings and the plain series sum', () => {
  it('take the smallest rating at half load', () => {
    expect(ratingFor(0.026)).toBe(0.125);
    expect(ratingFor(0.0625)).toBe(0.125);
    expect(ratingFor(0.07)).toBe(0.25);
    expect(ratingFor(0.6)).toBeUndefined();
  });

  it('does the sum by hand', () => {
    const found = seriesResistor(4.8, 1.95, 0.012, 'E12', 'up');
    expect(found.ok && found.value).toMatchObject({ chosen: 270, rating: 0.125 });
    expect(found.ok && found.value.ohms).toBeCloseTo(237.5, 9);
    expect(found.ok && found.value.amps).toBeCloseTo(2.85 / 270, 12);
    const nearest = seriesResistor(4.8, 1.95, 0.012, 'E12', 'nearest');
    expect(nearest.ok && nearest.value.chosen).toBe(220);
  });

  it('never goes below the sum when it rounds up', () => {
    const wish = [
      fc.double({ min: 3, max: 24, noNaN: true }),
      fc.double({ min: 1e-3, max: 0.03, noNaN: true }),
    ] as const;
    fc.assert(
      fc.property(...wish, fc.constantFrom(...SERIES_NAMES), (supply, amps, series) => {
        const found = seriesResistor(supply, 2, amps, series, 'up');
        expect(found.ok && found.value.amps).toBeLessThanOrEqual(amps * (1 + 1e-9));
      }),
    );
  });

  it('refuses a supply below the lamp', () => {
    const found = seriesResistor(1.5, 1.95, 0.01, 'E12', 'up');
    expect(found.ok || found.findings[0]!.code).toBe('cannot-light');
  });
});

describe('two values from the drawer', () => {
  it('come closest without falling below, in series or in parallel', () => {
    expect(bestPair([100, 220], 200)).toEqual({ how: 'series', first: 100, second: 100, ohms: 200 });
    expect(bestPair([22, 270, 330], 291)).toMatchObject({ how: 'series', first: 22, second: 270, ohms: 292 });
    expect(bestPair([100], 50)).toMatchObject({ how: 'parallel', ohms: 50 });
    expect(bestPair([10], 100)).toBeUndefined();
  });

  it('never fall below what is wanted', () => {
    const drawer = seriesValues('E12').slice(0, 40);
    fc.assert(
      fc.property(fc.double({ min: 2, max: 1500, noNaN: true }), (wanted) => {
        const pair = bestPair(drawer, wanted)!;
        expect(pair.ohms).toBeGreaterThanOrEqual(wanted * (1 - 1e-9));
        const single = neighbours(drawer, wanted).up!;
        expect(pair.ohms).toBeLessThanOrEqual(single * 2);
      }),
    );
  });
});

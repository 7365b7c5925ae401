import fc from 'fast-check';
import { figureShown } from './column';
import {
  capacitorCode,
  formatEntered,
  formatFarads,
  formatHours,
  formatOhms,
  formatPercent,
  formatPlain,
  formatQuantity,
  THIN,
} from './format';
import { parseQuantity } from './parse';
import { UNITS, type Unit } from './units';

function value(text: string, unit: Unit, bare?: number): number | string {
  const read = parseQuantity(text, unit, bare);
  return read.ok ? read.value : read.findings[0]!.code;
}

describe('reading figures as the trade writes them', () => {
  it.each<[string, Unit, number]>([
    ['4k7', 'Ω', 4700],
    ['4K7', 'Ω', 4700],
    ['4R7', 'Ω', 4.7],
    ['330', 'Ω', 330],
    ['330R', 'Ω', 330],
    ['330 Ω', 'Ω', 330],
    ['1M', 'Ω', 1e6],
    ['1M5', 'Ω', 1.5e6],
    ['2.2 kohms', 'Ω', 2200],
    ['22m', 'A', 0.022],
    ['22 mA', 'A', 0.022],
    ['500uA', 'A', 5e-4],
    ['500 µA', 'A', 5e-4],
    ['0.47u', 'F', 4.7e-7],
    ['470 nF', 'F', 4.7e-7],
    ['9V', 'V', 9],
    ['2V2', 'V', 2.2],
    ['2,71', 'V', 2.71],
    ['-0.5 V', 'V', -0.5],
    ['1e-3', 'A', 0.001],
    ['100 ms', 's', 0.1],
    ['1.5 kHz', 'Hz', 1500],
    ['150 lux', 'lx', 150],
  ])('%s in %s is %d', (text, unit, expected) => {
    expect(value(text, unit)).toBe(expected);
  });

  it('takes a bare number in the unit of its column', () => {
    expect(value('8.8', 'A', 1e-3)).toBeCloseTo(0.0088, 12);
    expect(value('8.8 mA', 'A', 1e-3)).toBe(0.0088);
    expect(value('0.5 A', 'A', 1e-3)).toBe(0.5);
  });

  it.each<[string, Unit, string]>([
    ['', 'V', 'empty-figure'],
    ['   ', 'V', 'empty-figure'],
    ['abc', 'V', 'not-a-figure'],
    ['4k7x', 'Ω', 'not-a-figure'],
    ['1.2.3', 'V', 'not-a-figure'],
    ['--5', 'V', 'not-a-figure'],
    ['5 mA', 'V', 'wrong-unit'],
    ['9V', 'A', 'wrong-unit'],
    ['1,000', 'Ω', 'ambiguous-comma'],
    ['1e999', 'V', 'not-a-figure'],
    ['230 V AC', 'V', 'not-a-figure'],
  ])('refuses %j in %s as %s', (text, unit, code) => {
    expect(value(text, unit)).toBe(code);
  });

  it('keeps what was typed in the refusal', () => {
    const read = parseQuantity('twelve', 'V');
    expect(read.ok || read.findings[0]).toMatchObject({ data: { typed: 'twelve', unit: 'V' } });
  });
});

describe('writing figures', () => {
  it.each<[number, Unit, number, string]>([
    [0.0088504, 'A', 3, `8.85${THIN}mA`],
    [0.00938, 'A', 2, `9.4${THIN}mA`],
    [2.9206, 'V', 3, `2.92${THIN}V`],
    [0.29, 'V', 3, `0.290${THIN}V`],
    [0.029, 'V', 2, `29${THIN}mV`],
    [0, 'V', 3, `0${THIN}V`],
    [-4.8, 'V', 3, `−4.80${THIN}V`],
    [0.45, 'Ω', 3, `0.450${THIN}Ω`],
    [0.0258, 'W', 2, `26${THIN}mW`],
    [9.996e-3, 'A', 3, `10.0${THIN}mA`],
    [NaN, 'V', 3, `–${THIN}V`],
  ])('%d %s at %d digits', (figure, unit, digits, text) => {
    expect(formatQuantity(figure, unit, digits)).toBe(text);
  });

  it('writes ohms without needless zeros, hours and shares as people say them', () => {
    expect(formatOhms(330)).toBe(`330${THIN}Ω`);
    expect(formatOhms(4700)).toBe(`4.7${THIN}kΩ`);
    expect(formatOhms(1e6)).toBe(`1${THIN}MΩ`);
    expect(formatEntered(0.01, 'A')).toBe(`10${THIN}mA`);
    expect(formatEntered(4.8, 'V')).toBe(`4.8${THIN}V`);
    expect(formatHours(0.5)).toBe(`30${THIN}min`);
    expect(formatHours(301.3)).toBe(`301${THIN}h`);
    expect(formatHours(7.53)).toBe(`7.5${THIN}h`);
    expect(formatPercent(0.4425)).toBe(`44${THIN}%`);
    expect(formatPercent(0.061)).toBe(`6.1${THIN}%`);
    expect(formatPlain(0.00775, 1e-3)).toBe('7.75');
  });

  it('reads back what it writes, to the digits it keeps', () => {
    const figures = fc.double({ min: 1e-9, max: 9e8, noNaN: true });
    fc.assert(
      fc.property(figures, fc.constantFrom(...UNITS), (figure, unit) => {
        // Long times are said in minutes and hours.
        fc.pre(unit !== 's' || figure < 999);
        const back = value(formatQuantity(figure, unit, 4), unit);
        expect(typeof back).toBe('number');
        expect(Math.abs(Number(back) / figure - 1)).toBeLessThan(6e-4);
      }),
    );
  });

  it('say long times as people do, and capacitors as they are printed', () => {
    const plain = (text: string) => text.replaceAll(THIN, ' ');
    expect(plain(formatQuantity(999, 's'))).toBe('999 s');
    expect(plain(formatQuantity(3600, 's'))).toBe('60.0 min');
    expect(plain(formatQuantity(9000, 's'))).toBe('2.50 h');
    expect(plain(formatFarads(4.7e-6))).toBe('4.7 µF');
    expect(plain(formatFarads(100e-9))).toBe('100 nF');
    expect([10e-9, 100e-9, 47e-12, 220e-12, 4.7e-9].map(capacitorCode)).toEqual([
      '103',
      '104',
      '47',
      '221',
      '472',
    ]);
  });

  it('take a figure with two units for none', () => {
    expect(value('5V2A', 'V')).toBe('not-a-figure');
    expect(value('5V2', 'V')).toBe(5.2);
    expect(value('4R7', 'Ω')).toBe(4.7);
  });
});

describe('a figure as a hand meter shows it', () => {
  it.each([
    [2.9345, 1, '2.93'],
    [0.0996, 1, '0.100'],
    [0.0882, 1, '0.088'],
    [0.0004, 1, '0'],
    [-0.0004, 1, '0'],
    [-0.00312, 1, '−0.003'],
    [0.008853, 1e-3, '8.85'],
    [0.000000267, 1e-3, '0'],
  ] as const)('%s in a column of %s is %s', (value, scale, shown) => {
    expect(figureShown(value, scale)).toBe(shown);
  });
});

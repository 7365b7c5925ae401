import fc from 'fast-check';
import { MINUS, THIN } from './format';
import { formatQuotient, formatSum } from './sums';

const figure = (text: string) => Number(text.split(THIN)[0]!.replace(MINUS, '-'));

describe('a sum as it is written', () => {
  it('keeps the decimals that make it true', () => {
    expect(formatSum([12.8, -11.68], 'V')).toEqual({
      terms: ['12.80 V', '11.68 V'].map(thin),
      total: thin('1.12 V'),
    });
    // 2.004 + 2.004 is 4.008: at two decimals 2.00 + 2.00 would be 4.01.
    expect(formatSum([2.004, 2.004], 'V').total).toBe(thin('4.008 V'));
  });

  it('adds up on paper for whatever terms', () => {
    const volts = fc.double({ min: -20, max: 20, noNaN: true });
    fc.assert(
      fc.property(fc.array(volts, { minLength: 2, maxLength: 4 }), (terms) => {
        const written = formatSum(terms, 'V');
        const total = written.terms.reduce((sum, text, i) => sum + Math.sign(terms[i]!) * figure(text), 0);
        expect(Math.abs(total - figure(written.total))).toBeLessThan(2.1e-4);
      }),
    );
  });

  it('divides on paper as it says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.integer({ min: 1, max: 20 }),
        (volts, milliamps) => {
          const { volts: above, ohms } = formatQuotient(volts, milliamps / 1000);
          const shown = figure(ohms) * (ohms.includes('k') ? 1000 : 1);
          expect(figure(above) / (milliamps / 1000) / shown).toBeCloseTo(1, 3);
        },
      ),
    );
  });
});

function thin(text: string): string {
  return text.replace(' ', THIN);
}

import { patternSheet, sheetWith } from '../../../tests/support/sheets';
import { solve } from '../solver/solve';
import { withPart } from '../circuit/circuit';
import type { StockItem } from './stock';

const resistor = (ohms: number, have: number): StockItem => ({
  spec: { kind: 'resistor', ohms },
  have,
  packSize: 50,
  packCents: 140,
});
const lamp = (type: 'red' | 'orange' | 'blue', have: number): StockItem => ({
  spec: { kind: 'led', lamp: type },
  have,
  packSize: 25,
  packCents: 275,
});

describe('what stands in for a part that is short', () => {
  it('is the value in store that changes the current least, with the circuit solved anew', () => {
    const stock = [resistor(330, 2), resistor(390, 60), resistor(470, 60), lamp('red', 60)];
    const sheet = sheetWith({}, { stock, students: 14 });
    const [found, ...more] = sheet.substitutes;
    expect(more).toEqual([]);
    expect(found).toMatchObject({
      key: 'resistor 330',
      instead: { kind: 'resistor', ohms: 390 },
      have: 60,
      lamp: 'D1',
    });
    const solved = solve(
      withPart(
        sheet.circuit,
        'R1',
        (part) => ({ ...part, params: { ...part.params, ohms: 390 } }) as typeof part,
      ),
    );
    expect(found!.after).toBeCloseTo(solved.ok ? solved.value.parts['D1']!.amps : 0, 12);
    expect(found!.before).toBeCloseTo(sheet.sums.design.amps, 9);
  });

  it('is nothing where there is enough, or where nobody has enough of another', () => {
    expect(
      sheetWith({}, { stock: [resistor(330, 60), resistor(390, 60)], students: 14 }).substitutes,
    ).toEqual([]);
    expect(sheetWith({}, { stock: [resistor(330, 2), resistor(390, 3)], students: 14 }).substitutes).toEqual(
      [],
    );
  });

  it('never drives a lamp above its maximum, nor starves one', () => {
    const stock = [resistor(330, 2), resistor(47, 60), resistor(3300, 60)];
    expect(sheetWith({}, { stock, students: 14 }).substitutes).toEqual([]);
  });

  it('of a lamp is another sort that takes about as many volts', () => {
    const stock = [resistor(330, 60), lamp('red', 3), lamp('orange', 60), lamp('blue', 60)];
    const { substitutes } = sheetWith({}, { stock, students: 14 });
    expect(substitutes).toMatchObject([{ key: 'led red', instead: { kind: 'led', lamp: 'orange' } }]);
    expect(substitutes[0]!.after).toBeLessThan(substitutes[0]!.before);
  });

  it('changes all parts of its line at once', () => {
    const sheet = patternSheet('panel', { rows: 1, columns: 3, lamp: 'red', amps: 0.005 }, 'half', {
      stock: [resistor(680, 1), resistor(820, 200)],
      students: 10,
    });
    const found = sheet.substitutes.find(({ instead }) => instead.kind === 'resistor')!;
    expect(found.instead).toEqual({ kind: 'resistor', ohms: 820 });
    // About 3.2 V over 820 Ω instead of 680 Ω, in every branch.
    expect(found.after / found.before).toBeCloseTo(680 / 820, 1);
    expect(sheet.kit.lines.find(({ key }) => key.startsWith('resistor'))!.parts).toHaveLength(3);
  });
});

describe('a kit', () => {
  it('costs less than the same parts bought by one alone in whole packs', () => {
    const { kit } = sheetWith({}, { stock: [resistor(330, 60), lamp('red', 60)], students: 14 });
    expect(kit.eachCents).toBeCloseTo(140 / 50 + 275 / 25, 9);
    expect(kit.aloneCents).toBe(140 + 275);
  });
});

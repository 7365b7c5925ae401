import { sheetWith } from '../../../tests/support/sheets';
import { LAMP_TYPES } from '../catalogue/lamps';
import { BARE_SHELF } from '../catalogue/shelf';
import { DEFAULT_STYLE } from '../patterns/style';
import { cheatSheet } from './cheatSheet';

describe('the cheat sheet', () => {
  const sheet = cheatSheet(DEFAULT_STYLE, BARE_SHELF, []);

  it('has in every cell what a lesson with that supply and lamp comes to', () => {
    sheet.supplies.forEach((supply, i) =>
      sheet.lamps.forEach((lamp, k) => {
        const cell = sheet.cells[i]![k]!;
        if ('why' in cell) return expect(['cannot-light', 'no-resistor-in-drawer']).toContain(cell.why.code);
        const { loop, sums } = sheetWith(
          { supply, lamp, amps: sheet.wanted },
          { draws: { samples: 1, seed: 1, coverage: 0.95 } },
        );
        expect(cell.ohms).toBe(loop.chosen);
        expect(cell.amps).toBeCloseTo(sums.design.amps, 9);
        expect(cell.watts).toBeCloseTo(sums.design.hottest!.watts, 9);
        expect(cell.bands).toEqual(loop.bands4);
      }),
    );
  });

  it('takes the lamps that the store counts, or all', () => {
    expect(sheet.lamps).toEqual(LAMP_TYPES);
    const stock = [{ spec: { kind: 'led', lamp: 'blue' }, have: 3, packSize: 1, packCents: 20 }] as const;
    expect(cheatSheet(DEFAULT_STYLE, BARE_SHELF, stock).lamps).toEqual(['blue']);
  });

  it('follows the house style and the drawer', () => {
    const less = cheatSheet({ ...DEFAULT_STYLE, amps: 0.005 }, BARE_SHELF, []);
    const ohmsOf = (of: typeof sheet, row: number) => {
      const cell = of.cells[row]![1]!;
      return 'ohms' in cell ? cell.ohms : 0;
    };
    expect(ohmsOf(less, 1)).toBeGreaterThan(ohmsOf(sheet, 1));
    const drawer = cheatSheet(DEFAULT_STYLE, { ...BARE_SHELF, drawer: [470] }, []);
    expect(ohmsOf(drawer, 1)).toBe(470);
  });
});

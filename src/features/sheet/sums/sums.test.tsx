import { renderToStaticMarkup } from 'react-dom/server';
import { patternSheet, sheetWith } from '../../../../tests/support/sheets';
import { DEFAULT_STYLE, MINUS, THIN, type Sheet } from '@/core';
import { WorkingTable } from '../families/LoopWork';
import { StringWork } from './StringWork';

/** Rows of a working: name, work and figure. */
function rows(element: React.ReactElement): string[][] {
  const markup = renderToStaticMarkup(element).replaceAll(THIN, ' ');
  return [...markup.matchAll(/<tr[^>]*>(.*?)<\/tr>/gsu)].map(([, row]) =>
    [...row!.matchAll(/<t[hd][^>]*>(.*?)<\/t[hd]>/gsu)].map(([, cell]) => cell!.replace(/<[^>]+>/gu, '')),
  );
}

const figures = (text: string) => [...text.matchAll(/[\d.]+/gu)].map(([figure]) => Number(figure));

/** Every line `a − b − c` or `a + b` of a working, with its figure. */
function sums(table: string[][]): { work: string; figure: number }[] {
  return table
    .filter(([, work = '']) => /^[\d.]+ [VΩ] [+−] [\d.]+ [VΩ]/u.test(work))
    .map(([, work, figure]) => ({ work: work!.split(/:| inside/u)[0]!, figure: figures(figure!)[0]! }));
}

function expectTrue(table: string[][]): void {
  for (const { work, figure } of sums(table)) {
    const [first, ...others] = figures(work);
    const sense = work.includes(MINUS) ? -1 : 1;
    expect(others.reduce((sum, other) => sum + sense * other, first!)).toBeCloseTo(figure, 4);
  }
}

const work = (sheet: Sheet) => rows(<StringWork sheet={sheet} style={DEFAULT_STYLE} />);

describe('the working of a lesson is true as it is written', () => {
  it.each(['red', 'blue', 'white', 'yellow', 'green'] as const)('for one %s lamp', (lamp) => {
    const sheet = sheetWith({ lamp });
    const table = rows(<WorkingTable sums={sheet.sums} loop={sheet.loop} style={DEFAULT_STYLE} />);
    expect(sums(table).length).toBeGreaterThanOrEqual(3);
    expectTrue(table);
  });

  it.each(['strings', 'rgb', 'gauge', 'dimmer', 'lamp-cover', 'panel'] as const)('for %s', (pattern) => {
    const board = pattern === 'panel' ? 'strip' : 'full';
    const table = work(patternSheet(pattern, {}, board));
    expect(sums(table).length).toBeGreaterThan(0);
    expectTrue(table);
  });

  it('says of one resistor for two lamps which of them it was chosen by', () => {
    const table = work(patternSheet('alternate', {}, 'full'));
    expectTrue(table);
    const chosen = table.filter(([name = '']) => name.startsWith('chosen'));
    expect(chosen.map(([name, words]) => [name, words])).toEqual([
      ['chosen, next value up', 'from the drawer'],
      ['chosen with D1', 'one resistor for both, and D1 wants more'],
    ]);
    // The very same resistor, whatever the green lamp’s own sum comes to.
    expect(new Set(chosen.map(([, , figure]) => figure)).size).toBe(1);
  });

  it('has the zener’s own line in the sum of a gauge', () => {
    const sheet = patternSheet('gauge', {}, 'full');
    const table = work(sheet);
    const { zener, voltsLeft, lampVolts } = sheet.sums.strings[0]!;
    expect(table[0]![0]).toBe('the zener Z1 takes');
    expect(figures(table[0]![2]!)[0]).toBeCloseTo(zener!.volts, 2);
    const left = table.find(([name]) => name === 'volts left for the resistor')!;
    expect(left[1]!.split(MINUS)).toHaveLength(3);
    expect(voltsLeft + lampVolts + zener!.volts).toBeCloseTo(figures(left[1]!)[0]!, 2);
  });

  it('says of a dimmer for which place of its knob the sum is, and where it stands', () => {
    const sheet = patternSheet('dimmer');
    const row = work(sheet).find(([name]) => name!.startsWith('real current'))!;
    expect(row[0]).toBe('real current, P1 half way');
    expect(row[1]).toContain('the sum above is for the knob fully up');
    expect(sheet.sums.strings[0]!.wanted).toBeGreaterThan(5 * sheet.sums.design.lamps[0]!.amps);
  });
});

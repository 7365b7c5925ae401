import { patternSheet, ROUGH, sheetWith } from '../../tests/support/sheets';
import { bandsFor, BARE_SHELF, LEVELS, PATTERN_IDS, patternOf, THIN, type Sheet } from '@/core';
import { glossaryFor, TERM_IDS, TERMS } from './glossary';
import { seen, sumsAt } from './levels';
import { ownName } from './names';
import { boardAnatomy, otherParts, stillAssumed } from './partsWords';
import { inShort } from './sheetText';

const plain = (text: string) => text.replaceAll(THIN, ' ');
const all: readonly (readonly [string, Sheet])[] = PATTERN_IDS.map((id) => [
  id,
  patternSheet(id, {}, 'full', ROUGH),
]);

describe('the sum on a card', () => {
  it('can be followed with a pencil: supply less lamp, divided by the current', () => {
    const [block] = sumsAt('card', sheetWith());
    const [volts, ohms, take] = block!.lines.map(({ work, figure }) => [plain(work), plain(figure)]);
    const [supply, lamp] = volts![0]!.match(/[\d.]+/gu)!.map(Number);
    expect(Number.parseFloat(volts![1]!)).toBeCloseTo(supply! - lamp!, 2);
    const [left, milliamps] = ohms![0]!.match(/[\d.]+/gu)!.map(Number);
    const { supplyFigures } = sheetWith().sums;
    const exact = left! / (milliamps! / 1000) - supplyFigures.ohms;
    expect(Math.abs(Number.parseFloat(ohms![1]!) / exact - 1)).toBeLessThan(0.005);
    expect(take).toEqual([bandsFor(330, 4, 0.05)!.join(', '), '330 Ω']);
  });

  it('adds the lamps of a string, and does not add those that lie side by side', () => {
    const wish = { groups: [{ lamp: 'red' as const, count: 2 }], amps: 0.008 };
    const string = patternSheet('strings', { ...wish, way: { kind: 'strings', length: 2 } as never });
    expect(plain(sumsAt('card', string)[0]!.lines[0]!.work)).toContain('2 lamps take 3.7');
    const shared = patternSheet('strings', { ...wish, way: { kind: 'shared' } as never });
    expect(plain(sumsAt('card', shared)[0]!.lines[0]!.work)).toContain('a lamp takes 1.8');
  });
});

describe.each(all)('the levels of %s', (_, sheet) => {
  it('show every resistor at each of them, and no formula without mathematics', () => {
    for (const level of ['no mathematics', 'card'] as const) {
      const blocks = sumsAt(level, sheet);
      const named = blocks.map(({ title }) => title).join(' ');
      for (const sum of sheet.sums.strings) expect(named).toContain(sum.alike[0]);
      const work = blocks.flatMap(({ lines }) => lines.map((line) => line.work)).join(' ');
      if (level === 'no mathematics') expect(work).not.toMatch(/[÷−=]/u);
    }
  });

  it('say of each lamp once how it looks', () => {
    for (const level of LEVELS) {
      const names = seen(sheet, level)
        .lines.map(({ name }) => name)
        .join(' ');
      const { lamps } = sheet.sums.design;
      for (const { part } of lamps.length <= 6 ? lamps : lamps.slice(0, 1))
        expect(names).toContain(ownName(sheet.circuit, part));
    }
    const figures = seen(sheet, 'no mathematics').lines.map(({ figure }) => figure);
    expect(new Set(figures)).toEqual(new Set(['']));
  });
});

describe('the glossary', () => {
  it('says every term in two ways that differ', () => {
    for (const id of TERM_IDS) {
      const { plain: easy, exact } = TERMS[id];
      expect(easy).not.toBe(exact);
      for (const text of [easy, exact]) expect(text).toMatch(/^[A-Z].{20,}[.]$/u);
    }
  });

  it.each(all)('of %s has the words of its parts and board, and of no other', (id, sheet) => {
    const words = glossaryFor(sheet, 'card', {}).map((word) => word.id);
    expect(words).toEqual(expect.arrayContaining(['current', 'voltage', 'lamp', 'row']));
    expect(words).not.toContain('strip');
    expect(words.includes('zener')).toBe(id === 'gauge');
    expect(words.includes('isolated')).toBe(id === 'lamp-cover');
    expect(words.includes('resistor')).toBe(sheet.circuit.parts.some(({ kind }) => kind === 'resistor'));
  });

  it('takes the educator’s own words before its own, and plain ones where no mathematics is given', () => {
    const own = { current: 'How much water comes by.' };
    const easy = glossaryFor(sheetWith(), 'no mathematics', own);
    expect(easy.find(({ id }) => id === 'current')!.meaning).toBe('How much water comes by.');
    expect(easy.find(({ id }) => id === 'voltage')!.meaning).toBe(TERMS.voltage.plain);
    const exact = glossaryFor(sheetWith(), 'full working', {});
    expect(exact.find(({ id }) => id === 'current')!.meaning).toBe(TERMS.current.exact);
  });
});

describe('what comes before what', () => {
  it('never goes round in a circle', () => {
    const depth = (id: (typeof PATTERN_IDS)[number], seenBefore: readonly string[] = []): number => {
      expect(seenBefore).not.toContain(id);
      return (
        1 +
        Math.max(
          0,
          ...patternOf(id).after.map((other) =>
            depth(
              PATTERN_IDS.find((one) => one === other)!,
              [...seenBefore, id],
            ),
          ),
        )
      );
    };
    expect(Math.max(...PATTERN_IDS.map((id) => depth(id)))).toBe(4);
    expect(depth('single')).toBe(1);
  });
});

describe('what is seen', () => {
  it('is said with where the knob stands, and with nothing where there is none', () => {
    expect(seen(patternSheet('dimmer'), 'card').title).toBe('What is seen, P1 half way');
    expect(seen(patternSheet('dimmer', { position: 0 }), 'card').title).toBe(
      'What is seen, P1 turned fully up',
    );
    expect(seen(sheetWith(), 'card').title).toBe('What is seen');
  });
});

describe('the parts in words', () => {
  it('tell a lamp with a common cathode from one with a common anode', () => {
    const words = (common: 'cathode' | 'anode') =>
      otherParts(patternSheet('rgb', { common }))
        .map(({ told }) => told)
        .join(' ');
    expect(words('cathode')).toContain('common cathode), green, blue. The longest goes to minus');
    expect(words('anode')).toContain('common anode), green, blue. The longest goes to plus');
    expect(words('anode')).toContain('lit with plus and minus exchanged: common cathode');
  });

  it('name each zener, knob and button, and nothing where there is none', () => {
    expect(otherParts(patternSheet('gauge', {}, 'full')).map(({ name }) => name)).toEqual([
      'S1',
      'Z1, Z2 and Z3',
    ]);
    expect(otherParts(sheetWith())).toEqual([]);
  });

  it('say which holes are joined on every board', () => {
    expect(boardAnatomy('mini')).toContain('17 rows');
    expect(boardAnatomy('mini')).toContain('No rails');
    expect(boardAnatomy('full-split')).toContain('after row 31');
    expect(boardAnatomy('strip')).toContain('24 strips of 40 holes');
  });

  it('list what nobody has measured, and shorten when it is', () => {
    const trusting = stillAssumed(sheetWith(), { red: BARE_SHELF.lamps.red.origin });
    expect(trusting.join(' ')).toMatch(/red lamp.*3 AA cells/u);
    const measured = {
      kind: 'aa-alkaline',
      cells: 3,
      age: 'fresh',
      measured: { volts: 4.6, ohms: 0.7 },
    } as const;
    const known = stillAssumed(sheetWith({ supply: measured }), { red: 'measured' });
    expect(known.filter((line) => !line.startsWith('Price'))).toEqual([]);
  });
});

describe('a lesson as text', () => {
  it('holds its parts and what right builds read, and stays short enough for a code', () => {
    const text = inShort('Pier lamp', sheetWith());
    expect(text.split('\n')[0]).toBe('Pier lamp');
    expect(text).toContain('1 x resistor 330 Ω (R1)');
    expect(text).toMatch(/across R1: [\d.]+ V to [\d.]+ V/u);
    for (const [title, sheet] of all) expect(inShort(title, sheet).length).toBeLessThanOrEqual(900);
  });
});

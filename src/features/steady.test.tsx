import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { choiceWith, patternSheet, requestWith } from '../../tests/support/sheets';
import {
  BARE_SHELF,
  cheatSheet,
  DEFAULT_STYLE,
  formatOhms,
  formatQuantity,
  PATTERN_IDS,
  whatIf,
  type BoardChoice,
  type PatternId,
} from '@/core';
import { CheatSheetPage } from './cheatSheet/CheatSheetPage';
import { ZoneChart } from './charts/ZoneChart';
import { PatternSign } from './lessons/PatternSign';
import { signOf } from '@/server/work/patternSigns';
import { BoardDrawing } from './plan/BoardDrawing';
import { BoardWords } from './sheet/plan/BoardWords';
import { WishBar } from './sheet/WishBar';
import { KitStage } from './sheet/stages/KitStage';
import { PartsStage } from './sheet/stages/PartsStage';
import { StepList } from './sheet/steps/StepList';
import { SumsStage } from './sheet/sums/SumsStage';

jest.mock('@/workers/client', () => jest.requireActual('../../tests/support/inProcess'));

const nothing = () => undefined;
/** A kit that no group is chosen for. */
const KIT = { groups: [], nextGroup: undefined, request: requestWith() };
const text = (element: ReactElement) =>
  renderToStaticMarkup(element)
    .replace(/<[^>]+>/gu, ' ')
    .replaceAll('\u202f', ' ')
    .replace(/\s+/gu, ' ');
const plain = (words: string) => words.replaceAll('\u202f', ' ');
const boardFor = (pattern: PatternId): BoardChoice => (pattern === 'panel' ? 'strip' : 'full');

describe.each(PATTERN_IDS)('the stages of %s', (pattern) => {
  const board = boardFor(pattern);
  const sheet = patternSheet(pattern, {}, board);
  const choice = choiceWith(pattern, {}, board);

  it('have a sentence whose words are inputs with names', () => {
    const markup = renderToStaticMarkup(<WishBar choice={choice} style={DEFAULT_STYLE} onChange={nothing} />);
    const inputs = markup.match(/<(?:select|input)[^>]*>/gu) ?? [];
    expect(inputs.length).toBeGreaterThan(2);
    for (const input of inputs) expect(input).toMatch(/aria-label="[^"]+"/u);
  });

  it('show in the sums every resistor that is in the circuit, and the current of everything', () => {
    const page = text(
      <SumsStage
        sheet={sheet}
        style={DEFAULT_STYLE}
        choice={choice}
        title="Test"
        level="card"
        onChoice={nothing}
      />,
    );
    for (const part of sheet.circuit.parts) {
      if (part.kind === 'resistor') expect(page).toContain(plain(formatOhms(part.params.ohms)));
    }
    expect(page).toContain(plain(formatQuantity(sheet.sums.design.amps, 'A')));
    expect(page).not.toMatch(/undefined|NaN/u);
  });

  it('list in the parts each sort of lamp with where its figure comes from', () => {
    const page = text(<PartsStage sheet={sheet} style={DEFAULT_STYLE} shelf={BARE_SHELF} />);
    for (const type of new Set(Object.values(sheet.sorts))) {
      expect(page).toContain(plain(formatQuantity(BARE_SHELF.lamps[type].vf, 'V')));
    }
    if (Object.keys(sheet.sorts).length > 0) expect(page).toContain('colour table');
  });

  it('count in the kit what the plan holds', () => {
    const page = text(
      <KitStage {...KIT} sheet={sheet} style={DEFAULT_STYLE} csvHref="/k" extras={[]} onExtras={nothing} />,
    );
    for (const line of sheet.kit.lines) expect(page).toContain(` ${line.forGroup} `);
    expect(page).not.toMatch(/undefined|NaN/u);
  });

  it('have a card in full and one step at a time', () => {
    const list = text(<StepList sheet={sheet} at={0} onAt={nothing} />);
    expect(list).toContain('Stop: look before power.');
  });

  it('say on what it is built, and how good the plan is', () => {
    const words = text(<BoardWords sheet={sheet} choice={choice} style={DEFAULT_STYLE} onChoice={nothing} />);
    expect(words).toContain(`${sheet.quality.crossings} crossings`);
    expect(words).toMatch(board === 'strip' ? /joints/u : /jumpers?/u);
  });

  it('have a sign with every symbol of its usual circuit', () => {
    const sign = renderToStaticMarkup(<PatternSign diagram={signOf(pattern)} />);
    const symbols = sign.match(/<g transform="translate/gu) ?? [];
    const chips = sheet.circuit.parts.filter(({ kind }) => kind === 'timer').length;
    expect(symbols).toHaveLength(sheet.circuit.parts.length - chips);
    expect((sign.match(/<g><rect/gu) ?? []).length).toBe(chips);
  });
});

describe('boards of every kind', () => {
  const drawn = (board: BoardChoice, held: 'upright' | 'flat' = 'upright') => {
    const sheet = patternSheet('coin-light', { copies: 2, resistor: true, lamp: 'red' }, board);
    const markup = renderToStaticMarkup(<BoardDrawing {...sheet} title="Plan" orientation={held} />);
    const [, width, height] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/u.exec(markup)!.map(Number);
    return { sheet, markup, width: width!, height: height! };
  };

  it.each(['mini', 'half', 'full', 'full-split', 'strip', 'pad', 'card'] as const)(
    '%s: every part inside',
    (board) => {
      const { sheet, markup, width, height } = drawn(board);
      for (const { part, kind } of sheet.plan.placements)
        if (kind === 'part' && part !== 'B1') expect(markup).toContain(part);
      for (const [, x, y] of markup.matchAll(/<circle cx="([\d.]+)" cy="([\d.]+)"/gu)) {
        expect(Number(x)).toBeLessThan(width);
        expect(Number(y)).toBeLessThan(height);
      }
    },
  );

  it('turn with how they are held, except the card', () => {
    for (const board of ['full', 'strip'] as const) {
      const [up, flat] = [drawn(board), drawn(board, 'flat')];
      expect(up.height / up.width).not.toBeCloseTo(flat.height / flat.width, 2);
    }
    expect(drawn('card').markup).toBe(drawn('card', 'flat').markup);
  });

  it('mark every cut of a strip once', () => {
    const { sheet, markup } = drawn('strip');
    expect(markup.match(/l8 8 m0 -8 l-8 8/gu)).toHaveLength(sheet.plan.cuts!.length);
  });
});

describe('the resistor varied', () => {
  it('names its zones and marks what is planned', () => {
    const sheet = patternSheet('single');
    const curve = whatIf(sheet.circuit, 'R1', 'D1', BARE_SHELF.drawer);
    if (!curve.ok) throw new Error('no curve');
    const chart = text(<ZoneChart curve={curve.value} planned={330} />);
    for (const words of ['comfortable', 'at its limit', 'ruin', '330 Ω, 8.85 mA'])
      expect(chart).toContain(words);
  });
});

describe('the cheat sheet as a page', () => {
  it('has a row a supply and a column a lamp, with a dash where there is no light', () => {
    const sheet = cheatSheet({ ...DEFAULT_STYLE, amps: 0.02 }, BARE_SHELF, []);
    const markup = renderToStaticMarkup(<CheatSheetPage sheet={sheet} />);
    expect(markup.match(/<tr>/gu)).toHaveLength(1 + sheet.supplies.length);
    const dashes = sheet.cells.flat().filter((cell) => 'why' in cell).length;
    expect(dashes).toBeGreaterThan(0);
    expect(markup.match(/>–<\/span>/gu)).toHaveLength(dashes);
  });
});

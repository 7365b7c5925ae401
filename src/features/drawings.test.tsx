import { pinName } from '@/messages/names';
import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { patternSheet, ROUGH, ROWS_ONLY, sheetWith } from '../../tests/support/sheets';
import {
  diagramOf,
  bandsFor,
  boardHoles,
  BOARDS,
  moveLeg,
  readBands,
  standInFor,
  THIN,
  turnPart,
  type BandColour,
  type Expected,
  PATTERN_IDS,
  type Sheet,
} from '@/core';
import { BandChart } from './charts/BandChart';
import { MiniBand } from './check/MiniBand';
import { StripChart } from './check/StripChart';
import { BoardDrawing } from './plan/BoardDrawing';
import { at, nearestHole, rowsShown } from './plan/geometry';
import { CircuitDiagram } from './plan/CircuitDiagram';
import { BAND_FILLS, DRAWN, LAMP_DRAWN, WIRE_COLOURS } from './plan/palette';
import { ResistorDrawing } from './plan/ResistorDrawing';

const sheet = sheetWith({}, ROWS_ONLY);
const draw = (element: ReactElement) => renderToStaticMarkup(element).replaceAll(THIN, ' ');
const board = (more: Partial<Parameters<typeof BoardDrawing>[0]> = {}) =>
  draw(
    <BoardDrawing
      plan={sheet.plan}
      circuit={sheet.circuit}
      sorts={{ D1: 'red' }}
      supply={sheet.supply}
      title="Plan"
      {...more}
    />,
  );

/** Every attribute of a name in the order in which it is drawn. */
function all(markup: string, tag: string, attribute: string): string[] {
  const tags = markup.match(new RegExp(`<${tag}\\b[^>]*>`, 'gu')) ?? [];
  return tags.flatMap((text) => new RegExp(` ${attribute}="([^"]*)"`, 'u').exec(text)?.[1] ?? []);
}

describe('a drawn resistor', () => {
  it('shows its bands in the order in which they are read', () => {
    for (const [ohms, count] of [
      [330, 4],
      [4700, 4],
      [332, 5],
      [1e6, 5],
    ] as const) {
      const bands = bandsFor(ohms, count, count === 4 ? 0.05 : 0.01)!;
      const markup = draw(<ResistorDrawing bands={bands} title={bands.join(', ')} />);
      const fills = all(markup, 'rect', 'fill').slice(1);
      expect(fills).toEqual(bands.map((colour) => BAND_FILLS[colour]));
      const places = all(markup, 'rect', 'x').map(Number);
      expect([...places].sort((a, b) => a - b)).toEqual(places);
      expect(markup).toContain(`aria-label="${bands.join(', ')}"`);
    }
  });

  it('keeps the last band apart, so that the reading end is plain', () => {
    const bands: BandColour[] = ['orange', 'orange', 'brown', 'gold'];
    expect(readBands(bands)!.ohms).toBe(330);
    const places = all(draw(<ResistorDrawing bands={bands} title="330" />), 'rect', 'x').map(Number);
    const gaps = places.slice(1).map((x, i) => x - places[i]!);
    expect(gaps[gaps.length - 1]!).toBeGreaterThan(gaps[0]!);
  });
});

describe('a drawn plan', () => {
  it('has every hole of the board once', () => {
    const holes = all(board({ whole: true }), 'circle', 'r').filter((r) => r === '2.1');
    expect(holes).toHaveLength(boardHoles(BOARDS.half).length);
  });

  it('shows as many rows as are used, and a few more', () => {
    expect(rowsShown(sheet.plan, false)).toBe(15);
    expect(rowsShown(sheet.plan, true)).toBe(30);
    const low = moveLeg(sheet.plan, 'R1', 'b', 'c20');
    expect(low.ok && rowsShown(low.value, false)).toBe(24);
  });

  it('names its parts with values, and which hole the long leg is in', () => {
    const markup = board();
    expect(markup).toContain('R1 330 Ω');
    expect(markup).toContain('D1 red');
    expect(markup).toContain('long leg e8');
    expect(markup).toContain('red to +, black to −');
    const turned = turnPart(sheet.plan, 'D1');
    expect(turned.ok && board({ plan: turned.value })).toContain('long leg e9');
  });

  it('tells lamp colours by letter as well', () => {
    for (const type of ['red', 'green', 'blue', 'violet'] as const) {
      const markup = board({ sorts: { D1: type } });
      expect(markup).toContain(`>${LAMP_DRAWN[type].letter}</text>`);
      expect(markup).toContain(LAMP_DRAWN[type].fill);
    }
    const letters = Object.values(LAMP_DRAWN).map(({ letter }) => letter);
    expect(new Set(letters).size).toBe(letters.length);
  });

  it('draws jumpers from hole to hole in their colours', () => {
    const markup = board();
    const from = at(boardHoles(BOARDS.half).find((h) => h.name === 'L+3')!);
    const to = at(boardHoles(BOARDS.half).find((h) => h.name === 'a3')!);
    expect(markup).toContain(`<path d="M${from.x} ${from.y}L${to.x} ${to.y}" stroke="${WIRE_COLOURS.red}"`);
    expect(markup).toContain(`stroke="${WIRE_COLOURS.black}"`);
  });

  it('draws what stands in a part’s place', () => {
    expect(board({ plan: standInFor(sheet.plan, 'R1', { kind: 'wire' }) })).toContain('R1: a wire');
    expect(board({ plan: standInFor(sheet.plan, 'R1', { kind: 'resistor', ohms: 3300 }) })).toContain(
      'R1 3.3 kΩ',
    );
    expect(board({ plan: standInFor(sheet.plan, 'D1', { kind: 'led', type: 'blue' }) })).toContain('D1 blue');
  });

  it('is a picture by itself, and a group of parts to reach when it can be edited', () => {
    expect(board()).toContain('role="img"');
    expect(board()).not.toContain('tabindex');
    const editable = board({ onPick: () => undefined, picked: 'R1' });
    expect(all(editable, 'g', 'data-part')).toEqual(['W1', 'W2', 'R1', 'D1', 'B1']);
    expect(editable).toContain('aria-label="The lamp D1: long leg in e8, short leg in e9"');
    expect(editable).toContain('aria-label="The jumper W1: end in left + rail beside row 3, end in a3"');
    expect(all(editable, 'g', 'aria-pressed')).toEqual(['false', 'false', 'true', 'false', 'false']);
  });

  it('ghosts what is not yet placed, and rings the holes of the step', () => {
    const markup = board({ placed: new Set(['W1', 'W2']), ringed: new Set(['R1']) });
    // The names of the two that wear one are ghosted with them.
    expect(all(markup, 'g', 'opacity')).toEqual(['1', '1', ...Array.from({ length: 5 }, () => '0.22')]);
    expect(all(markup, 'circle', 'r').filter((r) => r === '9')).toHaveLength(2);
  });

  it('carries its colours in itself, so that a saved file keeps them', () => {
    expect(board()).not.toMatch(/var\(--/u);
    expect(board()).toContain(DRAWN.board);
  });

  it('finds the hole nearest to the pointer, and none far away', () => {
    for (const name of ['a1', 'e8', 'j30', 'L+3', 'R-29']) {
      const { x, y } = at(boardHoles(BOARDS.half).find((h) => h.name === name)!);
      expect(nearestHole(sheet.plan, { x: x + 5, y: y - 5 })?.name).toBe(name);
    }
    expect(nearestHole(sheet.plan, { x: -200, y: -200 })).toBeUndefined();
  });
});

describe('the circuit diagram', () => {
  const diagram = (of: Sheet, more: Partial<Parameters<typeof CircuitDiagram>[0]> = {}) =>
    draw(
      <CircuitDiagram
        circuit={of.circuit}
        sorts={of.sorts}
        resistors="box"
        figures={of.built.seen!.parts}
        layout={diagramOf(of.circuit)}
        {...more}
      />,
    );

  it('labels supply, resistor and lamp with values, and on wish with solved figures', () => {
    const markup = diagram(sheet);
    for (const text of ['>R1<', '>330 Ω<', '>2.92 V<', '>red<', '>1.88 V<', '>4.80 V<', '>8.85 mA<'])
      expect(markup).toContain(text);
    expect(diagram(sheet, { figures: undefined })).not.toContain('mA');
  });

  it('has the lamp above the resistor when that is on the minus side', () => {
    const place = (markup: string, label: string) =>
      Number(new RegExp(`<text x="[\\d.]+" y="([\\d.]+)"[^>]*>${label}<`, 'u').exec(markup)![1]);
    const minus = diagram(sheetWith({ side: 'minus' }));
    expect(place(minus, 'D1')).toBeLessThan(place(minus, 'R1'));
    expect(place(diagram(sheet), 'D1')).toBeGreaterThan(place(diagram(sheet), 'R1'));
  });

  it('draws resistors as the house does', () => {
    expect(diagram(sheet)).toContain('<rect x="-7"');
    expect(diagram(sheet, { resistors: 'zigzag' })).not.toContain('<rect x="-7"');
  });

  it.each(PATTERN_IDS)('shows every part of %s once, inside the picture', (pattern) => {
    const made = patternSheet(pattern, {}, pattern === 'panel' ? 'strip' : 'full', ROUGH);
    const markup = diagram(made);
    const [, width, height] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/u.exec(markup)!.map(Number);
    for (const { id } of made.circuit.parts)
      expect(markup.match(new RegExp(`>${pinName(id)}</text>`, 'gu'))).toHaveLength(1);
    for (const x of all(markup, 'text', 'x').map(Number)) expect(x).toBeLessThan(width!);
    for (const y of all(markup, 'text', 'y').map(Number)) expect(y).toBeLessThan(height!);
  });
});

describe('charts', () => {
  const point = sheet.expected.points.find((p) => p.id === 'R1')!;

  it('draw the band between its edges, and the typical figure inside', () => {
    const markup = draw(<BandChart point={point} name="across R1" />);
    const [x, width] = [Number(all(markup, 'rect', 'x')[0]), Number(all(markup, 'rect', 'width')[0])];
    const typical = Number(/<line x1="([\d.]+)" x2="\1" y1="12"/u.exec(markup)![1]);
    expect(typical).toBeGreaterThan(x);
    expect(typical).toBeLessThan(x + width);
    const scale = width / (point.high - point.low);
    expect(typical).toBeCloseTo(x + scale * (point.typical - point.low), 6);
    expect(markup).toMatch(
      /aria-label="across R1: typical 2\.92 V, 95 % between 2\.6\d V and 3\.1\d V, worst corners 2\.53 V and 3\.26 V"/u,
    );
  });

  it('count currents in mA', () => {
    const current = sheet.expected.points.find((p) => p.id === 'current')!;
    const markup = draw(<BandChart point={current} name="current" />);
    expect(markup).toContain('>mA</text>');
    expect(markup).toContain('>8.60</text>');
  });

  it('show a reading in its band, and point outwards beyond the end of the scale', () => {
    const mini = (value: number, verdict: 'right' | 'off') =>
      draw(<MiniBand low={2.7} high={3.1} value={value} verdict={verdict} />);
    expect(Number(all(mini(2.9, 'right'), 'rect', 'x')[1])).toBeCloseTo(34 - 1.2, 9);
    expect(mini(2.9, 'right')).toContain('var(--right)');
    expect(mini(0, 'off')).toContain('M7 1 L1 6 L7 11 Z');
    expect(mini(9, 'off')).toContain('M61 1 L67 6 L61 11 Z');
  });

  it('show a class on one scale, by shape as well as colour', () => {
    const readings = [
      { bench: 1, value: 2.95, verdict: 'right' },
      { bench: 2, value: 2.97, verdict: 'right' },
      { bench: 3, value: 2.68, verdict: 'close' },
      { bench: 4, value: 0.3, verdict: 'off' },
    ] as const;
    const markup = draw(<StripChart point={point} readings={readings} />);
    expect(markup).toContain('4 benches, 2 of them right');
    expect(markup).toContain('4 benches against 2.6');
    expect(markup).toMatch(/The right ones sit 1\.\d % above typical \(2\.92 V\)/u);
    expect(all(markup, 'circle', 'fill')).toEqual(['var(--right)', 'var(--right)', 'none']);
    expect(markup.match(/l5\.5 10 h-11 Z/gu)).toHaveLength(1);
    expect(draw(<StripChart point={point} readings={[]} />)).toContain('No bench yet against');
  });

  it('keep every drawn figure inside the picture', () => {
    const wide: Expected = { ...point, worstLow: 0.001, worstHigh: 7.3 };
    const markup = draw(<BandChart point={wide} name="wide" />);
    for (const x of [...all(markup, 'text', 'x'), ...all(markup, 'rect', 'x')].map(Number)) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(560);
    }
  });
});

import { renderToStaticMarkup } from 'react-dom/server';
import { patternSheet, sheetWith } from '../../tests/support/sheets';
import {
  diagramOf,
  DEFAULT_STYLE,
  formatOhms,
  formatQuantity,
  LEVELS,
  THIN,
  type Level,
  type SupplyChoice,
} from '@/core';
import { StudentSheet } from './print/StudentSheet';
import { ComesAfter } from './sheet/aim/ComesAfter';
import { TimeSection } from './sheet/aim/TimeSection';
import { ExtrasSection } from './sheet/kit/ExtrasSection';
import { Batteries } from './sheet/wish/batteries';
import { SupplyWords } from './sheet/wish/SupplyWords';
import { BatteryTable } from './store/BatteryTable';

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));

const text = (element: React.ReactElement) =>
  renderToStaticMarkup(element)
    .replaceAll(THIN, ' ')
    .replace(/<[^>]+>/gu, ' ')
    .replace(/\s+/gu, ' ');
const nothing = () => undefined;

describe('the students’ sheet', () => {
  const words = { title: 'Quay', aim: 'Light it.', story: '', homework: '' };
  const sheet = patternSheet('strings');
  const printed = (level: Level, more: object = {}) =>
    text(
      <StudentSheet
        words={{ ...words, level, ...more }}
        sheet={sheet}
        style={DEFAULT_STYLE}
        own={{}}
        diagram={diagramOf(sheet.circuit)}
      />,
    );

  it.each(LEVELS)('at “%s” lists every part, and a place to write for every checkpoint', (level) => {
    const page = printed(level);
    for (const { each, spec } of sheet.kit.lines) {
      if (spec.kind === 'resistor')
        expect(page).toContain(`${each} × resistor ${formatOhms(spec.ohms).replaceAll(THIN, ' ')}`);
    }
    expect(page.match(/across R\d one probe/gu)).toHaveLength(
      sheet.expected.points.filter(({ id }) => id.startsWith('R')).length,
    );
    expect(page).not.toMatch(/undefined|NaN/u);
  });

  it('keeps what comes out below the fold', () => {
    for (const level of LEVELS) {
      const [above, below] = printed(level).split('Fold back along this line');
      const [point] = sheet.expected.points;
      const band = `${formatQuantity(point!.low, point!.unit)} – ${formatQuantity(point!.high, point!.unit)}`;
      expect(above).not.toContain(band.replaceAll(THIN, ' '));
      expect(below!.includes(band.replaceAll(THIN, ' '))).toBe(level !== 'no mathematics');
      expect(below).toContain('blue, bright');
    }
  });

  it('has mathematics only where it is given', () => {
    expect(printed('no mathematics')).not.toContain('÷');
    expect(printed('card')).toContain('÷ 8 mA');
    expect(printed('full working')).toContain('solved in the whole circuit');
  });

  it('sets the educator’s homework, or else the pattern’s', () => {
    expect(printed('card')).toContain('At home: Four red lamps on a USB port');
    expect(printed('card', { homework: 'Draw the quay.' })).toContain('At home: Draw the quay.');
  });
});

describe('around a lesson', () => {
  it('what comes before it is the lesson of the course that does it, or said to be missing', () => {
    const course = [{ id: 7, title: 'Pier lamp', pattern: 'single' as const, place: 1 }];
    const markup = renderToStaticMarkup(<ComesAfter pattern="dimmer" course={course} />);
    expect(markup).toContain('href="/lessons/7"');
    expect(markup).toMatch(/Walk down.*no lesson before this one does it yet/u);
    expect(text(<ComesAfter pattern="single" course={[]} />)).toContain('a course can begin with it');
  });

  it('its time adds up, and building is the card’s', () => {
    const { time, minutes } = sheetWith();
    const page = text(<TimeSection time={time} />);
    const shown = [...page.matchAll(/(\d+) min/gu)].map(([, figure]) => Number(figure));
    expect(shown).toHaveLength(5);
    expect(shown[1]).toBe(Math.round(minutes));
    expect(shown[4]).toBe(shown.slice(0, 4).reduce((sum, figure) => sum + figure, 0));
  });

  it('younger hands take longer over building and checking, not over the talk', () => {
    const young = sheetWith({}, { ageGroup: '8–9' }).time;
    const old = sheetWith({}, { ageGroup: '13 and up' }).time;
    expect(young.build).toBeGreaterThan(old.build);
    expect(young.check).toBeGreaterThan(old.check);
    expect(young.talk).toBe(old.talk);
  });

  it('what it wants besides its circuit stands in fields with names', () => {
    const extras = [{ name: 'jar', each: 2, use: 'Stand it over the lamp' }];
    const markup = renderToStaticMarkup(<ExtrasSection extras={extras} onExtras={nothing} />);
    for (const label of ['Thing 1', 'Number of jar for one student', 'What is done with jar'])
      expect(markup).toContain(`aria-label="${label}"`);
    expect(markup).toContain('value="Stand it over the lamp"');
  });
});

describe('extras', () => {
  const extras = [
    { name: 'jar', each: 2, use: 'Stand them over the lamp.' },
    { name: 'string', each: 1, use: '' },
  ];
  const stock = [{ spec: { kind: 'thing' as const, name: 'jar' }, have: 10, packSize: 6, packCents: 300 }];
  const sheet = sheetWith({}, { extras, stock, students: 10 });

  it('are counted, bought and paid for like any other part', () => {
    const jar = sheet.kit.lines.find(({ key }) => key === 'thing jar')!;
    expect(jar).toMatchObject({ each: 2, forGroup: 20, have: 10, eachCents: 100, packSize: 6 });
    expect(jar.short).toBe(20 + jar.spares - 10);
    expect(jar.packs).toBe(Math.ceil(jar.short / 6));
    expect(sheet.kit.unpriced).toContain('thing string');
  });

  it('are fitted last where something is done with them, and add their minutes', () => {
    const last = sheet.steps[sheet.steps.length - 1]!;
    expect(last).toMatchObject({ action: 'fit-extra', extra: 'jar', each: 2 });
    expect(sheet.steps.filter(({ action }) => action === 'fit-extra')).toHaveLength(1);
    expect(sheet.minutes - sheetWith({}, { students: 10 }).minutes).toBeCloseTo(last.minutes, 9);
  });
});

describe('batteries that were read', () => {
  const battery = {
    id: 4,
    name: 'box 3',
    kind: 'aa-alkaline' as const,
    cells: 3,
    volts: 4.38,
    ohms: 0.94,
    measuredAt: '2026-11-20T10:00:00.000Z',
  };
  const words = (supply: SupplyChoice) =>
    text(
      <Batteries value={[battery]}>
        <SupplyWords
          supply={supply}
          problems={{ of: () => nothing, notes: null } as never}
          onChange={nothing}
        />
      </Batteries>,
    );

  it('can be chosen by name for a supply of their kind', () => {
    expect(words({ kind: 'aa-alkaline', cells: 2, age: 'fresh' })).toContain('box 3, read 4.38 V');
    expect(words({ kind: 'block-9v', cells: 1, age: 'fresh' })).not.toContain('box 3');
  });

  it('are listed with what they were read at and how much of them is spent', () => {
    const page = text(<BatteryTable batteries={[battery]} />);
    expect(page).toContain('box 3 3 AA cells 4.38 V 0.940 Ω');
    // 1.46 V a cell lies between the nominal 1.5 V (10 % spent) and the tired 1.2 V (70 %): 10 + 60 · 0.04/0.3 %.
    expect(page).toContain(' 18 % ');
  });
});

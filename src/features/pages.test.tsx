import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { requestWith, sheetWith } from '../../tests/support/sheets';
import { DEFAULT_STYLE, LAMP_TYPES, THIN, type SingleParams, BARE_SHELF } from '@/core';
import { CAUTION_WORDS } from '@/messages/cautions';
import { StatusMark, STATUS_WORDS, type Status } from '@/ui/StatusMark';
import { PrintedCard } from './print/PrintedCard';
import { PrintedChecks } from './print/PrintedChecks';
import { StageMargin } from './sheet/StageMargin';
import { ChecksStage } from './sheet/stages/ChecksStage';
import { KitStage } from './sheet/stages/KitStage';
import { PartsStage } from './sheet/stages/PartsStage';
import { StepsStage } from './sheet/stages/StepsStage';
import { LoopWork } from './sheet/families/LoopWork';

jest.mock('@/workers/client', () => jest.requireActual('../../tests/support/inProcess'));

/** A kit that no group is chosen for. */
const KIT = { groups: [], nextGroup: undefined, request: requestWith() };
const text = (element: ReactElement) =>
  renderToStaticMarkup(element)
    .replaceAll(THIN, ' ')
    .replace(/<!-- -->/gu, '')
    .replace(/<[^>]+>/gu, ' ')
    .replace(/&#x27;|&#39;/gu, "'")
    .replace(/\s+/gu, ' ');

/** Lessons of every supply and lamp that go together. */
const LESSONS: readonly Partial<SingleParams>[] = [
  {},
  { side: 'minus' },
  { supply: { kind: 'usb', cells: 1, age: 'nominal' }, lamp: 'blue', amps: 0.012 },
  { supply: { kind: 'block-9v', cells: 1, age: 'fresh' }, lamp: 'yellow', amps: 0.008 },
  { supply: { kind: 'aa-nimh', cells: 4, age: 'nominal' }, lamp: 'green', amps: 0.009 },
  { supply: { kind: 'coin-20mm', cells: 1, age: 'fresh' }, lamp: 'red', amps: 0.002 },
  { supply: { kind: 'lead-acid-12v', cells: 1, age: 'nominal' }, lamp: 'white', amps: 0.015 },
  { supply: { kind: 'bench', cells: 1, age: 'fresh', volts: 7.5, limitAmps: 0.1 }, lamp: 'violet' },
  { supply: { kind: 'rail-3v3', cells: 1, age: 'nominal' }, lamp: 'infrared', amps: 0.02 },
];

describe.each(LESSONS.map((params) => [JSON.stringify(params), params] as const))(
  'lesson %s',
  (_name, params) => {
    const sheet = sheetWith(params);
    const card = text(<PrintedCard title="Any lamp" story="" sheet={sheet} />);

    it('names on its printed card every part, value and hole of the plan, and no other hole', () => {
      for (const { part, legs } of sheet.plan.placements) {
        if (part !== 'B1') expect(card).toContain(part);
        for (const hole of Object.values(legs)) {
          const rail = /^L([+-])(\d+)$/u.exec(hole);
          expect(card).toContain(
            rail ? `left ${rail[1] === '+' ? '+' : '−'} rail beside row ${rail[2]}` : hole,
          );
        }
      }
      const planned = new Set(sheet.plan.placements.flatMap((p) => Object.values(p.legs)));
      for (const [hole] of card.matchAll(/\b[a-j]\d{1,2}\b/gu)) expect([...planned]).toContain(hole);
    });

    it('says one resistor value everywhere', () => {
      const sums = text(<LoopWork sums={sheet.sums} loop={sheet.loop} style={DEFAULT_STYLE} />);
      const parts = text(<PartsStage sheet={sheet} style={DEFAULT_STYLE} shelf={BARE_SHELF} />);
      const kit = text(
        <KitStage
          {...KIT}
          sheet={sheet}
          style={DEFAULT_STYLE}
          csvHref="/k"
          extras={[]}
          onExtras={() => undefined}
        />,
      );
      const steps = text(
        <StepsStage
          sheet={sheet}
          title="Any lamp"
          printHref="/p"
          at={sheet.steps.findIndex(({ id }) => id === 'R1')}
          onAt={() => undefined}
          onSingle={() => undefined}
        />,
      );
      const value = /R1, ([\d.]+ [kM]?Ω),/u.exec(card)![1]!;
      for (const page of [sums, parts, kit, steps]) expect(page).toContain(value);
    });

    it('prints every caution that applies', () => {
      for (const { code } of sheet.cautions) expect(card).toContain(CAUTION_WORDS[code].replaceAll('’', '’'));
    });

    it('gates with the band that the checks show', () => {
      const checks = text(<ChecksStage sheet={sheet} rough={false} printHref="/p" />);
      const [, low, high] = /Across R1 the meter reads ([\d.]+ m?V) to ([\d.]+ m?V)\./u.exec(card)!;
      expect(checks).toContain(`${low} – ${high}`);
    });
  },
);

describe('the check sheet', () => {
  const sheet = sheetWith();
  const students = [
    { id: 1, bench: 3, nickname: 'Wren' },
    { id: 2, bench: 7, nickname: 'Fenn' },
  ];

  it('has a row to write in for each bench, bands in the heads, and where the probes go', () => {
    const page = text(
      <PrintedChecks title="Pier lamp" sheet={sheet} group="Tern" onDate="2026-12-01" students={students} />,
    );
    expect(page.replaceAll(' ,', ',')).toContain('Pier lamp: check sheet, Tern, Tuesday 1 December 2026');
    expect(page).toContain('3 Wren');
    expect(page).toContain('7 Fenn');
    expect(page).toMatch(/across R1 , V 2\.6\d – 3\.1\d/u);
    expect(page).toMatch(/current , mA 7\.\d\d – 9\.\d\d/u);
    expect(page).toContain(
      'open the loop at the plus of B1 and put the meter on its 20 mA range into the gap',
    );
  });

  it('has a row for each student of the kit without a group', () => {
    const markup = renderToStaticMarkup(
      <PrintedChecks title="x" sheet={sheet} group="" onDate={undefined} students={[]} />,
    );
    expect(markup.match(/write-row/gu)).toHaveLength(sheet.kit.students);
  });
});

describe('the kit', () => {
  it('tells the very loss rates that its spares were counted with', () => {
    const sheet = sheetWith();
    const page = text(
      <KitStage
        {...KIT}
        sheet={sheet}
        style={DEFAULT_STYLE}
        csvHref="/k"
        extras={[]}
        onExtras={() => undefined}
      />,
    );
    for (const { lossRate } of sheet.kit.lines)
      expect(page).toContain(`${Math.round(lossRate * 100)} % of its`);
    expect(page).toContain('6 % of its lamps');
    const usb = sheetWith({ supply: { kind: 'usb', cells: 1, age: 'nominal' } });
    expect(
      text(
        <KitStage
          {...KIT}
          sheet={usb}
          style={DEFAULT_STYLE}
          csvHref="/k"
          extras={[]}
          onExtras={() => undefined}
        />,
      ),
    ).not.toContain('of its cells');
  });
});

describe('the margin of a lesson', () => {
  const margin = (more: Partial<Parameters<typeof StageMargin>[0]> = {}) =>
    text(
      <StageMargin
        stage="sums"
        sheet={sheetWith()}
        sessions={[]}
        trial={false}
        onStage={() => undefined}
        {...more}
      />,
    );

  it('gives each stage its headline figure', () => {
    const page = margin({ sessions: [{ id: 1, groupId: 3, groupName: 'Tern', onDate: '2026-12-01' }] });
    for (const figure of [
      '330 Ω → 8.85 mA',
      '7 steps, 10 min',
      '4 points',
      'half board, 3 pieces',
      'for 14, up to',
      'Tern, Tue 1 Dec',
    ]) {
      expect(page).toContain(figure);
    }
  });

  it('shows dashes while the wishes cannot be met', () => {
    expect(margin({ sheet: undefined })).toContain('Sums –');
    expect(margin({ sheet: undefined })).toContain('no group yet');
  });

  it('marks a plan on trial and a kit that is short', () => {
    const marks = (trial: boolean) =>
      renderToStaticMarkup(
        <StageMargin
          stage="sums"
          sheet={sheetWith()}
          sessions={[]}
          trial={trial}
          onStage={() => undefined}
        />,
      ).match(/aria-label="off"/gu)?.length;
    expect(marks(true)).toBe(marks(false)! + 1);
  });
});

describe('status marks', () => {
  it('differ by shape, and say their word', () => {
    const shapes = (Object.keys(STATUS_WORDS) as Status[]).map((status) => {
      const markup = renderToStaticMarkup(<StatusMark status={status} />);
      expect(markup).toContain(`aria-label="${STATUS_WORDS[status]}"`);
      return markup.replace(/var\(--\w+\)/gu, '').replace(/aria-label="[^"]*"/u, '');
    });
    expect(new Set(shapes).size).toBe(4);
  });
});

describe('sums for every lamp', () => {
  it.each(LAMP_TYPES)('%s: the volts add up and the working ends at the solved current', (lamp) => {
    // A tired block: what it loses inside itself shows.
    const sheet = sheetWith({ lamp, supply: { kind: 'block-9v', cells: 1, age: 'tired' }, amps: 0.015 });
    const { design, supplyFigures } = sheet.sums;
    const { volts } = design.hottest!;
    expect(volts + design.lamps[0]!.volts + design.amps * supplyFigures.ohms).toBeCloseTo(
      supplyFigures.volts,
      9,
    );
    expect(volts / sheet.loop.chosen).toBeCloseTo(design.amps, 12);
    const page = text(<LoopWork sums={sheet.sums} loop={sheet.loop} style={DEFAULT_STYLE} />);
    const [, parts, total] = /the volts add up (.*?) inside the supply ([\d.]+) V/u.exec(page)!;
    const sum = [...parts!.matchAll(/([\d.]+) (m?)V/gu)].reduce(
      (all, [, figure, milli]) => all + Number(figure) * (milli ? 1e-3 : 1),
      0,
    );
    expect(Math.abs(sum - Number(total))).toBeLessThan(0.015);
    expect(page).toContain('full rated 20 mA');
  });
});

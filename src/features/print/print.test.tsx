import { renderToStaticMarkup } from 'react-dom/server';
import { patternSheet } from '../../../tests/support/sheets';
import { cardSections, DEFAULT_STYLE, THIN } from '@/core';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';
import { PrintedCard } from './PrintedCard';
import { PrintedChecks } from './PrintedChecks';
import { StudentSheet } from './StudentSheet';
import { sumsAt } from '@/messages/levels';

const markupOf = (element: React.ReactElement) => renderToStaticMarkup(element).replaceAll(THIN, ' ');
const plain = (markup: string) => markup.replace(/<[^>]+>/gu, ' ').replace(/\s+/gu, ' ');
const CASES = [
  ['single', 'half'],
  ['strings', 'half'],
  ['gauge', 'full'],
  ['coin-light', 'card'],
  ['panel', 'strip'],
] as const;

describe.each(CASES)('the printed card of %s on %s', (pattern, board) => {
  const sheet = patternSheet(pattern, {}, board);
  const markup = markupOf(<PrintedCard title="Harbour" story="At dusk." sheet={sheet} />);

  it('says its cautions before its first step', () => {
    const first = markup.indexOf('<ol');
    const start = sheet.cautions.filter(({ place }) => place === 'start' || place === 'kit');
    expect(start.length).toBeGreaterThan(0);
    for (const { code } of start) {
      const at = markup.indexOf(CAUTION_WORDS[code].slice(0, 30));
      expect(at).toBeGreaterThan(0);
      expect(at).toBeLessThan(first);
    }
  });

  it('has a picture for every section, and in it what stands by then', () => {
    const sections = cardSections(sheet.steps);
    const pictures = markup.split('<section class="card-section">').slice(1);
    expect(pictures).toHaveLength(sections.length);
    for (const picture of pictures) expect(picture.indexOf('<svg')).toBeLessThan(picture.indexOf('<ol'));
    expect(pictures[0]).toContain('The board after step');
  });

  it('has every step with its number, and says nothing twice but its title', () => {
    const starts = [...markup.matchAll(/<ol[^>]*start="(\d+)"/gu)].map((match) => Number(match[1]));
    const items = markup.match(/<li[ >]/gu)!.length;
    expect(items).toBe(sheet.steps.length);
    expect(starts[0]).toBe(1);
    const words = plain(markup);
    const details = sheet.steps
      .filter((step) => !('gate' in step))
      .map((step) => stepWords(step, sheet).detail);
    for (const detail of new Set(details.map((one) => one.replaceAll(THIN, ' ')))) {
      if (detail.length > 12) expect(words.split(detail)).toHaveLength(2);
    }
  });

  it('is set large for those who read from afar, cautions and all', () => {
    const large = markupOf(<PrintedCard title="Harbour" story="" sheet={sheet} large />);
    expect(large).toContain('class="printed large"');
    expect(large.match(/<li[ >]/gu)).toHaveLength(sheet.steps.length);
  });
});

describe('the students’ sheet', () => {
  it('has its cautions before its aim', () => {
    const sheet = patternSheet('single');
    const words = { title: 'Pier', aim: 'Light one lamp.', story: '', homework: '', level: 'card' as const };
    const page = plain(
      markupOf(
        <StudentSheet words={words} sheet={sheet} style={DEFAULT_STYLE} own={{}} diagram={undefined} />,
      ),
    );
    const caution = page.indexOf(CAUTION_WORDS[sheet.cautions[0]!.code].slice(0, 30));
    expect(caution).toBeGreaterThan(0);
    expect(caution).toBeLessThan(page.indexOf('Light one lamp.'));
  });

  // Every lesson has a working of its own: times, pulses, tables, light, beams, sound.
  it.each([
    ['blink', 'U1: R1, R2 and C1'],
    ['tone', 'U1: R1'],
    ['pulsed', 'Peak and mean'],
    ['rgb', 'R1'],
    ['sequence', 'The sum of its times'],
    ['light-switch', 'The light at which it switches'],
    ['dusk-controller', 'The readings between which it decides'],
    ['beam-alarm', 'The beam'],
    ['sound-lights', 'The first stage'],
  ] as const)('prints the whole working of %s where it is asked for', (pattern, title) => {
    const sheet = patternSheet(pattern);
    const words = { title: 'Pier', aim: '', story: '', homework: '', level: 'full working' as const };
    const page = plain(
      markupOf(
        <StudentSheet words={words} sheet={sheet} style={DEFAULT_STYLE} own={{}} diagram={undefined} />,
      ),
    );
    expect(page).toContain(title);
    for (const { lines } of sumsAt('full working', sheet))
      for (const { name, figure } of lines) {
        expect(page).toContain(plain(name));
        expect(page).toContain(plain(figure.replaceAll(THIN, ' ')));
      }
  });
});

describe('the check sheet', () => {
  const rows = (students: readonly { id: number; bench: number; nickname: string }[]) =>
    markupOf(
      <PrintedChecks
        title="Pier"
        sheet={patternSheet('single')}
        group=""
        onDate={undefined}
        students={students}
      />,
    ).match(/class="write-row"/gu)!.length;

  it('has a row for every student of the group, or for as many as the kit is for', () => {
    expect(rows(Array.from({ length: 22 }, (_, id) => ({ id, bench: id + 1, nickname: 'W' })))).toBe(22);
    expect(rows([])).toBe(patternSheet('single').kit.students);
  });
});

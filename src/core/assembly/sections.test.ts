import { patternSheet, ROUGH } from '../../../tests/support/sheets';
import { PATTERN_IDS } from '../patterns';
import { cardSections } from './sections';
import { isStop, type Step } from './step';

const BOARD = { panel: 'strip', 'lamp-cover': 'pad', 'coin-light': 'card' } as const;

describe.each(PATTERN_IDS)('the sections of a card for %s', (pattern) => {
  const { steps } = patternSheet(pattern, {}, BOARD[pattern as keyof typeof BOARD] ?? 'full', ROUGH);
  const sections = cardSections(steps);

  it('have every step once, in its order', () => {
    expect(sections.flat()).toEqual(steps);
  });

  it('end with a test, but for what is fitted last', () => {
    for (const section of sections.slice(0, -1)) expect(section.some(isStop)).toBe(true);
  });

  it('are long enough to want a picture of their own', () => {
    for (const section of sections.slice(1)) expect(section.length).toBeGreaterThanOrEqual(4);
  });
});

describe('a card without a test', () => {
  it('is one section', () => {
    const step = (id: string) => ({ id, action: 'cut-strip', minutes: 1 }) as unknown as Step;
    expect(cardSections([step('a'), step('b')])).toHaveLength(1);
    expect(cardSections([])).toEqual([]);
  });
});

import { patternSheet, ROUGH } from '../../../tests/support/sheets';

const things = (...asked: Parameters<typeof patternSheet>) =>
  patternSheet(...asked).kit.lines.flatMap(({ spec }) => (spec.kind === 'thing' ? [spec.name] : []));

/** Near, in the dusk: it needs neither. */
const BARE = { lamp: 'white', amps: 0.01, metres: 0.1, lens: false, hood: false, room: 'dusk' } as const;

describe('what a lesson asks for beside its circuit', () => {
  it('is in its kit: hood, lens and the leads of a lamp that stands apart', () => {
    expect(things('beam-alarm', {}, 'full', ROUGH)).toEqual([
      'hood for the light sensor',
      'lens for the lamp',
      'pair of long leads for the lamp',
    ]);
    expect(things('beam-alarm', { beam: BARE }, 'full', ROUGH)).toEqual(['pair of long leads for the lamp']);
  });

  it('is nothing for one lamp in a room', () => {
    expect(things('single', {}, 'half', ROUGH)).toEqual([]);
  });
});

describe('pins that a board does not have', () => {
  it('are all named, each with another one that is free', () => {
    const lamps = [44, 45, 9].map((pin) => ({ lamp: 'red', pin }) as const);
    try {
      patternSheet('sequence', { lamps, columns: [44, 45, 9] }, 'half', ROUGH);
      throw new Error('not refused');
    } catch (error) {
      const text = String((error as Error).message);
      expect(text).toContain('44');
      expect(text).toContain('45');
    }
  });
});

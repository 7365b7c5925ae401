import fc from 'fast-check';
import { bandQuestion, judgeBands } from './bandDrill';
import { bandsFor, readBands } from './bands';

const DRAWER = [10, 47, 68, 150, 220, 330, 470, 1000, 2200, 4700, 10_000, 100_000];
const question = (ohms: number, count: 4 | 5 = 4) => ({
  ohms,
  bands: bandsFor(ohms, count, count === 4 ? 0.05 : 0.01)!,
});

describe('a drill of bands', () => {
  it('asks values of the drawer, as they are printed, the same ones for the same seed', () => {
    fc.assert(
      fc.property(
        fc.integer(),
        fc.nat(500),
        fc.constantFrom(4 as const, 5 as const),
        (seed, number, count) => {
          const asked = bandQuestion(DRAWER, count, seed, number)!;
          expect(DRAWER).toContain(asked.ohms);
          expect(asked.bands).toHaveLength(count);
          expect(readBands(asked.bands)!.ohms).toBe(asked.ohms);
          expect(bandQuestion(DRAWER, count, seed, number)).toEqual(asked);
        },
      ),
      { seed: 3 },
    );
  });

  it('comes round to every value', () => {
    const asked = new Set(Array.from({ length: 200 }, (_, n) => bandQuestion(DRAWER, 4, 1, n)!.ohms));
    expect(asked.size).toBe(DRAWER.length);
  });

  it('has no question where nothing can be written', () => {
    expect(bandQuestion([], 4, 1, 0)).toBeUndefined();
    expect(bandQuestion([332], 4, 1, 0)).toBeUndefined();
    expect(bandQuestion([332], 5, 1, 0)!.ohms).toBe(332);
  });

  it.each([
    [330, 330, 'right'],
    [330, 33, 'wrong multiplier'],
    [330, 3300, 'wrong multiplier'],
    [470, 740, 'digits exchanged'],
    [220, 270, 'wrong'],
  ] as const)('says of %d Ω read as %d Ω: %s', (ohms, answer, verdict) => {
    expect(judgeBands(question(ohms), answer)).toBe(verdict);
  });

  it('knows five bands read from the wrong end', () => {
    // Brown, black, black, black, brown is 1 kΩ either way; 220 Ω backwards is 1,002 with a red multiplier.
    const backwards = readBands([...question(220, 5).bands].reverse())!.ohms;
    expect(judgeBands(question(220, 5), backwards)).toBe('read from the wrong end');
    expect(judgeBands(question(1000, 5), 1000)).toBe('right');
  });
});

import { patternSheet, ROUGH, sheetWith } from '../../../tests/support/sheets';
import { PATTERN_IDS } from '../patterns/index';
import { goalsOf } from './goals';
import { ownSums } from '../../../tests/support/ownSums';

describe('a lesson’s aim', () => {
  it.each(PATTERN_IDS)('is met by %s as it starts', (pattern) => {
    const { goals } = patternSheet(pattern, {}, 'full', ROUGH);
    expect(goals.filter(({ met }) => !met)).toEqual([]);
    expect(goals.map(({ code }) => code)).toEqual(expect.arrayContaining(['within-limit', 'board-makes-it']));
  });

  it('is missed where a tired supply cannot light a lamp, and only there', () => {
    const weak = sheetWith({
      lamp: 'blue',
      supply: { kind: 'aa-alkaline', cells: 2, age: 'fresh' },
      amps: 0.001,
    });
    const lit = weak.goals.filter(({ code }) => code === 'all-lit').map(({ age, met }) => [age, met]);
    expect(lit[0]).toEqual(['fresh', true]);
    expect(lit[2]).toEqual(['tired', false]);
    expect(weak.goals.find(({ age }) => age === 'tired')!.parts).toEqual(['D1']);
  });

  it('is missed by a lamp above its limit, which is named', () => {
    const red = patternSheet('coin-light', { lamp: 'red', resistor: false });
    const limit = red.goals.find(({ code }) => code === 'within-limit')!;
    expect(limit).toMatchObject({ met: false, parts: ['D1'] });
  });

  it('is missed where a tired pack leaves a chip under the volts that it starts at', () => {
    // Three times 1.20 V less what the chip draws through 1.5 Ω is under the 4.5 V of a bipolar chip; four fresh cells are not.
    const { goals } = patternSheet(
      'one-shot',
      { supply: { kind: 'aa-alkaline', cells: 4, age: 'fresh' } },
      'full',
      ROUGH,
    );
    const starved = goals
      .filter(({ code }) => code === 'chips-fed')
      .map(({ age, met, parts }) => [age, met, parts]);
    expect(starved[0]).toEqual(['fresh', true, []]);
    const weak = patternSheet(
      'one-shot',
      { supply: { kind: 'aa-alkaline', cells: 3, age: 'fresh' } },
      'full',
      ROUGH,
    );
    expect(weak.goals.find(({ code, age }) => code === 'chips-fed' && age === 'tired')).toMatchObject({
      met: false,
      parts: ['U1'],
    });
  });

  it('is missed by unlike lamps that share after all, and by rungs out of order', () => {
    const hogging = patternSheet('hogging', { lamps: ['red', 'red'] });
    expect(hogging.goals.find(({ code }) => code === 'one-takes-all')).toMatchObject({ met: false });
    const { sums } = patternSheet('gauge', {}, 'full');
    const rungs = [...ownSums(sums).rungs!].reverse();
    const turned = { ...sums, own: { family: 'gauge', rungs } as const };
    expect(goalsOf('gauge', turned, true)[0]).toMatchObject({ code: 'lights-in-order', met: false });
  });

  it('is missed by a board that makes another circuit', () => {
    const { sums } = sheetWith();
    expect(goalsOf('single', sums, false).find(({ code }) => code === 'board-makes-it')!.met).toBe(false);
  });
});

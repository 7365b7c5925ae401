import { LESSONS } from '../../demo/lessons';
import { speaksOfMains } from './mains';

describe('a lesson’s own words', () => {
  it.each([
    ['Wire the lamp to the mains.', 'mains'],
    ['Then plug it into a wall socket', 'wall socket'],
    ['We light it at 230 V.', '230 V'],
    ['Take 110 volts from the ceiling rose.', '110 volts'],
  ])('%s is refused by what it says', (text, words) => {
    expect(speaksOfMains([text])).toMatchObject([{ code: 'mains-in-text', data: { words } }]);
  });

  it.each([
    'Nothing here connects to mains.',
    'Twelve isolated volts in place of the mains lamp.',
    'Never open anything that plugs into a wall socket.',
    'The remains of the tape go into the box.',
    'A resistor of 230 Ω, and 12 V.',
    '',
  ])('“%s” may stand', (text) => {
    expect(speaksOfMains([text])).toEqual([]);
  });

  it('of the model harbour may all stand', () => {
    for (const { aim, story, notes, homework } of LESSONS) {
      expect(speaksOfMains([aim, story, notes, homework])).toEqual([]);
    }
  });
});

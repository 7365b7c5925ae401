import { LAMP_TYPES, LAMPS } from '../catalogue/lamps';
import { Junction } from '../devices/junction';
import { identifyLamp } from './identifyLamp';

describe('an unknown lamp', () => {
  it.each(LAMP_TYPES)('of sort %s is among those that its own reading fits, and the nearest', (type) => {
    for (const amps of [0.001, 0.007, 0.02]) {
      const guesses = identifyLamp(LAMPS, new Junction(LAMPS[type]).voltsAt(amps), amps);
      expect(guesses).toHaveLength(LAMP_TYPES.length);
      expect(guesses.find((guess) => guess.type === type)!.fits).toBe(true);
      expect(guesses[0]!.volts).toBeCloseTo(new Junction(LAMPS[type]).voltsAt(amps), 9);
    }
  });

  it('at the current of the table has the batch of the table', () => {
    const red = identifyLamp(LAMPS, 1.95, LAMPS.red.at).find(({ type }) => type === 'red')!;
    expect(red.low).toBeCloseTo(LAMPS.red.vfLow, 9);
    expect(red.high).toBeCloseTo(LAMPS.red.vfHigh, 9);
    expect(red.volts).toBeCloseTo(LAMPS.red.vf, 9);
  });

  it('is no blue one at 1.9 V, and none of the store at 5 V', () => {
    const fitting = identifyLamp(LAMPS, 1.9, 0.007).flatMap(({ type, fits }) => (fits ? [type] : []));
    expect(fitting).toContain('red');
    expect(fitting).not.toContain('blue');
    expect(identifyLamp(LAMPS, 5, 0.007).some(({ fits }) => fits)).toBe(false);
  });
});

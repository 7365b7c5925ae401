import fc from 'fast-check';
import { LAMPS, LAMP_TYPES } from '../catalogue/lamps';
import { THERMAL_VOLTS } from '../quantities/constants';
import { fitSeriesOhms, Junction } from './junction';

describe('a junction with series ohms', () => {
  it('obeys its two equations at any voltage', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LAMP_TYPES),
        fc.double({ min: 0.2, max: 60, noNaN: true }),
        (type, volts) => {
          const { vf, at, n, rs } = LAMPS[type];
          const junction = new Junction(LAMPS[type]);
          junction.evaluate(volts);
          const leak = 1e-12 * volts;
          const amps = junction.amps - leak;
          const saturation = at / Math.expm1((vf - rs * at) / (n * THERMAL_VOLTS));
          const back = rs * amps + n * THERMAL_VOLTS * Math.log1p(amps / saturation);
          if (amps > 1e-12) expect(back).toBeCloseTo(volts, 7);
        },
      ),
    );
  });

  it('blocks in reverse but for its leakage', () => {
    const junction = new Junction(LAMPS.red);
    junction.evaluate(-5);
    expect(Math.abs(junction.amps)).toBeLessThan(1e-11);
  });

  it('gives the volts of a current and the current of those volts', () => {
    const junction = new Junction(LAMPS.blue);
    for (const amps of [1e-6, 1e-3, 0.01, 0.02, 0.1]) {
      junction.evaluate(junction.voltsAt(amps));
      expect(junction.amps / amps).toBeCloseTo(1, 5);
    }
  });

  it('finds its series ohms from two measured points', () => {
    const junction = new Junction(LAMPS.white);
    const point = (amps: number) => ({ volts: junction.voltsAt(amps), amps });
    expect(fitSeriesOhms(point(0.002), point(0.018), LAMPS.white.n)).toBeCloseTo(8, 6);
    expect(fitSeriesOhms({ volts: 2, amps: 0.001 }, { volts: 2, amps: 0.02 }, 1.7)).toBe(0);
  });
});

import { lampLoop } from '../../../tests/support/circuits';
import { worked } from '../../../tests/support/sheets';
import { LAMPS } from '../catalogue/lamps';
import { seriesValues } from '../catalogue/preferred';
import { Junction } from '../devices/junction';
import { THERMAL_VOLTS } from '../quantities/constants';
import { solve } from '../solver/solve';
import { fitLamp } from './fitLamp';
import { measuredBattery } from './measuredBattery';
import { whatIf, zoneOf } from './whatIf';

describe('what if the resistor were another', () => {
  const circuit = lampLoop(4.8, 0.45, 'red', 330);
  const made = whatIf(circuit, 'R1', 'D1', seriesValues('E12'));
  if (!made.ok) throw new Error('no curve');
  const curve = made.value;

  it('runs from a tenth to ten times, and falls all the way', () => {
    expect(curve.ohms[0]).toBeCloseTo(33, 9);
    expect(curve.ohms[curve.ohms.length - 1]).toBeCloseTo(3300, 6);
    for (let i = 1; i < curve.amps.length; i++) expect(curve.amps[i]!).toBeLessThan(curve.amps[i - 1]!);
  });

  it('reaches down to where the lamp is overdriven, however large the resistor is', () => {
    const high = whatIf(lampLoop(4.8, 0.45, 'red', 10_000), 'R1', 'D1', seriesValues('E12'));
    expect(high.ok && high.value.stocked[0]!.zone).toBe('ruin');
    expect(high.ok && high.value.ohms[0]).toBeLessThan(150);
  });

  it('gives at every stocked value what the circuit gives with it', () => {
    for (const { ohms, amps } of curve.stocked) {
      const solved = solve(lampLoop(4.8, 0.45, 'red', ohms));
      expect(solved.ok && amps / solved.value.parts['D1']!.amps).toBeCloseTo(1, 3);
    }
    expect(curve.stocked.map(({ ohms }) => ohms)).toEqual(
      seriesValues('E12').filter((ohms) => ohms >= 33 && ohms <= 3300),
    );
  });

  it('knows its zones by the lamp’s continuous maximum', () => {
    expect([0.01, 0.0159, 0.016, 0.02, 0.021].map((amps) => zoneOf(amps, 0.02))).toEqual([
      'comfortable',
      'comfortable',
      'limit',
      'limit',
      'ruin',
    ]);
    expect(curve.stocked[0]!.zone).toBe('ruin');
    expect(curve.stocked[curve.stocked.length - 1]!.zone).toBe('comfortable');
  });

  it('tells of a build that moves what its lamp carries while it is lit', () => {
    const { design, sums } = worked('blink');
    const [sum] = sums.strings;
    const blinks = whatIf(design.circuit, sum!.resistor, 'D1', [sum!.chosen, 2 * sum!.chosen]);
    if (!blinks.ok) throw new Error('no curve');
    const [own, half] = blinks.value.stocked;
    expect(own!.amps / sums.design.lamps[0]!.peak).toBeCloseTo(1, 2);
    expect(half!.amps / own!.amps).toBeGreaterThan(0.48);
    expect(half!.amps / own!.amps).toBeLessThan(0.58);
  });

  it('names what is no resistor or lamp', () => {
    expect(whatIf(circuit, 'D1', 'D1', [])).toMatchObject({ ok: false, findings: [{ code: 'not-of-kind' }] });
    expect(whatIf(circuit, 'R1', 'R1', [])).toMatchObject({ ok: false, findings: [{ code: 'not-of-kind' }] });
  });
});

describe('a lamp fitted to measured points', () => {
  const off = (lamp: keyof typeof LAMPS, amps: number) => new Junction(LAMPS[lamp]).voltsAt(amps);

  it('gives the table back when the points lie on its curve', () => {
    for (const type of ['red', 'green', 'white'] as const) {
      const points = [0.002, 0.015].map((amps) => ({ amps, volts: off(type, amps) }));
      const fitted = fitLamp(LAMPS[type], points);
      expect(fitted.rs).toBeCloseTo(LAMPS[type].rs, 6);
      expect(fitted.vf).toBeCloseTo(LAMPS[type].vf, 6);
      expect(fitted.origin).toBe('measured');
    }
  });

  it('passes through its points, whatever they are', () => {
    const points = [
      { amps: 0.001, volts: 1.71 },
      { amps: 0.01, volts: 1.93 },
    ];
    const junction = new Junction(fitLamp(LAMPS.red, points));
    for (const { amps, volts } of points) expect(junction.voltsAt(amps)).toBeCloseTo(volts, 6);
  });

  it('shifts the whole curve for one point, spread and all', () => {
    const fitted = fitLamp(LAMPS.red, [{ amps: 0.02, volts: 2.05 }]);
    expect(fitted).toMatchObject({ vf: expect.closeTo(2.05, 9), rs: LAMPS.red.rs });
    expect(fitted.vfLow).toBeCloseTo(LAMPS.red.vfLow + 0.1, 9);
    expect(fitted.vfHigh).toBeCloseTo(LAMPS.red.vfHigh + 0.1, 9);
  });

  it('never makes the inner ohms negative, and leaves the lamp alone without points', () => {
    const step = LAMPS.red.n * THERMAL_VOLTS * Math.log(10);
    const points = [
      { amps: 0.001, volts: 1.8 },
      { amps: 0.01, volts: 1.8 + step - 0.02 },
    ];
    expect(fitLamp(LAMPS.red, points).rs).toBe(0);
    expect(fitLamp(LAMPS.red, [])).toBe(LAMPS.red);
  });
});

describe('a battery read twice', () => {
  const three = { kind: 'aa-alkaline', cells: 3, age: 'nominal' } as const;

  it('has its ohms from the sag: 4.50 V open, 4.41 V on 33 Ω', () => {
    const { volts, ohms } = measuredBattery(three, 4.5, 4.41, 33);
    expect(volts).toBe(4.5);
    expect(ohms).toBeCloseTo((33 * 0.09) / 4.41, 12);
  });

  it('is placed on its discharge by its open volts', () => {
    expect(measuredBattery(three, 4.5, 4.4, 33).spent).toBeCloseTo(0.1, 6);
    expect(measuredBattery(three, 3.6, 3.5, 33).spent).toBeCloseTo(0.7, 6);
    expect(measuredBattery(three, 4.8, 4.7, 33).spent).toBeCloseTo(0, 6);
    expect(measuredBattery({ kind: 'usb', cells: 1, age: 'nominal' }, 5, 4.9, 33).spent).toBeUndefined();
  });
});

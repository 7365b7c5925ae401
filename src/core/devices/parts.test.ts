import { circuitOf, ledPart, resistorPart, supplyPart } from '../../../tests/support/circuits';
import { ZENERS, ZENER_TYPES } from '../catalogue/zeners';
import { lightSensorOhms, LIGHT_SENSOR, SCENE_LUX, SCENES } from '../catalogue/light';
import { seriesValues } from '../catalogue/preferred';
import { TRANSISTORS } from '../catalogue/transistors';
import { solve, type Solved } from '../solver/solve';
import { SquareWave } from './wave';

function solved(parts: readonly object[]): Solved {
  const outcome = solve(circuitOf(parts));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.findings));
  return outcome.value;
}

/** Amps of one part straight across a source. */
function across(volts: number, part: object): number {
  return solved([supplyPart(volts, 0), { id: 'Z', ...part }]).parts['Z']!.amps;
}

describe('zeners', () => {
  it('are the E24 values from 5.1 to 15 V, and pass their test current at their volts', () => {
    const e24 = seriesValues('E24').filter((v) => v >= 5.1 && v <= 15);
    expect(ZENER_TYPES.map((type) => ZENERS[type].vz)).toEqual(e24);
    for (const type of ZENER_TYPES) {
      const { vz, iz, rz } = ZENERS[type];
      expect(across(vz, { kind: 'zener', type, pins: { anode: '0', cathode: 'plus' } })).toBeCloseTo(-iz, 6);
      expect(rz).toBe(vz > 10 ? 15 : 7);
    }
  });

  it('conduct forward as a diode, and next to nothing well below their knee', () => {
    const forward = across(0.75, { kind: 'zener', type: 'zener-9v1', pins: { anode: 'plus', cathode: '0' } });
    expect(forward).toBeCloseTo(0.01, 6);
    const below = across(6, { kind: 'zener', type: 'zener-9v1', pins: { anode: '0', cathode: 'plus' } });
    // What is left is the forward junction’s saturation current.
    expect(Math.abs(below)).toBeLessThan(1e-8);
  });
});

describe('lamps with a resistor inside', () => {
  it('are the plain lamp behind that resistor, at any supply', () => {
    for (const volts of [3, 6, 9, 12]) {
      const inside = solved([supplyPart(volts, 0.5), ledPart('D', 'plus', '0', 'green', { inside: 470 })]);
      const beside = solved([
        supplyPart(volts, 0.5),
        resistorPart('R', 'plus', 'n', 470),
        ledPart('D', 'n', '0', 'green'),
      ]);
      expect(inside.parts['D']!.amps).toBeCloseTo(beside.parts['D']!.amps, 10);
    }
  });
});

describe('light sensors', () => {
  it('fall with light by their power law, between dark and least', () => {
    const ohms = (lux: number) => 1 / across(1, { kind: 'ldr', lux, pins: { a: 'plus', b: '0' } });
    expect(ohms(10)).toBeCloseTo(15e3, 3);
    expect(ohms(100) / ohms(1000)).toBeCloseTo(10 ** 0.7, 6);
    expect(ohms(0)).toBeCloseTo(1e6, 3);
    expect(ohms(1e5)).toBeCloseTo(100, 6);
    for (const scene of SCENES) {
      expect(ohms(SCENE_LUX[scene])).toBeCloseTo(lightSensorOhms(LIGHT_SENSOR, SCENE_LUX[scene]), 3);
    }
  });
});

describe('transistors', () => {
  const switched = (polarity: 'npn' | 'pnp', baseOhms: number) => {
    const sense = polarity === 'npn' ? 1 : -1;
    return solved([
      supplyPart(9 * sense, 0),
      resistorPart('RB', 'plus', 'b', baseOhms),
      resistorPart('RC', 'plus', 'c', 470),
      { id: 'Q', kind: 'transistor', polarity, pins: { collector: 'c', base: 'b', emitter: '0' } },
    ]);
  };

  it.each(['npn', 'pnp'] as const)('saturate with enough base current, and are mirrors (%s)', (polarity) => {
    const { nodes, parts } = switched(polarity, 4700);
    expect(Math.abs(nodes['c']!)).toBeLessThan(0.15);
    expect(Math.abs(parts['Q']!.pins['base']!)).toBeGreaterThan(
      Math.abs(parts['Q']!.amps) / TRANSISTORS[polarity].betaF,
    );
    const { pins } = parts['Q']!;
    expect(pins['collector']! + pins['base']! + pins['emitter']!).toBeCloseTo(0, 12);
  });

  it('amplify by their gain where they are not saturated', () => {
    const { parts } = switched('npn', 1e6);
    expect(parts['Q']!.amps / parts['Q']!.pins['base']!).toBeCloseTo(200, 3);
  });

  it('survive a base straight on the supply, with a figure', () => {
    const { parts } = solved([
      supplyPart(4.5, 0.45),
      { id: 'Q', kind: 'transistor', pins: { collector: 'c', base: 'plus', emitter: '0' } },
      resistorPart('RC', 'plus', 'c', 100),
    ]);
    expect(parts['Q']!.pins['base']).toBeGreaterThan(5);
    expect(parts['Q']!.pins['base']).toBeLessThan(10);
  });
});

describe('capacitors and coils at rest', () => {
  it('are open, and their ohms', () => {
    const { parts } = solved([
      supplyPart(5, 0),
      { id: 'C', kind: 'capacitor', farads: 1e-4, polarised: true, pins: { a: 'plus', b: '0' } },
      { id: 'L', kind: 'inductor', henries: 0.1, ohms: 50, pins: { a: 'plus', b: '0' } },
    ]);
    expect(Math.abs(parts['C']!.amps)).toBeLessThan(1e-15);
    expect(parts['L']!.amps).toBeCloseTo(0.1, 9);
  });

  it('leak where an electrolytic is the wrong way round, and only beyond what it stands', () => {
    const reversed = (volts: number) =>
      across(volts, { kind: 'capacitor', farads: 1e-4, polarised: true, pins: { a: '0', b: 'plus' } });
    expect(Math.abs(reversed(1.4))).toBeLessThan(1e-12);
    expect(reversed(5)).toBeCloseTo(-0.01 * 3.5, 6);
    expect(
      Math.abs(across(5, { kind: 'capacitor', farads: 1e-4, pins: { a: '0', b: 'plus' } })),
    ).toBeLessThan(1e-12);
  });
});

describe('pins of a controller', () => {
  const pin = (more: object) =>
    solved([
      { id: 'P', kind: 'pin', pins: { pin: 'p', ground: '0' }, ...more },
      resistorPart('R', 'p', '0', 475),
    ]);

  it('stand at their level behind their ohms; an input draws nothing', () => {
    expect(pin({ drive: 'high' }).parts['R']!.amps).toBeCloseTo(0.01, 12);
    expect(pin({ drive: 'high' }).parts['P']!.amps).toBeCloseTo(-0.01, 12);
    expect(pin({ drive: 'low' }).nodes['p']).toBeCloseTo(0, 12);
    expect(pin({ drive: 'input' }).parts['P']!.amps).toBe(0);
    expect(pin({ drive: 'high', volts: 3.3, ohms: 25 }).nodes['p']).toBeCloseTo((3.3 * 475) / 500, 9);
  });
});

describe('waves with jumps', () => {
  it('jump at the end of their share and of each period, without drifting', () => {
    const wave = new SquareWave(490, 0.3);
    let time = 0;
    for (let period = 0; period < 5000; period++) {
      wave.enter(time);
      expect(wave.up).toBe(true);
      time = wave.nextJump();
      expect(time).toBeCloseTo((period + 0.3) / 490, 12);
      wave.enter(time);
      expect(wave.up).toBe(false);
      time = wave.nextJump();
      expect(time).toBeCloseTo((period + 1) / 490, 12);
    }
  });

  it('are entered anywhere, and never jump with a duty of nothing or all', () => {
    const wave = new SquareWave(10, 0.5);
    wave.enter(0.26);
    expect([wave.up, wave.nextJump()]).toEqual([false, 0.3]);
    for (const duty of [0, 1]) {
      const still = new SquareWave(10, duty);
      still.enter(0.123);
      expect([still.up, still.nextJump()]).toEqual([duty === 1, Infinity]);
    }
  });
});

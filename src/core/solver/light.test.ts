import { circuitOf, ledPart, resistorPart, supplyPart } from '../../../tests/support/circuits';
import type { Circuit } from '../circuit/circuit';
import { bands } from '../tolerance/bands';
import { solve } from './solve';
import { run } from './run/run';

/** One transistor with a lamp, its base held between a sensor and a resistor, either of them above. */
function lampOnItsSensor(sensor: 'above' | 'below', lux: number, luxPerAmp: number): Circuit {
  const [up, down] = [
    { a: 'plus', b: 'b' },
    { a: 'b', b: '0' },
  ];
  return circuitOf(
    [
      supplyPart(9, 1),
      {
        id: 'L',
        kind: 'ldr',
        pins: sensor === 'above' ? up : down,
        lux,
        litBy: [{ part: 'D', luxPerAmp }],
      },
      {
        ...resistorPart('R', 'b', '0', sensor === 'above' ? 2200 : 47e3),
        pins: sensor === 'above' ? down : up,
      },
      resistorPart('RC', 'plus', 'l', 470),
      ledPart('D', 'l', 'c', 'red'),
      { id: 'Q', kind: 'transistor', pins: { collector: 'c', base: 'b', emitter: '0' } },
    ],
    [{ id: 'lamp', measure: 'amps', part: 'D' }],
  );
}

function states(circuit: Circuit) {
  const solved = solve(circuit);
  if (!solved.ok) throw new Error(JSON.stringify(solved.findings));
  const { parts, also } = solved.value;
  return { dark: parts['D']!.amps, lit: also?.parts['D']!.amps, parts };
}

describe('a lamp that shines on its own sensor', () => {
  it('has two states where it holds itself, and the one from dark is given', () => {
    const { dark, lit } = states(lampOnItsSensor('above', 0.5, 40e3));
    expect(dark).toBeLessThan(1e-5);
    expect(lit).toBeGreaterThan(0.01);
  });

  it('has one state in a bright room, and without its light', () => {
    expect(states(lampOnItsSensor('above', 400, 40e3)).lit).toBeUndefined();
    expect(states(lampOnItsSensor('above', 0.5, 0)).lit).toBeUndefined();
  });

  it('comes to rest half way where it works against itself', () => {
    const alone = states(lampOnItsSensor('below', 0.5, 0)).dark;
    const { dark, lit, parts } = states(lampOnItsSensor('below', 0.5, 40e3));
    expect(lit).toBeUndefined();
    expect(dark).toBeGreaterThan(1e-5);
    expect(dark).toBeLessThan(alone / 2);
    // The sensor's ohms are those of the light that falls on it.
    const ohms = parts['L']!.volts / parts['L']!.amps;
    expect(ohms / (15e3 * ((0.5 + 40e3 * dark) / 10) ** -0.7)).toBeCloseTo(1, 6);
  });

  it('stays dark over time, and catches when a flash lights it', () => {
    const dark = lampOnItsSensor('above', 0.5, 40e3);
    const still = run(dark, { seconds: 0.1, samples: 3 });
    expect(still.ok && still.value.parts['D']!.amps[2]!).toBeLessThan(1e-5);
    const flash = {
      id: 'F',
      kind: 'signal',
      shape: 'square',
      amplitude: 4.5,
      offset: 4.5,
      hertz: 1,
      duty: 0.1,
      pins: { plus: 'f', minus: '0' },
    };
    const kicked: Circuit = {
      ...dark,
      parts: [
        ...dark.parts,
        ...circuitOf([
          flash,
          resistorPart('RF', 'f', 'b', 100e3),
          { id: 'G', kind: 'diode', type: 'signal', pins: { anode: 'f', cathode: 'g' } },
          resistorPart('RG', 'g', 'b', 47e3),
        ]).parts.filter((p) => p.id !== 'RF'),
      ],
    };
    const after = run(kicked, { seconds: 0.5, samples: 6 });
    if (!after.ok) throw new Error(JSON.stringify(after.findings));
    expect(after.value.parts['D']!.amps[5]!).toBeGreaterThan(0.01);
  });

  it('is drawn from dark in every draw', () => {
    const drawn = bands(lampOnItsSensor('above', 0.5, 40e3), { samples: 300 });
    expect(drawn.ok && drawn.value.unsettled).toBe(0);
    expect(drawn.ok && drawn.value.bands[0]!.high).toBeLessThan(1e-3);
  });
});

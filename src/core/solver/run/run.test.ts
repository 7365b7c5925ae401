import { circuitOf, ledPart, made, resistorPart, supplyPart } from '../../../../tests/support/circuits';
import { alternate, oneShot, outputDriven, soundLights, standardBlinker, timerPart } from '@/demo/circuits';
import type { Circuit } from '../../circuit/circuit';
import { solve } from '../solve';
import type { Run } from './passage';
import type { RunPlan } from './plan';
import { run } from './run';

function followed(circuit: Circuit, plan: Pick<RunPlan, 'seconds'> & Partial<RunPlan>): Run {
  const done = run(circuit, plan);
  if (!done.ok) throw new Error(JSON.stringify(done.findings));
  return done.value;
}

const capacitor = (id: string, a: string, b: string, farads: number, more: object = {}) => ({
  id,
  kind: 'capacitor',
  pins: { a, b },
  farads,
  ...more,
});
const signal = (shape: 'sine' | 'square', hertz: number, more: object = {}) => ({
  id: 'S',
  kind: 'signal',
  shape,
  hertz,
  amplitude: 1,
  pins: { plus: 's', minus: '0' },
  ...more,
});

describe('a button across a capacitor', () => {
  it('empties it while it is pressed, and lets it fill anew from nothing', () => {
    const [ohms, farads, volts] = [820e3, 22e-6, 9];
    const button = {
      id: 'S1',
      kind: 'switch',
      pins: { a: 'c', b: '0' },
      closed: false,
      pressAt: 0.25,
      pressFor: 0.2,
    };
    const circuit = circuitOf([
      supplyPart(volts, 0),
      resistorPart('R1', 'plus', 'c', ohms),
      capacitor('C1', 'c', '0', farads),
      button,
    ]);
    const { time, nodes, parts } = followed(circuit, { seconds: 3, samples: 31 });
    time.forEach((t, i) => {
      const since = t < 0.25 ? t : t - 0.45;
      const filled = volts * (1 - Math.exp(-since / (ohms * farads)));
      expect(nodes['c']![i]).toBeCloseTo(t > 0.25 && t < 0.45 ? 0 : filled, 4);
    });
    // While it is pressed it carries what the resistor lets through.
    expect(parts['S1']!.amps[3]).toBeCloseTo(volts / ohms, 9);
  });
});

describe('sources that move', () => {
  it('show at a jump the value after it', () => {
    const circuit = circuitOf([signal('square', 10, { duty: 0.25 }), resistorPart('R', 's', '0', 100)]);
    const { nodes } = followed(circuit, { seconds: 0.2, samples: 9 });
    expect([...nodes['s']!].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([1, -1, -1, -1, 1, -1, -1, -1, 1]);
  });

  it('begin where phase and pattern say', () => {
    const sine = followed(circuitOf([signal('sine', 50, { offset: 2 }), resistorPart('R', 's', '0', 100)]), {
      seconds: 0.02,
      samples: 5,
    });
    [2, 3, 2, 1, 2].forEach((volts, i) => expect(sine.nodes['s']![i]).toBeCloseTo(volts, 9));
  });

  it('never jump with a duty of nothing or all', () => {
    for (const [duty, volts] of [
      [0, 0],
      [1, 5],
    ] as const) {
      const pin = { id: 'P', kind: 'pin', drive: 'pwm', duty, ohms: 0, pins: { pin: 'p', ground: '0' } };
      const { nodes, means } = followed(circuitOf([pin, resistorPart('R', 'p', '0', 1000)]), {
        seconds: 0.01,
      });
      expect(Math.max(...nodes['p']!)).toBeCloseTo(volts, 6);
      expect(means['R']).toBeCloseTo(volts / 1000, 9);
    }
  });

  it('give means over whole periods of the slowest one', () => {
    const { means } = followed(circuitOf([signal('sine', 100), resistorPart('R', 's', '0', 100)]), {
      seconds: 0.0237,
      settle: 0.001,
    });
    expect(Math.abs(means['R']!)).toBeLessThan(1e-6);
  });

  it('charge a capacitor straight across them at once', () => {
    const circuit = circuitOf([
      supplyPart(9, 0),
      capacitor('C', 'plus', '0', 1e-7),
      resistorPart('R', 'plus', '0', 1e3),
    ]);
    const { nodes, parts } = followed(circuit, { seconds: 0.01, samples: 3 });
    expect(nodes['plus']![0]).toBeCloseTo(9, 6);
    expect(Math.abs(parts['C']!.amps[0]!)).toBeLessThan(1e-9);
  });
});

describe('timers', () => {
  it('blink from rising edge to rising edge, and mean over the same whole cycles', () => {
    const { cycles, means, parts, time } = followed(made(outputDriven('bipolar', 9, 47e3, 10e-6)), {
      seconds: 6,
      samples: 6001,
    });
    const { period, high, low, duty, hertz, cycles: count } = cycles['out']!;
    expect(high! + low!).toBeCloseTo(period!, 12);
    expect(duty).toBeCloseTo(high! / period!, 12);
    expect(hertz).toBeCloseTo(1 / period!, 12);
    expect(count).toBeGreaterThan(4);
    // The current through the resistor, averaged over the same whole cycles from its samples.
    const amps = parts['R1']!.amps;
    const first = amps.findIndex((a, i) => i > 1 && a > 0 && amps[i - 1]! < 0);
    const last = first + Math.round((count * period!) / time[1]!);
    const mean = amps.slice(first, last).reduce((sum, a) => sum + a, 0) / (last - first);
    expect(Math.abs(means['R1']! - mean)).toBeLessThan(2e-6);
  });

  it('are counted only after they have settled', () => {
    const plan = { seconds: 5, samples: 11 };
    const all = followed(made(standardBlinker('cmos', 5, [10e3, 47e3], 10e-6)), plan);
    const later = followed(made(standardBlinker('cmos', 5, [10e3, 47e3], 10e-6)), { ...plan, settle: 3 });
    expect(later.cycles['out']!.cycles).toBeLessThan(all.cycles['out']!.cycles);
    expect(later.cycles['out']!.period! / all.cycles['out']!.period!).toBeCloseTo(1, 4);
  });

  it('stall high when the loaded output cannot lift the capacitor to two thirds', () => {
    const { cycles, nodes } = followed(made(outputDriven('bipolar', 3.3, 10e3, 10e-6)), {
      seconds: 3,
      samples: 31,
    });
    expect(cycles['out']).toMatchObject({ cycles: 0, period: null, high: null });
    expect(nodes['out']![30]).toBeCloseTo(2.1, 3);
  });

  it('give one pulse, and say no period', () => {
    const { cycles } = followed(made(oneShot('cmos', 5, 47e3, 10e-6)), { seconds: 2, samples: 21 });
    expect(cycles['out']).toMatchObject({ cycles: 0, period: null, duty: null });
    expect(cycles['out']!.high! / (Math.log(3) * 0.47)).toBeCloseTo(1, 3);
  });

  it('are off below their supply, and come on as it rises', () => {
    const ramp = { ...signal('sine', 1, { amplitude: 6 }), pins: { plus: 'v', minus: '0' } };
    const circuit = circuitOf([
      ramp,
      timerPart('U', 'bipolar', { trigger: '0', threshold: '0', output: 'out' }),
      resistorPart('R', 'out', '0', 10e3),
    ]);
    const { nodes } = followed(circuit, { seconds: 0.25, samples: 251 });
    const on = nodes['out']!.findIndex((v) => v > 0.5);
    expect(Math.abs(nodes['v']![on]! - 2)).toBeLessThan(0.05);
  });

  it('work on one another: bursts of one lamp, then the other', () => {
    const { parts, cycles } = followed(made(alternate()), { seconds: 10 });
    const lit = (id: string) => parts[id]!.amps.filter((a) => a > 1e-3).length / 2000;
    expect(lit('D1')).toBeGreaterThan(0.1);
    expect(lit('D2')).toBeGreaterThan(0.1);
    expect(cycles['o2']!.period! / cycles['o1']!.period!).toBeGreaterThan(5);
  });

  it('say in a steady state that they oscillate', () => {
    const outcome = solve(made(standardBlinker('bipolar', 9, [10e3, 47e3], 10e-6)));
    expect(outcome.ok || outcome.findings[0]).toMatchObject({ code: 'oscillates', data: { parts: 'U1' } });
  });
});

describe('circuits that jump of themselves', () => {
  it('two transistors blink in turn at the pace of their base resistors', () => {
    const half = (n: number, other: number) => [
      resistorPart(`RC${n}`, 'plus', `l${n}`, 470),
      ledPart(`D${n}`, `l${n}`, `c${n}`, 'red'),
      resistorPart(`RB${n}`, 'plus', `b${n}`, 47e3),
      capacitor(`C${n}`, `c${n}`, `b${other}`, 10e-6, { volts: n === 1 ? 0.5 : 0 }),
      { id: `Q${n}`, kind: 'transistor', pins: { collector: `c${n}`, base: `b${n}`, emitter: '0' } },
    ];
    const circuit = circuitOf([supplyPart(6, 0.5), ...half(1, 2), ...half(2, 1)]);
    const { parts, time } = followed(circuit, { seconds: 5, samples: 2501 });
    const lit = parts['D1']!.amps.map((a) => (a > 1e-3 ? 1 : 0));
    const rises = [...lit].flatMap((on, i) => (i > 0 && on && !lit[i - 1] ? [time[i]!] : []));
    const period = (rises[rises.length - 1]! - rises[0]!) / (rises.length - 1);
    // 2·ln 2·RC would be 0.65 s with a swing of the whole supply; the lamps take a third of it.
    expect(period).toBeGreaterThan(0.35);
    expect(period).toBeLessThan(0.8);
  });

  it('sound moves three channels of lamps', () => {
    const { parts } = followed(made(soundLights([30, 440, 3000])), { seconds: 0.1, samples: 501 });
    for (const id of ['DH1', 'DM1', 'DL1']) expect(Math.max(...parts[id]!.amps)).toBeGreaterThan(5e-3);
  });
});

describe('a run on its way', () => {
  it('tells how far it is, a hundred times at most', () => {
    const shares: number[] = [];
    const onProgress = (share: number) => shares.push(share);
    const done = run(made(outputDriven('cmos', 9, 10e3, 10e-6)), { seconds: 2 }, { onProgress });
    expect(done.ok).toBe(true);
    expect(shares.length).toBeGreaterThan(50);
    expect(shares.length).toBeLessThanOrEqual(100);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares[shares.length - 1]).toBeGreaterThan(0.98);
  });
});

describe('what cannot be followed', () => {
  it('names nodes that nothing joins, and capacitors that clash', () => {
    const island = circuitOf([supplyPart(5, 0), resistorPart('R', 'x', 'y', 10)]);
    const refused = run(island, { seconds: 1 });
    expect(refused.ok || refused.findings[0]).toMatchObject({
      code: 'floating-nodes',
      data: { nodes: 'x, y' },
    });
    const clash = circuitOf([
      supplyPart(5, 1),
      capacitor('C1', 'plus', '0', 1e-6),
      capacitor('C2', 'plus', '0', 1e-6, { volts: 3 }),
    ]);
    const odds = run(clash, { seconds: 1 });
    expect(odds.ok || odds.findings[0]).toMatchObject({ code: 'sources-at-odds', data: { parts: 'C2' } });
  });

  it('joins through a capacitor what only moves', () => {
    const circuit = circuitOf([
      signal('sine', 100),
      capacitor('C1', 's', 'm', 1e-6),
      capacitor('C2', 'm', '0', 1e-6),
    ]);
    const steady = solve(circuit);
    expect(steady.ok || steady.findings[0]!.code).toBe('floating-nodes');
    const { nodes } = followed(circuit, { seconds: 0.01, samples: 5 });
    expect(nodes['m']![1]! / nodes['s']![1]!).toBeCloseTo(0.5, 4);
  });
});

describe('a fast timer that a slow one lets run', () => {
  it('has the rate of its bursts, and one burst in every round of the slow one', () => {
    const circuit = circuitOf([
      { ...supplyPart(9, 0), pins: { plus: 'v', minus: '0' } },
      timerPart('U1', 'cmos', { trigger: 'a', threshold: 'a', output: 'slow' }),
      resistorPart('R1', 'slow', 'a', 100e3),
      capacitor('C1', 'a', '0', 10e-6),
      timerPart('U2', 'cmos', { trigger: 'b', threshold: 'b', output: 'fast', reset: 'slow' }),
      resistorPart('R2', 'fast', 'b', 10e3),
      capacitor('C2', 'b', '0', 10e-6),
    ]);
    const { cycles } = followed(circuit, { seconds: 10, settle: 1 });
    // By hand: 2 ln 2 · R · C, 1.39 s and 0.139 s; half of the slow round is up, room for five fast ones.
    expect(cycles['fast']!.period! / 0.139).toBeCloseTo(1, 1);
    expect(cycles['fast']!.bursts!.every / cycles['slow']!.period!).toBeCloseTo(1, 2);
    expect(cycles['fast']!.bursts!.pulses).toBeCloseTo(5, 0);
    expect(cycles['slow']).not.toHaveProperty('bursts');
  });
});

describe('the sound lights', () => {
  it('are followed through every turn of their lamps, with the means of a run that is a hundred times as fine', () => {
    const circuit = made(soundLights([20, 440, 8000]));
    const usual = followed(circuit, { seconds: 0.05 });
    const fine = run(circuit, { seconds: 0.05 }, { control: { relative: 1e-6, absolute: 1e-9 } });
    if (!fine.ok) throw new Error('refused');
    // At least twelve steps a period of the highest tone; no more than a few times as many.
    expect(usual.steps).toBeGreaterThan(12 * 8000 * 0.05);
    expect(usual.steps).toBeLessThan(4 * 12 * 8000 * 0.05);
    for (const lamp of ['DH1', 'DM1', 'DL1'])
      expect(Math.abs(usual.means[lamp]! / fine.value.means[lamp]! - 1)).toBeLessThan(5e-3);
  });
});

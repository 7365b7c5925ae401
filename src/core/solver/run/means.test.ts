import { circuitOf, made } from '../../../../tests/support/circuits';
import { alternate, soundLights } from '@/demo/circuits';
import type { Circuit } from '../../circuit/circuit';
import { compile } from '../../circuit/compile';
import { Means } from './means';
import { run } from './run';

/** Means by the trapezoidal rule over every step of a run, beside those that the run itself reports. */
function compared(circuit: Circuit, seconds: number) {
  const done = run(circuit, { seconds, samples: 'steps' });
  if (!done.ok) throw new Error('refused');
  const { time, parts, means, window } = done.value;
  const [from, to] = window;
  return Object.entries(parts).map(([id, { amps }]) => {
    let sum = 0;
    for (let i = 1; i < time.length; i++) {
      if (time[i - 1]! < from - 1e-12 || time[i]! > to + 1e-12) continue;
      sum += ((time[i]! - time[i - 1]!) * (amps[i]! + amps[i - 1]!)) / 2;
    }
    return { id, reported: means[id]!, summed: sum / (to - from), largest: Math.max(...amps.map(Math.abs)) };
  });
}

const watchedOf = (circuit: Circuit) => {
  const compiled = compile(circuit, 'moving');
  if (!compiled.ok) throw new Error('refused');
  const { watched } = new Means(compiled.value);
  return watched.map((i) => circuit.parts[i]!.id);
};

describe('means from the mean of the unknowns', () => {
  it.each([
    ['transistors and lamps', made(soundLights([20, 440, 2000])), 0.05],
    ['timers and lamps', made(alternate()), 2],
  ] as const)('are those of every instant: %s', (_, circuit, seconds) => {
    for (const { reported, summed, largest } of compared(circuit, seconds))
      expect(Math.abs(reported - summed)).toBeLessThan(2e-3 * largest + 1e-9);
  });

  it('need no look at a curve where nodes say what passes', () => {
    expect(watchedOf(made(soundLights([20, 440, 8000])))).toEqual([]);
  });

  it('look at one of two lamps side by side, which no node can tell apart', () => {
    const lamp = (id: string) => ({ id, kind: 'led', type: 'red', pins: { anode: 'n', cathode: '0' } });
    const circuit = circuitOf([
      { id: 'S1', kind: 'signal', shape: 'sine', amplitude: 4, hertz: 50, pins: { plus: 's', minus: '0' } },
      { id: 'R1', kind: 'resistor', pins: { a: 's', b: 'n' }, ohms: 220 },
      lamp('D1'),
      lamp('D2'),
    ]);
    expect(watchedOf(circuit)).toEqual(['D1']);
    const means = compared(circuit, 0.02);
    const of = (id: string) => means.find((mean) => mean.id === id)!.reported;
    expect(of('D1')).toBeGreaterThan(1e-4);
    expect(of('D1') / of('D2')).toBeCloseTo(1, 4);
    expect(of('D1') + of('D2')).toBeCloseTo(of('R1'), 9);
  });
});

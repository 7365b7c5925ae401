import { circuitOf, lampLoop, ledPart, resistorPart, supplyPart } from '../../../tests/support/circuits';
import type { Circuit } from '../circuit/circuit';
import { solve, type Solved } from './solve';
import { sweep } from './sweep';

function solved(circuit: Circuit): Solved {
  const outcome = solve(circuit);
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.findings));
  return outcome.value;
}

describe('sweeps', () => {
  it('equal a solve at each point for every field that may be varied, placed anew or not', () => {
    const parts = [
      supplyPart(9, 0),
      resistorPart('R', 'plus', 'n', 220),
      ledPart('D', 'n', 'm', 'red'),
      { id: 'L', kind: 'ldr', pins: { a: 'm', b: '0' }, lux: 500 },
      { id: 'P', kind: 'pin', drive: 'pwm', pins: { pin: 'p', ground: '0' } },
      resistorPart('RP', 'p', 'n', 1000),
      { id: 'Z', kind: 'zener', type: 'zener-5v1', pins: { anode: '0', cathode: 'n' } },
      { id: 'Q', kind: 'transistor', pins: { collector: 'plus', base: 'm', emitter: 'e' } },
      resistorPart('RE', 'e', '0', 470),
    ];
    const plans: [string, string, number, number][] = [
      ['B1', 'volts', 0, 12],
      ['B1', 'ohms', 0, 10],
      ['R', 'ohms', 0, 1000],
      ['D', 'vf', 1.8, 2.2],
      ['L', 'lux', 0, 1000],
      ['P', 'duty', 0, 1],
      ['Z', 'vz', 4, 6],
      ['Q', 'betaF', 50, 400],
    ];
    for (const [id, field, from, to] of plans) {
      const swept = sweep(circuitOf(parts), { part: id, field, from, to, steps: 7 });
      if (!swept.ok) throw new Error(`${id}.${field}: ${JSON.stringify(swept.findings)}`);
      swept.value.values.forEach((value, i) => {
        const set = parts.map((part) =>
          (part as { id: string }).id === id ? { ...part, [field]: value } : part,
        );
        const once = solved(circuitOf(set));
        expect(swept.value.parts['D']!.amps[i]).toBeCloseTo(once.parts['D']!.amps, 9);
        expect(swept.value.nodes['m']![i]).toBeCloseTo(once.nodes['m']!, 6);
      });
    }
  });

  it('refuse a value that a file could not hold, a part that is not there, and a field without figures', () => {
    const circuit = lampLoop(5, 1, 'red', 100);
    const refusal = (part: string, field: string, to: number) => {
      const swept = sweep(circuit, { part, field, from: -1, to, steps: 2 });
      return swept.ok ? 'swept' : swept.findings[0]!.data;
    };
    expect(refusal('R1', 'ohms', 1)).toMatchObject({ place: 'R1', problem: 'of -1 must not be negative' });
    expect(refusal('R9', 'ohms', 1)).toMatchObject({ field: 'R9', problem: 'is not in the circuit' });
    expect(refusal('R1', 'colour', 1)).toMatchObject({ problem: 'is not a field of this part' });
    expect(refusal('D1', 'type', 1)).toMatchObject({ field: 'type', problem: 'cannot be varied' });
  });

  it('equal a solve at each point', () => {
    const circuit = lampLoop(4.8, 0.45, 'red', 330);
    const swept = sweep(circuit, { part: 'B1', field: 'volts', from: 0, to: 9, steps: 19 });
    if (!swept.ok) throw new Error('refused');
    swept.value.values.forEach((volts, i) => {
      const { amps } = solved(lampLoop(volts, 0.45, 'red', 330)).parts['D1']!;
      expect(swept.value.parts['D1']!.amps[i]).toBeCloseTo(amps, 12);
    });
  });

  it('spaces by ratio when asked, both ends included', () => {
    const swept = sweep(lampLoop(5, 1, 'red', 100), {
      part: 'R1',
      field: 'ohms',
      from: 100,
      to: 10000,
      steps: 3,
      log: true,
    });
    expect(swept.ok && swept.value.values.map(Math.round)).toEqual([100, 1000, 10000]);
  });

  it('refuses what cannot be varied', () => {
    const circuit = lampLoop(5, 1, 'red', 100);
    const codeOf = (part: string, field: string) => {
      const swept = sweep(circuit, { part, field, from: 0, to: 1, steps: 2 });
      return swept.ok ? 'swept' : swept.findings[0]!.data;
    };
    expect(codeOf('Q9', 'volts')).toMatchObject({ place: 'sweep', field: 'Q9' });
    expect(codeOf('B1', 'colour')).toMatchObject({ place: 'B1', field: 'colour' });
  });
});

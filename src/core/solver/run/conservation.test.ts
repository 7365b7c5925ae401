import fc from 'fast-check';
import { circuitOf, made, resistorPart, supplyPart } from '../../../../tests/support/circuits';
import { outputDriven } from '@/demo/circuits';
import type { Circuit } from '../../circuit/circuit';
import type { Run } from './passage';
import type { RunPlan } from './plan';
import { run } from './run';

function followed(circuit: Circuit, plan: Pick<RunPlan, 'seconds'> & Partial<RunPlan>): Run {
  const done = run(circuit, plan);
  if (!done.ok) throw new Error(JSON.stringify(done.findings));
  return done.value;
}

/** Largest current left over at any node at any sample, in amps. */
function leftOver(circuit: Circuit, { parts, time }: Run): number {
  const nodes = new Set(circuit.parts.flatMap((part) => Object.values(part.pins)));
  let largest = 0;
  for (const node of nodes) {
    for (let i = 0; i < time.length; i++) {
      let sum = 0;
      for (const part of circuit.parts) {
        const [first, second] = Object.values(part.pins);
        if (first === node) sum += parts[part.id]!.amps[i]!;
        if (second === node) sum -= parts[part.id]!.amps[i]!;
      }
      largest = Math.max(largest, Math.abs(sum));
    }
  }
  return largest;
}

/** Any circuit of two-pin parts that move: a source, resistors, lamps, capacitors and coils between four nodes. */
const anyMoving = fc
  .record({
    source: fc.constantFrom('sine', 'square') as fc.Arbitrary<'sine' | 'square'>,
    hertz: fc.integer({ min: 20, max: 400 }),
    parts: fc.array(
      fc.record({
        kind: fc.constantFrom('resistor', 'capacitor', 'led', 'inductor'),
        a: fc.nat(3),
        b: fc.nat(3),
        size: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      { minLength: 2, maxLength: 7 },
    ),
  })
  .map(({ source, hertz, parts }) => {
    const name = (i: number) => (i === 0 ? '0' : `n${i}`);
    const extra = parts.flatMap(({ kind, a, b, size }, i) => {
      if (a === b) return [];
      const pins = kind === 'led' ? { anode: name(a), cathode: name(b) } : { a: name(a), b: name(b) };
      const fields = {
        resistor: { ohms: 10 ** (2 + 3 * size) },
        capacitor: { farads: 10 ** (-7 + 2 * size) },
        led: { type: 'red' },
        inductor: { henries: 0.001 + size / 10, ohms: 10 },
      }[kind as 'resistor'];
      return [{ id: `X${i}`, kind, pins, ...fields }];
    });
    return circuitOf([
      {
        id: 'S',
        kind: 'signal',
        shape: source,
        hertz,
        amplitude: 3,
        ohms: 50,
        pins: { plus: 's', minus: '0' },
      },
      resistorPart('R1', 's', 'n1', 330),
      resistorPart('R2', 'n1', 'n2', 1000),
      resistorPart('R3', 'n2', 'n3', 2200),
      resistorPart('R4', 'n3', '0', 4700),
      ...extra,
    ]);
  });

describe('any circuit over time', () => {
  it('leaves no current over at any node at any instant', () => {
    fc.assert(
      fc.property(anyMoving, (circuit) => {
        const followedOne = followed(circuit, { seconds: 0.02, samples: 41 });
        expect(leftOver(circuit, followedOne)).toBeLessThan(1e-9);
      }),
      { numRuns: 25 },
    );
  });

  it('takes up the energy that its sources give out', () => {
    fc.assert(
      fc.property(anyMoving, (circuit) => {
        const samples = 4001;
        const { parts, nodes, time } = followed(circuit, { seconds: 0.02, samples });
        let [balance, turned] = [0, 0];
        const stored = (i: number) =>
          circuit.parts.reduce((sum, part) => {
            const [a, b] = Object.values(part.pins) as [string, string];
            const volts = nodes[a]![i]! - nodes[b]![i]!;
            if (part.kind === 'capacitor') return sum + 0.5 * part.params.farads * volts * volts;
            if (part.kind === 'inductor')
              return sum + 0.5 * part.params.henries * parts[part.id]!.amps[i]! ** 2;
            return sum;
          }, 0);
        for (let i = 1; i < samples; i++) {
          for (const part of circuit.parts) {
            if (part.kind === 'capacitor') continue;
            const [a, b] = Object.values(part.pins) as [string, string];
            const watts = (k: number) => {
              const amps = parts[part.id]!.amps[k]!;
              const coil = part.kind === 'inductor' ? part.params.ohms * amps : nodes[a]![k]! - nodes[b]![k]!;
              return coil * amps;
            };
            const joules = ((watts(i) + watts(i - 1)) / 2) * (time[i]! - time[i - 1]!);
            balance += joules;
            turned += Math.abs(joules);
          }
        }
        expect(Math.abs(balance + stored(samples - 1) - stored(0))).toBeLessThan(0.02 * turned + 1e-9);
      }),
      { numRuns: 15 },
    );
  });

  it('is the same whatever the order of its parts, with a separate circuit far away, or a thousand times as large', () => {
    fc.assert(
      fc.property(anyMoving, (circuit) => {
        const plan = { seconds: 0.01, samples: 21 };
        const one = followed(circuit, plan);
        const turned = followed({ ...circuit, parts: [...circuit.parts].reverse() }, plan);
        const far = circuitOf([
          { ...supplyPart(9, 1), id: 'far B', pins: { plus: 'far', minus: '0' } },
          resistorPart('far R', 'far', '0', 100),
        ]);
        const beside = followed({ ...circuit, parts: [...circuit.parts, ...far.parts] }, plan);
        for (const name of Object.keys(one.nodes)) {
          one.nodes[name]!.forEach((volts, i) => {
            expect(turned.nodes[name]![i]).toBeCloseTo(volts, 4);
            expect(beside.nodes[name]![i]).toBeCloseTo(volts, 4);
          });
        }
      }),
      { numRuns: 15 },
    );
    const slow = followed(made(outputDriven('cmos', 9, 10e3, 10e-6)), { seconds: 1, samples: 11 });
    const quick = followed(made(outputDriven('cmos', 9, 10e3, 10e-9)), { seconds: 1e-3, samples: 11 });
    expect(slow.cycles['out']!.period! / quick.cycles['out']!.period!).toBeCloseTo(1000, 2);
  });
});

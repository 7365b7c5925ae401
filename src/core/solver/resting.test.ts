import { circuitOf, ledPart, made, resistorPart, supplyPart } from '../../../tests/support/circuits';
import { lockGate } from '@/demo/circuits';
import { bands } from '../tolerance/bands';
import { run } from './run/run';
import { solve, type Solved } from './solve';

const SATURATED = 0.2;

function settled(circuit: Parameters<typeof solve>[0]): Solved {
  const made = solve(circuit);
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  return made.value;
}

const npn = (id: string, collector: string, base: string) => ({
  id,
  kind: 'transistor',
  pins: { collector, base, emitter: '0' },
});

describe('a latch of two transistors', () => {
  const latch = made(lockGate());
  const { parts, nodes, also } = settled(latch);

  it('rests one way or the other, never at the balance between', () => {
    // By hand: about (9 − 1.9 − 0.1) V over 472 Ω through the lamp of the side that is on.
    const sides = [parts['D1']!.amps, parts['D2']!.amps].sort((a, b) => b - a);
    expect(sides[0]).toBeGreaterThan(0.0135);
    expect(sides[0]).toBeLessThan(0.0155);
    expect(sides[1]).toBeLessThan(0.5e-3);
    expect(Math.min(nodes['c1']!, nodes['c2']!)).toBeLessThan(SATURATED);
  });

  it('has the mirrored state beside it', () => {
    expect(also?.by).toBe('latch');
    expect(also!.parts['D1']!.amps / parts['D2']!.amps).toBeCloseTo(1, 1);
    expect(also!.parts['D2']!.amps / parts['D1']!.amps).toBeCloseTo(1, 1);
  });

  it('is drawn and followed from one of them', () => {
    const drawn = bands(latch, { samples: 60 });
    if (!drawn.ok) throw new Error('refused');
    const { typical, low, high } = drawn.value.bands[0]!;
    expect(typical).toBeCloseTo(parts['D1']!.amps, 9);
    expect(typical).toBeGreaterThan(0.0135);
    expect(low / typical).toBeGreaterThan(0.8);
    expect(high / typical).toBeLessThan(1.25);
    const gone = run(latch, { seconds: 0.01, settle: 0 });
    if (!gone.ok) throw new Error('refused');
    expect(gone.value.means['D1']).toBeCloseTo(parts['D1']!.amps, 8);
  });
});

describe('a pair that holds itself once it was triggered', () => {
  it('rests open as it powers up, and has the closed state beside it', () => {
    const pair = circuitOf([
      supplyPart(9, 1),
      resistorPart('R1', 'plus', 'a', 470),
      ledPart('D1', 'a', 'e', 'red'),
      { id: 'Q1', kind: 'transistor', polarity: 'pnp', pins: { collector: 'g', base: 'k', emitter: 'e' } },
      { id: 'Q2', kind: 'transistor', pins: { collector: 'k', base: 'g', emitter: '0' } },
      resistorPart('R2', 'g', '0', 10e3),
      resistorPart('R3', 'e', 'k', 10e3),
    ]);
    const { parts, also } = settled(pair);
    expect(parts['D1']!.amps).toBeLessThan(1e-5);
    // By hand: (9 − 1.9 − 0.75 − 0.1) V over 471 Ω.
    expect(also!.parts['D1']!.amps).toBeCloseTo(0.0133, 3);
  });
});

describe('transistors that do not feed one another', () => {
  it('have one state, the one that was found at once', () => {
    const stages = circuitOf([
      supplyPart(9, 1),
      resistorPart('RB', 'plus', 'b', 47e3),
      resistorPart('RC', 'plus', 'c', 1e3),
      resistorPart('RD', 'c', 'd', 10e3),
      resistorPart('RE', 'plus', 'f', 1e3),
      npn('Q1', 'c', 'b'),
      npn('Q2', 'f', 'd'),
    ]);
    expect(settled(stages).also).toBeUndefined();
    expect(settled(stages).nodes['f']).toBeGreaterThan(8.5);
  });
});

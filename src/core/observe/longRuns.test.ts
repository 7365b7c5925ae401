import fc from 'fast-check';
import { worked } from '../../../tests/support/sheets';
import { WISHES } from '../../../tests/support/wishes';
import type { PatternId } from '../patterns/index';
import { run } from '../solver/run/run';
import { lampsSeen } from './looks';
import type { Moving } from './observation';
import { observe } from './observe';

/** What a build that moves is told to do; nothing for wishes that cannot be had, and for what rests. */
function told(pattern: PatternId, params: object): Moving | undefined {
  try {
    const seen = observe(worked(pattern, params).design.circuit);
    return seen.ok && seen.value.kind === 'moving' ? seen.value : undefined;
  } catch {
    return undefined;
  }
}

/** The same build over very many rounds, looked at once it has long done the same in each. */
function longAfter({ circuit, run: { ended } }: Moving, times: number): Moving {
  const settle = times * ended;
  const gone = run(circuit, { seconds: 1.3 * settle, settle, samples: 'steps' });
  if (!gone.ok) throw new Error(JSON.stringify(gone.findings));
  const { means, nodeMeans: nodes, window } = gone.value;
  const parts = Object.fromEntries(
    Object.entries(means).map(([id, amps]) => [id, { volts: 0, watts: 0, pins: {}, amps }]),
  );
  return { kind: 'moving', circuit, run: gone.value, nodes, parts, window };
}

/** Whether two figures are one within half a per cent, or a thousandth of `whole`. */
function expectNear(one: number, other: number, whole = 0): void {
  expect(Math.abs(one - other)).toBeLessThan(0.005 * Math.abs(other) + 0.001 * whole + 1e-12);
}

describe.each([
  ['blink', 10],
  ['blink-simple', 10],
  ['chain', 10],
  ['tone', 100],
] as const)('what %s is told to do', (pattern, times) => {
  it('is what it does after ten rounds and more: rates, times and means', () => {
    let moved = 0;
    for (const params of fc.sample(WISHES[pattern] as fc.Arbitrary<object>, { numRuns: 8, seed: 5 })) {
      const now = told(pattern, params);
      if (!now) continue;
      moved++;
      const later = longAfter(now, times);
      for (const [output, { hertz, high }] of Object.entries(now.run.cycles)) {
        expectNear(hertz!, later.run.cycles[output]!.hertz!);
        expectNear(high!, later.run.cycles[output]!.high!);
      }
      const lamps = lampsSeen(later);
      for (const [i, lamp] of lampsSeen(now).entries()) {
        expect(lamp.look).toBe(lamps[i]!.look);
        expectNear(lamp.hertz ?? 0, lamps[i]!.hertz ?? 0);
        expectNear(lamp.litFor ?? 0, lamps[i]!.litFor ?? 0);
      }
      const whole = Math.max(...Object.values(now.nodes));
      for (const [node, volts] of Object.entries(now.nodes)) expectNear(volts, later.nodes[node]!, 3 * whole);
    }
    expect(moved).toBeGreaterThan(3);
  });
});

it('a window of one round holds two rises of a lamp, and one of the lamp that goes out with it: both go at its pace', () => {
  const { circuit, run: usual } = told('blink-simple', {})!;
  const { period } = usual.cycles['out1']!;
  const gone = run(circuit, { seconds: 3.4 * period!, skip: 1, samples: 'steps' });
  if (!gone.ok) throw new Error('refused');
  const { cycles, means, nodeMeans: nodes, window } = gone.value;
  expect(cycles['out1']!.cycles).toBe(1);
  const parts = Object.fromEntries(
    Object.entries(means).map(([id, amps]) => [id, { volts: 0, watts: 0, pins: {}, amps }]),
  );
  const lamps = lampsSeen({ kind: 'moving', circuit, run: gone.value, nodes, parts, window });
  expect(lamps.map(({ look }) => look)).toEqual(['blinking', 'blinking']);
  for (const { hertz } of lamps) expectNear(hertz!, 1 / period!);
});

import fc from 'fast-check';
import { circuitOf, ledPart, supplyPart } from '../../../tests/support/circuits';
import { choiceWith, requestWith, worked } from '../../../tests/support/sheets';
import { WISHES } from '../../../tests/support/wishes';
import type { PatternId } from '../patterns/index';
import { run } from '../solver/run/run';
import { dayOf } from '../sheet/day';
import { hangingNodes } from './hanging';
import { lampsSeen } from './looks';
import type { Moving } from './observation';
import { observe } from './observe';
import { readingsIn } from './responses';

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

it('of two timers that beat every checkpoint reads within a hundredth what it does over many of their rounds', () => {
  const { design } = worked('alternate');
  const now = told('alternate', {})!;
  const later = longAfter(now, 8);
  const used = { meterUseAt: () => 'right' as const, burdens: [] };
  const [soon, long] = [now, later].map((seen) => readingsIn(seen, design.checkpoints, used)!);
  for (const [i, value] of soon!.entries()) expect(Math.abs(value / long![i]! - 1)).toBeLessThan(0.01);
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

it('what comes before its rounds are alike is kept: a day, limits and reverse volts begin at switching on', () => {
  const wish = {
    supply: { kind: 'block-9v', cells: 1, age: 'fresh' },
    family: 'bipolar',
    amps: 0.002,
    hertz: 100,
  } as const;
  const seen = told('tone', wish)!;
  const { startUp, run: later } = seen;
  const across = ({ nodes, time }: Moving['run'], at: number) => {
    const { a, b } = seen.circuit.parts.find(({ id }) => id === 'C2')!.pins;
    const sample = time.findIndex((t) => t >= at);
    return nodes[a!]![sample]! - (nodes[b!]?.[sample] ?? 0);
  };
  // C2 is empty as the supply comes on, and stands at the mean of the output once it goes on.
  expect(across(startUp!, 0)).toBeCloseTo(0, 9);
  expect(across(later, 0)).toBeGreaterThan(3);
  const day = dayOf({ ...requestWith(), choice: choiceWith('tone', wish) }, 'nothing');
  expect(day.ok && day.value.seen.run).toEqual(startUp);
});

it.each(['cmos', 'bipolar'] as const)(
  'a %s chip with a capacitor at its control pin is heard at its pitch, and not as it chatters while that fills',
  (family) => {
    const supply = { kind: 'aa-alkaline', cells: 4, age: 'fresh' } as const;
    for (const hertz of [440, 2000, 5000]) {
      const [quiet, plain] = [true, false].map((quiet) =>
        told('tone', { supply, family, hertz, quiet, amps: 0.005 })!,
      );
      expectNear(quiet!.run.cycles['out1']!.hertz!, plain!.run.cycles['out1']!.hertz!);
      expect(Math.abs(quiet!.run.cycles['out1']!.hertz! / hertz - 1)).toBeLessThan(0.05);
    }
  },
);

it('an open switch and a pin that only reads hold nothing behind them', () => {
  const node = (closed: boolean) => {
    const circuit = circuitOf([
      supplyPart(9, 0),
      { id: 'S1', kind: 'switch', pins: { a: 'plus', b: 'n' }, closed },
      ledPart('D1', 'n', '0', 'red'),
      { id: 'G5', kind: 'pin', pins: { pin: 'read', ground: '0', rail: 'plus' }, drive: 'input' },
    ]);
    return [...hangingNodes({ circuit, parts: {} })].sort();
  };
  expect(node(false)).toEqual(['n', 'read']);
  expect(node(true)).toEqual(['read']);
});

import fc from 'fast-check';
import { circuitOf, resistorPart } from '../../../tests/support/circuits';
import { timerPart } from '@/demo/circuits';
import { RESET_VOLTS, TIMERS, type TimerFamily } from '../catalogue/timers';
import { solve, type Solved } from '../solver/solve';
import { TimerLatch } from './timerLatch';

function solved(parts: readonly object[]): Solved {
  const outcome = solve(circuitOf(parts));
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.findings));
  return outcome.value;
}

const rail = (volts: number) => ({ id: 'B', kind: 'supply', pins: { plus: 'v', minus: '0' }, volts });
const held = (name: string, volts: number) => ({
  id: `H ${name}`,
  kind: 'supply',
  pins: { plus: name, minus: '0' },
  volts,
});
const FAMILIES: readonly TimerFamily[] = ['bipolar', 'cmos'];

/** A timer with its inputs held, and a load at its output. */
function chip(
  family: TimerFamily,
  volts: number,
  inputs: { trigger: number; threshold: number; reset: number },
) {
  return solved([
    rail(volts),
    timerPart('U', family, {
      trigger: 't',
      threshold: 'h',
      reset: 'r',
      output: 'o',
      discharge: 'd',
      control: 'k',
    }),
    held('t', inputs.trigger),
    held('h', inputs.threshold),
    held('r', inputs.reset),
    resistorPart('RL', 'o', '0', 1000),
    resistorPart('RD', 'v', 'd', 1000),
  ]);
}

describe.each(FAMILIES)('a %s timer at rest', (family) => {
  const { highDrop, highOhms, lowVolts, lowOhms, dischargeVolts, dischargeOhms } = TIMERS[family];

  it('is high behind its own ohms while triggered, with the discharge open', () => {
    const { nodes, parts } = chip(family, 9, { trigger: 1, threshold: 0, reset: 9 });
    expect(nodes['o']).toBeCloseTo(((9 - highDrop) * 1000) / (1000 + highOhms), 9);
    expect(nodes['d']).toBeCloseTo(9, 6);
    expect(parts['U']!.amps).toBeCloseTo(nodes['o']! / 1000, 9);
    expect(parts['U']!.volts).toBeCloseTo(nodes['o']!, 12);
  });

  it('is low while filled, and pulls its discharge down', () => {
    const { nodes } = chip(family, 9, { trigger: 8, threshold: 8, reset: 9 });
    expect(nodes['o']).toBeCloseTo((lowVolts * 1000) / (1000 + lowOhms), 9);
    const pulled = (9 / 1000 + dischargeVolts / dischargeOhms) / (1 / 1000 + 1 / dischargeOhms);
    expect(nodes['d']).toBeCloseTo(pulled, 9);
  });

  it('has its control pin at two thirds, and follows one that is held', () => {
    expect(chip(family, 9, { trigger: 8, threshold: 0, reset: 9 }).nodes['k']).toBeCloseTo(6, 9);
    const at = (trigger: number) =>
      solved([
        rail(9),
        timerPart('U', family, { trigger: 't', threshold: '0', output: 'o', control: 'k' }),
        held('t', trigger),
        held('k', 2),
        resistorPart('RL', 'o', '0', 1000),
      ]).nodes['o']!;
    expect(at(0.99)).toBeGreaterThan(5);
    expect(at(1.01)).toBeLessThan(1);
  });

  it('lets the trigger win over the threshold, and the reset over both', () => {
    expect(chip(family, 9, { trigger: 1, threshold: 8, reset: 9 }).nodes['o']).toBeGreaterThan(5);
    expect(chip(family, 9, { trigger: 1, threshold: 8, reset: 0.69 }).nodes['o']).toBeLessThan(1);
    expect(chip(family, 9, { trigger: 1, threshold: 8, reset: 0.71 }).nodes['o']).toBeGreaterThan(5);
  });

  it('is off below its least supply, with the discharge open', () => {
    const least = TIMERS[family].offVolts;
    const { nodes } = chip(family, least - 0.05, { trigger: 0, threshold: 0, reset: 1.5 });
    expect(nodes['o']).toBeLessThan(0.1);
    expect(nodes['d']).toBeCloseTo(least - 0.05, 6);
    expect(chip(family, least + 0.05, { trigger: 0, threshold: 0, reset: 1.5 }).nodes['o']).toBeGreaterThan(
      0.5,
    );
  });

  it('draws its own current beside the divider, fading below its least supply', () => {
    const drawn = (volts: number) => {
      const { parts } = solved([
        rail(volts),
        timerPart('U', family, { trigger: 'v', threshold: '0', output: 'o' }),
        resistorPart('RL', 'o', '0', 1e6),
      ]);
      return parts['U']!.pins['supply']! - volts / (3 * TIMERS[family].dividerOhms);
    };
    const full = (volts: number) => (family === 'cmos' ? 1e-4 : Math.max(1e-3, 0.63e-3 * volts - 0.5e-3));
    for (const volts of [3, 5, 9, 15]) expect(drawn(volts)).toBeCloseTo(full(volts), 7);
    const half = TIMERS[family].offVolts / 2;
    expect(drawn(half)).toBeCloseTo(full(half) / 2, 6);
  });
});

describe('the reset pin of a bipolar timer', () => {
  const through = (ohms: number) =>
    solved([
      rail(9),
      timerPart('U', 'bipolar', { trigger: 'v', threshold: '0', output: 'o', reset: 'r' }),
      resistorPart('R', 'r', '0', ohms),
      resistorPart('RL', 'o', '0', 1e4),
    ]);

  it('gives out a tenth of a milliampere below 0.7 V, and less up to 1 V', () => {
    expect(through(1000).parts['R']!.amps).toBeCloseTo(1e-4, 9);
    const { parts, nodes } = through(12e3);
    expect(nodes['r']).toBeGreaterThan(0.7);
    expect(parts['R']!.amps).toBeCloseTo((1e-4 * (1 - nodes['r']!)) / 0.3, 8);
    expect(parts['U']!.pins['reset']).toBeCloseTo(-parts['R']!.amps, 12);
  });

  it('left open rises to the supply, and does not hold the chip', () => {
    const open = solved([
      rail(9),
      timerPart('U', 'bipolar', { trigger: '0', threshold: '0', output: 'o', reset: 'r' }),
      resistorPart('RL', 'o', '0', 1e4),
    ]);
    expect(open.nodes['r']).toBeCloseTo(9, 3);
    expect(open.nodes['o']).toBeGreaterThan(5);
  });

  it('of a CMOS one floats when it is left open, and is named', () => {
    const open = solve(
      circuitOf([
        rail(9),
        timerPart('U', 'cmos', { trigger: '0', threshold: '0', output: 'o', reset: 'r' }),
        resistorPart('RL', 'o', '0', 1e4),
      ]),
    );
    expect(open.ok || open.findings[0]).toMatchObject({ code: 'floating-nodes', data: { nodes: 'r' } });
  });
});

describe('a latch', () => {
  const nodes = Int32Array.from([8, 1, 2, 3, 4, 5, 6, 7]);
  const volts = fc.double({ min: 0, max: 15, noNaN: true });
  const state = fc.array(volts, { minLength: 8, maxLength: 8 }).map((x) => Float64Array.from([...x, 0]));

  it.each(FAMILIES)('is past its switching point just when it would switch (%s)', (family) => {
    fc.assert(
      fc.property(state, fc.constantFrom(0, 1, 2), fc.boolean(), (x, from, control) => {
        const latch = new TimerLatch(
          TIMERS[family],
          control ? nodes : nodes.map((n, pin) => (pin === 4 ? -1 : n)),
        );
        latch.state = from;
        // Nearer to the point than rounding, either answer is right.
        fc.pre(Math.abs(latch.margin(x)) > 1e-12);
        expect(latch.margin(x) > 0).toBe(latch.next(x) !== from);
      }),
      { numRuns: 500 },
    );
  });

  it('forgets at power-up, and is high in one state only', () => {
    const latch = new TimerLatch(TIMERS.cmos, nodes);
    const seen = [0, 1, 2].map((at) => {
      latch.state = at;
      return [latch.high(), latch.discharging()];
    });
    expect(seen).toEqual([
      [false, false],
      [false, true],
      [true, false],
    ]);
    latch.powerUp();
    expect(latch.state).toBe(1);
    expect(RESET_VOLTS).toBe(0.7);
  });
});

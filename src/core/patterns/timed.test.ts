import { refusedWith, worked } from '../../../tests/support/sheets';
import { TIMERS } from '../catalogue/timers';
import { timesOf } from '../catalogue/timing';
import { isKind, partOf, type Circuit } from '../circuit/circuit';
import { withHeld } from '../observe/held';
import { lampsSeen, spellsOf } from '../observe/looks';
import { observe } from '../observe/observe';
import type { Moving } from '../observe/observation';
import { pitchWith } from './timed/pitch';
import type { ChipTimes } from './timed/figures';
import { ownSums } from '../../../tests/support/ownSums';

const TIMED = ['blink', 'blink-simple', 'one-shot', 'alternate', 'chain', 'tone'] as const;
/** A supply without ohms, set to a round figure: what closed forms are written for. */
const IDEAL = { kind: 'bench', cells: 1, age: 'fresh', volts: 9 } as const;

function followed(circuit: Circuit, started?: Parameters<typeof withHeld>[1]): Moving {
  const seen = observe(withHeld(circuit, started));
  if (!seen.ok || seen.value.kind === 'still') throw new Error('it rests');
  return seen.value;
}

describe.each(TIMED)('%s', (pattern) => {
  const { design, sums } = worked(pattern);
  const seen = followed(design.circuit, design.started);

  it('keeps the times that its sums tell, by the solver', () => {
    for (const { chip, solved } of ownSums(sums).timing!) {
      const output = partOf(design.circuit, chip)!.pins['output']!;
      expect(seen.run.cycles[output]!.high! / solved.high).toBeCloseTo(1, 9);
    }
  });

  it('turns its capacitors at a third and two thirds of what the chip gets', () => {
    for (const { form, lower, upper } of ownSums(sums).timing!) {
      if (form === 'one-shot') continue;
      expect(upper / lower).toBeCloseTo(2, 1);
      expect(upper).toBeGreaterThan((2 / 3) * 9.3);
      expect(upper).toBeLessThan((2 / 3) * 9.5);
    }
  });

  it('tells of each lamp what it carries while it is lit', () => {
    for (const lamp of sums.design.lamps) {
      if (pattern === 'one-shot') continue;
      const own = lampsSeen(seen).find(({ part }) => part === lamp.part)!;
      expect(lamp.amps).toBeCloseTo(own.peak, 6);
      expect(lamp.amps).toBeGreaterThan(own.amps);
      expect(lamp.amps).toBeLessThanOrEqual(0.0081);
    }
  });

  it('puts no more backwards across a lamp, at any instant, than it bears', () => {
    for (const part of design.circuit.parts) {
      if (!isKind(part, 'led')) continue;
      const [anode, cathode] = ['anode', 'cathode'].map((pin) => seen.run.nodes[part.pins[pin]!]!);
      const backwards = cathode!.reduce((most, volts, i) => Math.max(most, volts - anode![i]!), 0);
      expect(backwards).toBeLessThan(5);
    }
  });

  it('draws from its supply what flows out of it on average', () => {
    const { run, window } = seen;
    const [from, to] = window;
    const amps = run.parts['B1']!.amps;
    let charge = 0;
    for (let i = 1; i < run.time.length; i++) {
      if (run.time[i - 1]! < from || run.time[i]! > to) continue;
      charge += ((amps[i]! + amps[i - 1]!) / 2) * (run.time[i]! - run.time[i - 1]!);
    }
    expect(-charge / (to - from) / -run.means['B1']!).toBeCloseTo(1, 2);
  });
});

describe('times against closed forms with the same output and discharge', () => {
  const cases = [
    ['blink', 'bipolar'],
    ['blink', 'cmos'],
    ['blink-simple', 'bipolar'],
    ['blink-simple', 'cmos'],
    ['one-shot', 'bipolar'],
    ['one-shot', 'cmos'],
    ['tone', 'bipolar'],
  ] as const;

  it.each(cases)('%s, %s: within 0.1 %', (pattern, family) => {
    const { design, sums } = worked(pattern, { family, supply: IDEAL });
    const [chip] = ownSums(sums).timing!;
    const { form, values } = chip!;
    // Only the timing itself: what hangs on the output moves where it stands.
    const bare = {
      ...design.circuit,
      parts: design.circuit.parts.filter((part) => !isKind(part, 'led') && !isKind(part, 'speaker')),
    };
    const { run } = followed(bare, design.started);
    const { high, low } = run.cycles['out1']!;
    const closed = timesOf(form, family, 9, { ra: values.ra ?? 0, r: values.r, farads: values.farads });
    // A single light begins where the discharge has left the capacitor, a little over nothing.
    const { dischargeVolts: v, dischargeOhms: ohms } = TIMERS[family];
    const foot = (9 / values.r + v / ohms) / (1 / values.r + 1 / ohms);
    const shot = values.r * values.farads * Math.log((9 - foot) / 3);
    expect(Math.abs(high! / (form === 'one-shot' ? shot : closed.high) - 1)).toBeLessThan(1e-3);
    if (form !== 'one-shot') expect(Math.abs(low! / closed.low - 1)).toBeLessThan(1e-3);
  });

  it('with a lamp on the output, the loaded form tells how much longer it is up', () => {
    const { sums } = worked('blink-simple', { supply: IDEAL, second: undefined });
    const [{ values, solved }] = ownSums(sums).timing! as [ChipTimes];
    const amps = sums.design.lamps[0]!.amps;
    const loaded = timesOf('output-driven', 'bipolar', 9, { ra: 0, ...values }, { up: amps, down: 0 });
    expect(Math.abs(solved.high / loaded.high - 1)).toBeLessThan(1e-3);
  });
});

describe('the blinker', () => {
  it('hangs the lamp from the rail where it is to be dark for longer, else from the output to ground', () => {
    const flash = worked('blink', { on: 0.4, off: 1.2 });
    const glow = worked('blink', { on: 1.2, off: 0.4 });
    expect(partOf(flash.design.circuit, 'D1')!.pins['cathode']).toBe('out1');
    expect(partOf(glow.design.circuit, 'D1')!.pins['cathode']).toBe('minus');
    for (const { design } of [flash, glow]) {
      const lamp = lampsSeen(followed(design.circuit))[0]!;
      const wished = design === flash.design ? 0.4 : 1.2;
      expect(Math.abs(lamp.litFor! / wished - 1)).toBeLessThan(0.08);
    }
  });

  it('takes other values by hand, and says how far they are off', () => {
    const taken = { U1: { ra: 1e5, r: 1e5, farads: 1e-5 } };
    const { sums } = worked('blink', { taken, supply: IDEAL });
    const { solved, options } = ownSums(sums).timing![0]!;
    expect(solved.high).toBeCloseTo(Math.LN2 * 2e5 * 1e-5, 2);
    expect(options[0]!.error).toBeCloseTo((solved.high + solved.low) / 1.5 - 1, 2);
  });

  it('offers other pairs, those of the same time constant marked', () => {
    const { options, values } = ownSums(worked('blink').sums).timing![0]!;
    expect(options.length).toBeGreaterThan(5);
    for (const option of options) {
      const same = Math.abs((option.r * option.farads) / (values.r * values.farads) - 1) < 1e-6;
      if (option.sameTime) expect(same).toBe(true);
      expect(Math.abs(option.error)).toBeLessThan(0.35);
    }
  });
});

describe('two timers', () => {
  it('let each colour flash in the other’s pause, about as often as was wished', () => {
    const { design } = worked('alternate', { flashes: 5, family: 'cmos' });
    const seen = followed(design.circuit);
    const [red, green] = ['D1', 'D2'].map((id) => spellsOf(seen.run, id));
    for (const spell of red!) {
      const middle = (spell.from + spell.to) / 2;
      expect(green!.some(({ from, to }) => from < middle && middle < to)).toBe(false);
    }
    const bursts = seen.run.cycles['out1']!.period!;
    const within = red!.filter(({ from }) => from > bursts && from < 2 * bursts).length;
    expect(within).toBeGreaterThanOrEqual(4);
    expect(within).toBeLessThanOrEqual(7);
  });

  it('light three lamps one after another, one at a time', () => {
    const { design } = worked('chain', { seconds: [1, 2, 1.5] });
    const seen = followed(design.circuit);
    const { period, high } = seen.run.cycles['out1']!;
    const lit = ['D1', 'D2', 'D3'].map((id) => lampsSeen(seen).find(({ part }) => part === id)!.litFor!);
    expect(lit[0]! + lit[1]! + lit[2]!).toBeCloseTo(period!, 2);
    expect(lit[1]! + lit[2]!).toBeCloseTo(high!, 2);
    [1, 2, 1.5].forEach((wished, i) => expect(Math.abs(lit[i]! / wished - 1)).toBeLessThan(0.25));
  });
});

describe('the tone', () => {
  it('goes an octave up with half of everything that charges', () => {
    const { sums } = worked('tone');
    const chip = ownSums(sums).timing![0]!;
    expect(pitchWith(chip, chip.values.r)).toBeCloseTo(chip.hertz, 9);
    const { ra = 0, r } = chip.values;
    expect(pitchWith(chip, r / 2) / chip.hertz).toBeCloseTo((ra + 2 * r) / (ra + r), 2);
  });

  it('keeps the output within what the chip stands', () => {
    const { design } = worked('tone');
    const seen = followed(design.circuit);
    const amps = seen.run.parts['U1']!.amps;
    expect(Math.max(...amps)).toBeLessThan(TIMERS.bipolar.sourceMost);
    expect(-Math.min(...amps)).toBeLessThan(TIMERS.bipolar.sinkMost);
  });
});

describe('a wish that cannot be had', () => {
  it.each([
    ['a pitch of 3 MHz', 'tone', { hertz: 3e6 }, 'no-such-time'],
    ['a share of the round beyond the drawer', 'blink', { on: 0.0005, off: 5 }, 'no-such-duty'],
    [
      'a supply below a bipolar chip',
      'blink',
      { supply: { kind: 'aa-alkaline', cells: 2, age: 'fresh' } },
      'chip-supply-low',
    ],
    [
      'a supply above a CMOS chip',
      'blink',
      { supply: { ...IDEAL, volts: 18 }, family: 'cmos' },
      'chip-supply-high',
    ],
    [
      'more lamp current than a CMOS output gives',
      'blink-simple',
      { family: 'cmos', amps: 0.02 },
      'chip-over-current',
    ],
    ['a first lamp longer than both others', 'chain', { seconds: [5, 1, 1] }, 'no-such-turn'],
    [
      'more volts than the output has left',
      'blink-simple',
      { lamp: 'blue', amps: 0.03, supply: { ...IDEAL, volts: 4.5 } },
      'cannot-light',
    ],
    [
      'a blinker whose lamp lights on what the output stays short of',
      'blink',
      {
        lamp: 'infrared',
        amps: 0.01,
        on: 0.5,
        off: 0.9,
        supply: { kind: 'aa-alkaline', cells: 4, age: 'fresh' },
      },
      'never-goes-out',
    ],
    ['a light of an hour', 'one-shot', { seconds: 3600 }, 'no-such-time'],
  ] as const)('%s is refused by name', (_, pattern, params, code) => {
    expect(refusedWith(pattern, params as never)).toMatchObject({ code });
  });

  it('is told the nearest that works, and that works', () => {
    const refusal = refusedWith('tone', { hertz: 3e6 });
    const { nearest } = refusal!.data as { nearest: number };
    expect(ownSums(worked('tone', { hertz: 1 / nearest }).sums).timing![0]!.hertz * nearest).toBeCloseTo(
      1,
      0,
    );
  });

  it('is told the longest that a capacitor holds out, and with which, and that works', () => {
    // A leak of 0.01·C·V at two thirds of the supply eats all of its charging current once R times C is 50 s.
    const refusal = refusedWith('one-shot', { seconds: 3600 })!;
    const { nearest, leaks } = refusal.data as { nearest: number; leaks: { ohms: number; farads: number } };
    expect(nearest).toBeLessThan(1.1 * 50);
    expect(nearest / (Math.log(3) * leaks.ohms * leaks.farads)).toBeCloseTo(1, 1);
    expect(ownSums(worked('one-shot', { seconds: nearest }).sums).timing![0]!.values.farads).toBe(
      leaks.farads,
    );
    // No drawer runs so fast: nothing leaks there.
    expect(refusedWith('tone', { hertz: 3e6 })!.data).not.toHaveProperty('leaks');
  });

  it('warns where lamps flash fast enough to trouble some eyes', () => {
    const codes = (seconds: number) =>
      worked('blink-simple', { seconds }).design.findings.map(({ code }) => code);
    expect(codes(0.15)).toContain('flashes-fast');
    expect(codes(1)).not.toContain('flashes-fast');
  });
});

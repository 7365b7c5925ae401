import { patternSheet, refusedWith, worked } from '../../../tests/support/sheets';
import { LAMPS } from '../catalogue/lamps';
import { SUPPLIES } from '../catalogue/supplies';
import { isKind, partOf } from '../circuit/circuit';
import { Junction } from '../devices/junction';
import { isGapped, isProbed } from '../observe/checkpoint';
import { decided } from '../observe/ruled';
import { solve } from '../solver/solve';
import { PATTERN_IDS } from './index';
import { ownSums } from '../../../tests/support/ownSums';

const block = { kind: 'block-9v', cells: 1, age: 'fresh' } as const;

const STILL = PATTERN_IDS.filter((pattern) => {
  const { seen, shows } = worked(pattern).design;
  return !seen && !shows;
});

describe.each(STILL)('%s', (pattern) => {
  const { design, sums } = worked(pattern);

  it('has a row of figures that agrees with the solver at every age', () => {
    const solved = solve(decided(design.circuit));
    if (!solved.ok) throw new Error('unsettled');
    const supply = design.circuit.parts.find((part) => isKind(part, 'supply'))!;
    expect(sums.design.amps).toBeCloseTo(-solved.value.parts[supply.id]!.amps, 9);
    for (const lamp of sums.design.lamps) {
      expect(lamp.amps).toBeCloseTo(solved.value.parts[lamp.part]!.amps, 9);
      expect(LAMPS[lamp.type]).toBeDefined();
    }
    expect(sums.ages.map(({ age }) => age)).toEqual(['fresh', 'nominal', 'tired']);
    expect(sums.ages[0]!.amps).toBeGreaterThanOrEqual(sums.ages[2]!.amps - 1e-12);
  });

  it('balances: the supply gives what lamps and heat take', () => {
    const { lamps, lostWatts, supplyVolts, amps } = sums.design;
    const light = lamps.reduce((sum, lamp) => sum + lamp.amps * lamp.volts, 0);
    expect(light + lostWatts).toBeCloseTo(supplyVolts * amps, 6);
  });
});

describe.each(PATTERN_IDS)('%s', (pattern) => {
  const { design } = worked(pattern);

  it('names the sort of every lamp, and checks only parts that it has', () => {
    const leds = design.circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id);
    expect(Object.keys(design.sorts).sort()).toEqual([...leds].sort());
    for (const point of design.checkpoints) {
      const refs = isProbed(point) ? [point.from, point.to] : isGapped(point) ? [point.gap] : [];
      for (const { part, pin } of refs) expect(partOf(design.circuit, part)?.pins[pin]).toBeDefined();
    }
    // Of a controller it is the pins that are read, not the rail inside it.
    const { program, rule } = ownSums(design.sums);
    const usual = rule ? ['reading lit', 'reading dark'] : ['pack', 'current'];
    const fed = program ? program.lamps.map(({ pin }) => `G${pin}`) : usual;
    expect(design.checkpoints.map(({ id }) => id)).toEqual(expect.arrayContaining(fed));
  });
});

describe('coin light', () => {
  it('is limited by the cell itself: V = 3.2 V through 12 Ω', () => {
    const { sums } = worked('coin-light', { lamp: 'white' });
    const { amps, volts } = sums.design.lamps[0]!;
    expect((3.2 - volts) / 12).toBeCloseTo(amps, 9);
    expect(amps).toBeCloseTo(14.2e-3, 3);
  });

  it('says that red is driven too hard straight across, and is fine with a resistor', () => {
    const straight = worked('coin-light', { lamp: 'red' });
    expect(straight.design.findings.map(({ code }) => code)).toContain('will-fail');
    const ways = straight.sums.ways;
    expect(ways.map(({ kind, works }) => [kind, works])).toEqual([
      ['none', false],
      ['own', true],
    ]);
    const resisted = worked('coin-light', { lamp: 'red', resistor: true, amps: 0.002 });
    expect(resisted.sums.design.lamps[0]!.amps).toBeLessThanOrEqual(0.002);
  });

  it('refuses two cells without a resistor', () => {
    expect(refusedWith('coin-light', { cells: 2 })).toMatchObject({ code: 'never-without-resistor' });
    expect(worked('coin-light', { cells: 2, resistor: true }).sums.supplyFigures.volts).toBeCloseTo(6.4, 9);
  });
});

describe('walk-down', () => {
  it('goes from a barely glowing lamp to the last value under its limit, and shows the first beyond', () => {
    const walk = ownSums(worked('walk-down', { lamp: 'red' }).sums).walk!;
    const ohms = walk.map((row) => row.ohms);
    expect([...ohms].sort((a, b) => b - a)).toEqual(ohms);
    expect(walk.filter(({ beyond }) => beyond)).toHaveLength(1);
    expect(walk[walk.length - 1]!.amps).toBeGreaterThan(0.02);
    expect(walk[walk.length - 2]!.amps).toBeLessThanOrEqual(0.02);
    expect(walk[0]!.amps).toBeLessThan(3e-4);
  });

  it('needs volts to walk in', () => {
    const supply = { kind: 'aa-nimh', cells: 1, age: 'fresh' } as const;
    expect(refusedWith('walk-down', { supply, lamp: 'blue' })).toMatchObject({ code: 'nothing-in-range' });
  });
});

describe('hogging', () => {
  it('leaves blue dark: red holds the supply at its own volts', () => {
    const { sums, design } = worked('hogging');
    const [red, green, blue] = sums.design.lamps;
    expect(red!.amps).toBeGreaterThan(0.0149);
    expect(green!.amps).toBeLessThan(1e-5);
    expect(blue!.amps).toBeLessThan(1e-6);
    expect(sums.design.supplyVolts).toBeCloseTo(new Junction(LAMPS.red).voltsAt(0.015), 3);
    expect(design.findings.map(({ code }) => code)).toContain('unequal-lamps');
  });

  it('is held to two per cent of the limit, and no nearer', () => {
    const { points } = patternSheet('hogging').expected;
    const { typical, low, high, worstLow, worstHigh } = points.find(({ id }) => id === 'current')!;
    expect(typical).toBeCloseTo(0.015, 6);
    expect([worstLow, worstHigh].map((amps) => amps / 0.015)).toEqual([
      expect.closeTo(0.98, 4),
      expect.closeTo(1.02, 4),
    ]);
    expect(high / low).toBeGreaterThan(1.03);
  });
});

describe('dimmer', () => {
  it('has a floor resistor for the top of the knob and a track for the bottom', () => {
    const { sums, design } = worked('dimmer');
    const knob = ownSums(sums).knob!;
    expect(knob[0]!.amps).toBeLessThanOrEqual(0.01);
    expect(knob[knob.length - 1]!.amps).toBeLessThanOrEqual(2e-4);
    for (let i = 1; i < knob.length; i++) expect(knob[i]!.amps).toBeLessThan(knob[i - 1]!.amps);
    // What was wished stands beside: the resistor and the track are the next values up, so both ends lie lower.
    expect(ownSums(sums).wished).toEqual({ low: 2e-4, high: 0.01 });
    const half = knob.find(({ position }) => position === 0.5)!;
    expect(sums.design.lamps[0]!.amps).toBeCloseTo(half.amps, 8);
    expect(design.circuit.parts.map(({ kind }) => kind)).toEqual([
      'supply',
      'resistor',
      'potentiometer',
      'led',
    ]);
  });

  it('refuses a low end above the high end', () => {
    expect(refusedWith('dimmer', { amps: 0.001, lowAmps: 0.002 })).toMatchObject({
      code: 'nothing-in-range',
    });
  });
});

describe('three-colour lamp', () => {
  it('meets each colour’s current with its own resistor, either way common', () => {
    for (const common of ['cathode', 'anode'] as const) {
      const { sums, design } = worked('rgb', { common });
      expect(sums.design.lamps.map(({ type }) => type)).toEqual(['red', 'green', 'blue']);
      expect(sums.design.lamps[0]!.amps).toBeLessThanOrEqual(0.01);
      expect(sums.design.lamps[0]!.amps).toBeGreaterThan(0.008);
      const end = common === 'cathode' ? 'cathode' : 'anode';
      const rail = common === 'cathode' ? 'minus' : 'plus';
      for (const part of design.circuit.parts) {
        if (isKind(part, 'led')) expect(part.pins[end]).toBe(rail);
      }
    }
  });

  it('shows on one resistor that red takes it all', () => {
    const { sums } = worked('rgb', { resistors: 'shared' });
    const [red, , blue] = sums.design.lamps;
    expect(red!.amps).toBeGreaterThan(1000 * blue!.amps);
    expect(sums.ways.find(({ taken }) => taken)!.works).toBe(false);
  });

  it('turns each colour by its own knob', () => {
    const up = worked('rgb', { drive: 'potentiometer', knobs: { red: 0, green: 0, blue: 0 } });
    const down = worked('rgb', { drive: 'potentiometer', knobs: { red: 1, green: 0, blue: 0 } });
    expect(down.sums.design.lamps[0]!.amps).toBeLessThan(0.1 * up.sums.design.lamps[0]!.amps);
    expect(down.sums.design.lamps[2]!.amps).toBeCloseTo(up.sums.design.lamps[2]!.amps, 4);
  });
});

describe('panel and lamp cover', () => {
  it('gives every lamp of a panel its resistor and the same current', () => {
    const { sums, design } = worked('panel', { rows: 2, columns: 5 });
    expect(design.circuit.parts).toHaveLength(1 + 20);
    const amps = sums.design.lamps.map((lamp) => lamp.amps);
    expect(Math.max(...amps) - Math.min(...amps)).toBeLessThan(1e-9);
    expect(sums.design.amps).toBeCloseTo(10 * amps[0]!, 9);
  });

  it('warns when a port cannot give it', () => {
    const supply = { kind: 'rail-3v3', cells: 1, age: 'fresh' } as const;
    const { design } = worked('panel', { rows: 5, columns: 8, lamp: 'red', amps: 0.01, supply });
    expect(design.findings.map(({ code }) => code)).toContain('supply-overloaded');
  });

  it('strings the cover so that the resistor keeps its share of twelve volts', () => {
    const { sums } = worked('lamp-cover');
    expect(sums.strings[0]!.lamps).toHaveLength(3);
    expect(sums.strings[0]!.voltsLeft).toBeGreaterThan(0.15 * 12);
    expect(sums.ways.map(({ length }) => length)).toEqual([1, 2, 3, 4]);
    expect(sums.ways[3]!.taken).toBe(false);
    expect(sums.ways[2]!.figures!.lostWatts).toBeLessThan(sums.ways[0]!.figures!.lostWatts);
  });
});

describe('a measured battery', () => {
  it('stands in for the table at its age, and leaves what it will come to', () => {
    const measured = { volts: 8.61, ohms: 3.4 };
    const { sums } = worked('strings', { supply: { ...block, measured } });
    expect(sums.supplyFigures).toMatchObject(measured);
    expect(sums.ages[0]!.supplyVolts).toBeCloseTo(8.61 - 3.4 * sums.ages[0]!.amps, 9);
    // As labelled a block has 9 V: that is behind this one.
    expect(sums.ages.map(({ age }) => age)).toEqual(['fresh', 'tired']);
    const tired = sums.ages[1]!;
    expect(tired.supplyVolts).toBeCloseTo(
      SUPPLIES['block-9v'].volts.tired - SUPPLIES['block-9v'].ohms.tired * tired.amps,
      9,
    );
  });
});

describe('mains and too many volts', () => {
  it('are refused by every pattern that takes a supply', () => {
    const bench = (volts: number) =>
      ({ kind: 'bench', cells: 1, age: 'fresh', volts, limitAmps: 0.1 }) as const;
    for (const pattern of ['walk-down', 'strings', 'dimmer', 'rgb', 'gauge', 'panel'] as const) {
      expect(refusedWith(pattern, { supply: bench(230) } as never)).toMatchObject({ code: 'mains-refused' });
      expect(refusedWith(pattern, { supply: bench(30) } as never)).toMatchObject({ code: 'supply-too-high' });
    }
    expect(refusedWith('hogging', { volts: 110 })).toMatchObject({ code: 'mains-refused' });
  });
});

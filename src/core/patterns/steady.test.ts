import { choiceWith, requestWith } from '../../../tests/support/sheets';
import { LAMPS } from '../catalogue/lamps';
import { SUPPLIES } from '../catalogue/supplies';
import { isKind, partOf } from '../circuit/circuit';
import { isGapped, isProbed } from '../observe/checkpoint';
import { workOut } from '../sheet/sheet';
import { solve } from '../solver/solve';
import { Junction } from '../devices/junction';
import type { ParamsOf } from '../sheet/choice';
import { PATTERN_IDS, type PatternId } from './index';
import { stringsOf } from './strings/strings';

function worked<Id extends PatternId>(pattern: Id, params: Partial<ParamsOf<Id>> = {}, more: object = {}) {
  const made = workOut({ ...requestWith(), choice: choiceWith(pattern, params), ...more });
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  const design = made.value;
  return { design, steady: design.sums };
}

function refusal<Id extends PatternId>(pattern: Id, params: Partial<ParamsOf<Id>>) {
  const made = workOut({ ...requestWith(), choice: choiceWith(pattern, params) });
  return made.ok ? undefined : made.findings[0]!;
}

const block = { kind: 'block-9v', cells: 1, age: 'fresh' } as const;

describe.each(PATTERN_IDS)('%s', (pattern) => {
  const { design, steady } = worked(pattern);

  it('has a row of figures that agrees with the solver at every age', () => {
    const solved = solve(design.circuit);
    if (!solved.ok) throw new Error('unsettled');
    const supply = design.circuit.parts.find((part) => isKind(part, 'supply'))!;
    expect(steady.design.amps).toBeCloseTo(-solved.value.parts[supply.id]!.amps, 9);
    for (const lamp of steady.design.lamps) {
      expect(lamp.amps).toBeCloseTo(solved.value.parts[lamp.part]!.amps, 9);
      expect(LAMPS[lamp.type]).toBeDefined();
    }
    expect(steady.ages.map(({ age }) => age)).toEqual(['fresh', 'nominal', 'tired']);
    expect(steady.ages[0]!.amps).toBeGreaterThanOrEqual(steady.ages[2]!.amps - 1e-12);
  });

  it('balances: the supply gives what lamps and heat take', () => {
    const { lamps, lostWatts, supplyVolts, amps } = steady.design;
    const light = lamps.reduce((sum, lamp) => sum + lamp.amps * lamp.volts, 0);
    expect(light + lostWatts).toBeCloseTo(supplyVolts * amps, 6);
  });

  it('names the sort of every lamp, and checks only parts that it has', () => {
    const leds = design.circuit.parts.filter((part) => isKind(part, 'led')).map(({ id }) => id);
    expect(Object.keys(design.sorts).sort()).toEqual([...leds].sort());
    for (const point of design.checkpoints) {
      const refs = isProbed(point) ? [point.from, point.to] : isGapped(point) ? [point.gap] : [];
      for (const { part, pin } of refs) expect(partOf(design.circuit, part)?.pins[pin]).toBeDefined();
    }
    expect(design.checkpoints.map(({ id }) => id)).toEqual(expect.arrayContaining(['pack', 'current']));
  });
});

const volts = (type: 'blue' | 'red') => new Junction(LAMPS[type]).voltsAt(0.008);

describe('strings: three blue and two red off nine volts, 8 mA', () => {
  const { steady, design } = worked('strings', { way: { kind: 'strings', length: 2 } });
  const way = (kind: string, length: number) =>
    steady.ways.find((w) => w.kind === kind && w.length === length && w.supply === steady.supply)!;

  it('of two light all lamps, fresh and tired, at least current', () => {
    expect(steady.ways.find(({ taken }) => taken)).toMatchObject({ kind: 'strings', length: 2 });
    expect(design.circuit.parts.filter((part) => isKind(part, 'resistor'))).toHaveLength(3);
    expect(steady.design.lamps.every(({ amps }) => amps > 6.9e-3 && amps <= 8.0e-3)).toBe(true);
  });

  it('has the sum of each string as by hand', () => {
    const blue = new Junction(LAMPS.blue).voltsAt(0.008);
    const sum = steady.strings[0]!;
    expect(sum.lampVolts).toBeCloseTo(2 * blue, 9);
    expect(sum.voltsLeft).toBeCloseTo(9.5 - 2 * blue, 9);
    // Three strings pass through the block's own 1.7 Ω.
    expect(sum.exactOhms).toBeCloseTo((9.5 - 2 * blue) / 0.008 - 3 * 1.7, 6);
    expect(sum.chosen).toBe(470);
  });

  it('shows the others with their reason: strings too long, and one resistor for all', () => {
    expect(way('own', 1)).toMatchObject({ works: true, figures: { lamps: 5, litFresh: 5, litTired: 5 } });
    expect(way('own', 1).figures!.amps).toBeGreaterThan(1.5 * way('strings', 2).figures!.amps);
    expect(way('strings', 2).figures!.hours!).toBeGreaterThan(1.5 * way('own', 1).figures!.hours!);
    expect(way('strings', 3)).toMatchObject({ works: false, figures: { litFresh: 5, litTired: 2 } });
    expect(way('strings', 4).why[0]).toMatchObject({
      code: 'cannot-light',
      // Two strings would pass through the block's own 1.7 Ω.
      data: { needVolts: expect.closeTo(3 * volts('blue') + volts('red') + 2 * 1.7 * 0.008, 9) },
    });
    const shared = way('shared', 1);
    expect(shared.works).toBe(false);
    expect(shared.why[0]).toMatchObject({ code: 'unequal-lamps', data: { dark: 3, over: 2 } });
    const amps = shared.why[0]!.code === 'unequal-lamps' ? shared.why[0]!.data.lamps.map((l) => l.amps) : [];
    expect(amps[0]!).toBeLessThan(1e-6);
    expect(amps[4]!).toBeGreaterThan(0.02);
  });

  it('compares other supplies, and prices what the store can price', () => {
    const elsewhere = steady.ways.filter((w) => w.supply !== steady.supply);
    expect(elsewhere.map((w) => w.supply.kind)).toEqual(['usb', 'aa-alkaline', 'aa-alkaline']);
    expect(way('own', 1).figures!.cents).toBeUndefined();
    const stock = [
      { spec: { kind: 'led', lamp: 'blue' }, have: 9, packSize: 10, packCents: 200 },
      { spec: { kind: 'led', lamp: 'red' }, have: 9, packSize: 10, packCents: 100 },
      { spec: { kind: 'resistor', ohms: 470 }, have: 9, packSize: 10, packCents: 30 },
      { spec: { kind: 'resistor', ohms: 820 }, have: 9, packSize: 10, packCents: 30 },
    ];
    const priced = worked('strings', { way: { kind: 'strings', length: 2 } }, { stock }).steady.ways.find(
      ({ taken }) => taken,
    )!;
    expect(priced.figures!.cents).toBeCloseTo(3 * 20 + 2 * 10 + 3 * 3, 9);
  });

  it('lets the educator overrule', () => {
    const own = worked('strings', { way: { kind: 'own' } });
    expect(own.design.circuit.parts.filter((part) => isKind(part, 'resistor'))).toHaveLength(5);
    const shared = worked('strings', { way: { kind: 'shared' } });
    expect(shared.design.findings.map(({ code }) => code)).toContain('unequal-lamps');
  });

  it('puts like lamps together, and what is left over in a string of its own', () => {
    expect(stringsOf(['blue', 'blue', 'blue', 'red', 'red'], 2)).toEqual([
      ['blue', 'blue'],
      ['red', 'red'],
      ['blue'],
    ]);
    expect(stringsOf(['red', 'blue'], 2)).toEqual([['red', 'blue']]);
  });
});

describe('coin light', () => {
  it('is limited by the cell itself: V = 3.2 V through 12 Ω', () => {
    const { steady } = worked('coin-light', { lamp: 'white' });
    const { amps, volts } = steady.design.lamps[0]!;
    expect((3.2 - volts) / 12).toBeCloseTo(amps, 9);
    expect(amps).toBeCloseTo(14.2e-3, 3);
  });

  it('says that red is driven too hard straight across, and is fine with a resistor', () => {
    const straight = worked('coin-light', { lamp: 'red' });
    expect(straight.design.findings.map(({ code }) => code)).toContain('will-fail');
    const ways = straight.steady.ways;
    expect(ways.map(({ kind, works }) => [kind, works])).toEqual([
      ['none', false],
      ['own', true],
    ]);
    const resisted = worked('coin-light', { lamp: 'red', resistor: true, amps: 0.002 });
    expect(resisted.steady.design.lamps[0]!.amps).toBeLessThanOrEqual(0.002);
  });

  it('refuses two cells without a resistor', () => {
    expect(refusal('coin-light', { cells: 2 })).toMatchObject({ code: 'never-without-resistor' });
    expect(worked('coin-light', { cells: 2, resistor: true }).steady.supplyFigures.volts).toBeCloseTo(6.4, 9);
  });
});

describe('walk-down', () => {
  it('goes from a barely glowing lamp to the last value under its limit, and shows the first beyond', () => {
    const walk = worked('walk-down', { lamp: 'red' }).steady.walk!;
    const ohms = walk.map((row) => row.ohms);
    expect([...ohms].sort((a, b) => b - a)).toEqual(ohms);
    expect(walk.filter(({ beyond }) => beyond)).toHaveLength(1);
    expect(walk[walk.length - 1]!.amps).toBeGreaterThan(0.02);
    expect(walk[walk.length - 2]!.amps).toBeLessThanOrEqual(0.02);
    expect(walk[0]!.amps).toBeLessThan(3e-4);
  });

  it('needs volts to walk in', () => {
    const supply = { kind: 'aa-nimh', cells: 1, age: 'fresh' } as const;
    expect(refusal('walk-down', { supply, lamp: 'blue' })).toMatchObject({ code: 'nothing-in-range' });
  });
});

describe('hogging', () => {
  it('leaves blue dark: red holds the supply at its own volts', () => {
    const { steady, design } = worked('hogging');
    const [red, green, blue] = steady.design.lamps;
    expect(red!.amps).toBeGreaterThan(0.0149);
    expect(green!.amps).toBeLessThan(1e-5);
    expect(blue!.amps).toBeLessThan(1e-6);
    expect(steady.design.supplyVolts).toBeCloseTo(new Junction(LAMPS.red).voltsAt(0.015), 3);
    expect(design.findings.map(({ code }) => code)).toContain('unequal-lamps');
  });
});

describe('dimmer', () => {
  it('has a floor resistor for the top of the knob and a track for the bottom', () => {
    const { steady, design } = worked('dimmer');
    const knob = steady.knob!;
    expect(knob[0]!.amps).toBeLessThanOrEqual(0.01);
    expect(knob[knob.length - 1]!.amps).toBeLessThanOrEqual(2e-4);
    for (let i = 1; i < knob.length; i++) expect(knob[i]!.amps).toBeLessThan(knob[i - 1]!.amps);
    const half = knob.find(({ position }) => position === 0.5)!;
    expect(steady.design.lamps[0]!.amps).toBeCloseTo(half.amps, 8);
    expect(design.circuit.parts.map(({ kind }) => kind)).toEqual([
      'supply',
      'resistor',
      'potentiometer',
      'led',
    ]);
  });

  it('refuses a low end above the high end', () => {
    expect(refusal('dimmer', { amps: 0.001, lowAmps: 0.002 })).toMatchObject({ code: 'nothing-in-range' });
  });
});

describe('three-colour lamp', () => {
  it('meets each colour’s current with its own resistor, either way common', () => {
    for (const common of ['cathode', 'anode'] as const) {
      const { steady, design } = worked('rgb', { common });
      expect(steady.design.lamps.map(({ type }) => type)).toEqual(['red', 'green', 'blue']);
      expect(steady.design.lamps[0]!.amps).toBeLessThanOrEqual(0.01);
      expect(steady.design.lamps[0]!.amps).toBeGreaterThan(0.008);
      const end = common === 'cathode' ? 'cathode' : 'anode';
      const rail = common === 'cathode' ? 'minus' : 'plus';
      for (const part of design.circuit.parts) {
        if (isKind(part, 'led')) expect(part.pins[end]).toBe(rail);
      }
    }
  });

  it('shows on one resistor that red takes it all', () => {
    const { steady } = worked('rgb', { resistors: 'shared' });
    const [red, , blue] = steady.design.lamps;
    expect(red!.amps).toBeGreaterThan(1000 * blue!.amps);
    expect(steady.ways.find(({ taken }) => taken)!.works).toBe(false);
  });

  it('turns each colour by its own knob', () => {
    const up = worked('rgb', { drive: 'potentiometer', knobs: { red: 0, green: 0, blue: 0 } });
    const down = worked('rgb', { drive: 'potentiometer', knobs: { red: 1, green: 0, blue: 0 } });
    expect(down.steady.design.lamps[0]!.amps).toBeLessThan(0.1 * up.steady.design.lamps[0]!.amps);
    expect(down.steady.design.lamps[2]!.amps).toBeCloseTo(up.steady.design.lamps[2]!.amps, 4);
  });
});

describe('gauge', () => {
  it('lights its rungs near the wished volts, in their order', () => {
    const { steady } = worked('gauge');
    const lit = steady.rungs!.map((rung) => rung.lit!);
    expect([...lit].sort((a, b) => a - b)).toEqual(lit);
    for (const rung of steady.rungs!) expect(Math.abs(rung.lit! - rung.wanted)).toBeLessThan(0.6);
    for (const rung of steady.rungs!) expect(rung.fullAmps).toBeLessThanOrEqual(0.0101);
  });

  it('has its thresholds where the solver finds a milliamp', () => {
    const { steady, design } = worked('gauge');
    const rung = steady.rungs![0]!;
    const at = {
      ...design.circuit,
      parts: design.circuit.parts.map((part) =>
        isKind(part, 'supply') ? { ...part, params: { ...part.params, volts: rung.lit! } } : part,
      ),
    };
    const solved = solve(at);
    expect(solved.ok && solved.value.parts[rung.lamp]!.amps).toBeCloseTo(1e-3, 6);
  });

  it('says when two rungs would light together', () => {
    const rungs = [11.6, 12].map((volts) => ({ lamp: 'red' as const, volts }));
    const { design, steady } = worked('gauge', { rungs });
    expect(steady.rungs![0]!.zener).toBe(steady.rungs![1]!.zener);
    expect(design.findings).toContainEqual(
      expect.objectContaining({
        code: 'rungs-alike',
        data: expect.objectContaining({ first: 'D1', second: 'D2' }),
      }),
    );
    expect(worked('gauge').design.findings.map(({ code }) => code)).not.toContain('rungs-alike');
  });

  it('says when no zener comes near', () => {
    expect(
      refusal('gauge', {
        rungs: [
          { lamp: 'red', volts: 4 },
          { lamp: 'red', volts: 11 },
        ],
      }),
    ).toMatchObject({ code: 'no-zener', data: { volts: 4 } });
  });
});

describe('panel and lamp cover', () => {
  it('gives every lamp of a panel its resistor and the same current', () => {
    const { steady, design } = worked('panel', { rows: 2, columns: 5 });
    expect(design.circuit.parts).toHaveLength(1 + 20);
    const amps = steady.design.lamps.map((lamp) => lamp.amps);
    expect(Math.max(...amps) - Math.min(...amps)).toBeLessThan(1e-9);
    expect(steady.design.amps).toBeCloseTo(10 * amps[0]!, 9);
  });

  it('warns when a port cannot give it', () => {
    const supply = { kind: 'rail-3v3', cells: 1, age: 'fresh' } as const;
    const { design } = worked('panel', { rows: 5, columns: 8, lamp: 'red', amps: 0.01, supply });
    expect(design.findings.map(({ code }) => code)).toContain('supply-overloaded');
  });

  it('strings the cover so that the resistor keeps its share of twelve volts', () => {
    const { steady } = worked('lamp-cover');
    expect(steady.strings[0]!.lamps).toHaveLength(3);
    expect(steady.strings[0]!.voltsLeft).toBeGreaterThan(0.15 * 12);
    expect(steady.ways.map(({ length }) => length)).toEqual([1, 2, 3, 4]);
    expect(steady.ways[3]!.taken).toBe(false);
    expect(steady.ways[2]!.figures!.lostWatts).toBeLessThan(steady.ways[0]!.figures!.lostWatts);
  });
});

describe('a measured battery', () => {
  it('stands in for the table at its age, and leaves the others', () => {
    const measured = { volts: 8.61, ohms: 3.4 };
    const { steady } = worked('strings', { supply: { ...block, measured } });
    expect(steady.supplyFigures).toMatchObject(measured);
    expect(steady.ages[0]!.supplyVolts).toBeCloseTo(8.61 - 3.4 * steady.ages[0]!.amps, 9);
    const tired = steady.ages[2]!;
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
      expect(refusal(pattern, { supply: bench(230) } as never)).toMatchObject({ code: 'mains-refused' });
      expect(refusal(pattern, { supply: bench(30) } as never)).toMatchObject({ code: 'supply-too-high' });
    }
    expect(refusal('hogging', { volts: 110 })).toMatchObject({ code: 'mains-refused' });
  });
});

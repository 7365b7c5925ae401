import { patternSheet, requestWith, ROWS_ONLY, sheetWith } from '../../../tests/support/sheets';
import { partOf } from '../circuit/circuit';
import { shiftPart, turnPart } from '../board/edits';
import { placementOf } from '../board/plan';
import { LOSS_RATES, sparesFor } from '../kits/spares';
import { stockKey, type StockItem } from '../kits/stock';
import { PATTERNS } from '../patterns/index';
import { DEFAULT_STYLE } from '../patterns/style';
import { cautionsAt } from './cautions';
import type { PatternChoice } from './choice';
import { makeSheet, type Sheet } from './sheet';

describe('one sheet from one circuit', () => {
  const sheet = sheetWith({}, ROWS_ONLY);

  it('has a plan that reads back as the circuit of the sums', () => {
    expect(sheet.built.asWanted).toBe(true);
    expect(sheet.built.seen!.parts['D1']!.amps).toBeCloseTo(sheet.sums.design.amps, 9);
    const resistor = partOf(sheet.circuit, 'R1');
    expect(resistor?.kind === 'resistor' && resistor.params.ohms).toBe(sheet.loop.chosen);
  });

  it('names in its steps every leg of the plan, and no other hole', () => {
    const planned = sheet.plan.placements.flatMap((p) =>
      Object.entries(p.legs).map(([pin, hole]) => `${p.part} ${pin} ${hole}`),
    );
    const built = sheet.steps.flatMap((s) =>
      'legs' in s ? s.legs.map((l) => `${s.part} ${l.pin} ${l.hole}`) : [],
    );
    expect([...built].sort()).toEqual([...planned].sort());
  });

  it('counts in its kit every part of the plan', () => {
    const inKit = sheet.kit.lines.flatMap((line) => line.parts);
    for (const { part } of sheet.plan.placements) expect(inKit).toContain(part);
  });

  it('builds low parts first, power last, minus first, with a gate before and after', () => {
    const order = sheet.steps.map((s) => s.id);
    expect(order).toEqual(['W1', 'W2', 'R1', 'D1', 'before-power', 'B1-minus', 'B1-plus', 'after-power']);
    const lamp = sheet.steps.find((s) => s.id === 'D1');
    if (lamp?.action !== 'place-part') throw new Error('no lamp step');
    expect(lamp.polarised).toBe(true);
    expect(lamp.legs).toEqual([
      { pin: 'anode', hole: 'e8', cue: 'long-leg' },
      { pin: 'cathode', hole: 'e9', cue: 'flat-edge' },
    ]);
    expect(lamp.positive!.hole).toBe('e8');
    expect(lamp.positive!.volts).toBeCloseTo(sheet.sums.design.lamps[0]!.volts, 6);
  });

  it('stands its legs in the rails by itself: no wire but the one that is left to be opened', () => {
    const { plan, built } = sheetWith();
    expect(built.asWanted).toBe(true);
    expect(plan.placements.filter(({ kind }) => kind === 'jumper').length).toBeLessThan(2);
    expect(placementOf(plan, 'R1')!.legs['a']).toMatch(/^L\+/u);
  });

  it('takes longer with younger hands', () => {
    expect(sheetWith({}, { ...ROWS_ONLY, ageGroup: '8–9' }).minutes).toBeCloseTo(sheet.minutes * 1.4, 9);
    expect(sheetWith({}, { ...ROWS_ONLY, ageGroup: '13 and up' }).minutes).toBeLessThan(sheet.minutes);
  });

  it('keeps a plan arranged by hand while it makes the circuit', () => {
    const moved = shiftPart(sheet.plan, 'R1', 0, -1);
    if (!moved.ok) throw new Error('refused');
    const kept = sheetWith({}, { ...ROWS_ONLY, plan: moved.value });
    expect(kept.planKept).toBe(true);
    expect(kept.plan).toEqual(moved.value);
    expect(kept.steps.find((s) => s.id === 'R1')).toMatchObject({ legs: [{ hole: 'b3' }, { hole: 'b8' }] });
  });

  it('lays the plan out anew when the kept one no longer makes the circuit', () => {
    const turned = turnPart(sheet.plan, 'D1');
    if (!turned.ok) throw new Error('refused');
    const anew = sheetWith({}, { ...ROWS_ONLY, plan: turned.value });
    expect(anew.planKept).toBe(false);
    expect(anew.built.asWanted).toBe(true);
    // The lamp stays as it was turned by hand; the rest is laid out around it.
    const lamp = turned.value.placements.find(({ part }) => part === 'D1')!;
    expect(anew.plan.placements).toContainEqual(lamp);
    const minus = sheetWith({ side: 'minus' }, { ...ROWS_ONLY, plan: sheet.plan });
    expect(minus.planKept).toBe(false);
    expect(minus.built.asWanted).toBe(true);
  });

  it('lets the plan before serve again while only values change', () => {
    const { plan, method, layoutKey } = sheet;
    if (method === 'kept') throw new Error('not laid out');
    const earlier = { plan, method, layoutKey };
    const other = sheetWith({ amps: 0.004, lamp: 'green' }, { ...ROWS_ONLY, earlier });
    expect(other.plan).toBe(plan);
    expect(other.built.asWanted).toBe(true);
    expect(other.planKept).toBe(false);
    expect(other.built.seen!.parts['D1']!.amps).toBeCloseTo(other.sums.design.amps, 9);
    const turned = sheetWith({ side: 'minus' }, { ...ROWS_ONLY, earlier });
    expect(turned.plan).not.toEqual(plan);
    expect(turned.built.asWanted).toBe(true);
    const wires = sheetWith({}, { earlier, style: { ...ROWS_ONLY.style, wires: 'any' } });
    expect(wires.plan.placements[0]!.colour).toBe('green');
  });

  it('passes refusals through', () => {
    const refused = makeSheet(
      requestWith({ supply: { kind: 'coin-20mm', cells: 1, age: 'tired' }, lamp: 'violet', amps: 0.02 }),
    );
    expect(refused.ok || refused.findings[0]!.code).toBe('cannot-light');
  });

  it('is the same for the same request', () => {
    expect(JSON.stringify(sheetWith({}, ROWS_ONLY))).toBe(JSON.stringify(sheet));
  });
});

describe('the kit', () => {
  const stock: StockItem[] = [
    { spec: { kind: 'resistor', ohms: 330 }, have: 20, packSize: 50, packCents: 150 },
    { spec: { kind: 'led', lamp: 'red' }, have: 3, packSize: 10, packCents: 100 },
    { spec: { kind: 'cell', supply: 'aa-alkaline' }, have: 0, packSize: 12, packCents: 480 },
  ];
  const { kit } = sheetWith({}, { ...ROWS_ONLY, stock });
  const line = (key: string) => kit.lines.find((l) => l.key === key)!;

  it('multiplies, adds spares, and buys whole packs of what is short', () => {
    expect(line('led red')).toMatchObject({ each: 1, forGroup: 14, have: 3, packSize: 10 });
    expect(line('led red').need).toBe(14 + line('led red').spares);
    expect(line('led red').short).toBe(line('led red').need - 3);
    expect(line('led red').packs).toBe(Math.ceil(line('led red').short / 10));
    expect(line('led red').buyCents).toBe(line('led red').packs * 100);
    expect(line('resistor 330')).toMatchObject({ short: 0, packs: 0, buyCents: 0 });
    expect(line('cell aa-alkaline')).toMatchObject({ each: 3, forGroup: 42 });
    expect(line('jumper')).toMatchObject({ each: 2, parts: ['W1', 'W2'] });
  });

  it('says what one kit costs, and which lines have no price', () => {
    expect(kit.eachCents).toBeCloseTo(150 / 50 + 100 / 10 + (3 * 480) / 12, 9);
    expect(kit.unpriced).toEqual(expect.arrayContaining(['holder aa-alkaline 3', 'board half', 'jumper']));
  });

  it('counts spares so that running out is as rare as was asked', () => {
    for (const inUse of [1, 5, 14, 40]) {
      for (const rate of Object.values(LOSS_RATES)) {
        const spares = sparesFor(inUse, rate, 0.05);
        const chanceOfMore = (s: number) => {
          let sum = 0;
          for (let k = 0, ways = 1; k <= s; ways = (ways * (inUse + s - k)) / (k + 1), k++) {
            sum += ways * rate ** k * (1 - rate) ** (inUse + s - k);
          }
          return 1 - sum;
        };
        expect(chanceOfMore(spares)).toBeLessThanOrEqual(0.05 + 1e-12);
        if (spares > 0) expect(chanceOfMore(spares - 1)).toBeGreaterThan(0.05);
      }
    }
    expect(sparesFor(0, 0.1, 0.05)).toBe(0);
  });

  it('matches stock by what a part is', () => {
    expect(stockKey({ kind: 'holder', supply: 'aa-alkaline', cells: 3 })).toBe('holder aa-alkaline 3');
    const usb = sheetWith({ supply: { kind: 'usb', cells: 1, age: 'nominal' } });
    expect(usb.kit.lines.map((l) => l.key)).toContain('supply usb');
  });
});

describe('cautions', () => {
  const codes = (params: Parameters<typeof sheetWith>[0]) => sheetWith(params).cautions.map((c) => c.code);

  it('are those that apply', () => {
    expect(codes({})).toEqual(
      expect.arrayContaining(['extra-low-voltage', 'cells-not-shorted', 'power-off-first']),
    );
    expect(codes({})).not.toContain('coin-cells');
    expect(codes({ supply: { kind: 'coin-20mm', cells: 1, age: 'fresh' }, amps: 0.002 })).toContain(
      'coin-cells',
    );
    expect(codes({ supply: { kind: 'block-9v', cells: 1, age: 'fresh' } })).toContain('block-terminals');
    expect(codes({ supply: { kind: 'lead-acid-12v', cells: 1, age: 'fresh' } })).toContain(
      'accumulator-fuse',
    );
    expect(codes({ supply: { kind: 'usb', cells: 1, age: 'nominal' }, lamp: 'blue' })).toContain(
      'bright-lamp',
    );
    expect(codes({ lamp: 'violet' })).toContain('violet-eyes');
    expect(codes({ lamp: 'infrared' })).toContain('infrared-unseen');
    const hot = {
      supply: { kind: 'bench', cells: 1, age: 'fresh', volts: 24, limitAmps: 0.1 },
      amps: 0.02,
    } as const;
    expect(codes(hot)).toContain('warm-resistor');
  });

  it('stand at their steps', () => {
    const sheet = sheetWith({ lamp: 'violet' });
    const at = (id: string) =>
      cautionsAt(
        sheet.steps.find((s) => s.id === id)!,
        sheet.cautions,
      ).map((c) => c.code);
    expect(at('D1')).toEqual(['violet-eyes']);
    expect(at('R1')).toEqual(['never-without-resistor']);
    expect(at('before-power')).toEqual(['cells-not-shorted', 'power-off-first']);
    expect(at('after-power')).toEqual(['hot-smell-stop']);
    expect(at('W1')).toEqual([]);
  });

  it('follow the style: five bands make one per cent', () => {
    const { circuit } = sheetWith({}, { style: { ...DEFAULT_STYLE, bands: 5 } });
    const resistor = partOf(circuit, 'R1');
    expect(resistor?.kind === 'resistor' && resistor.params.tolerance).toBe(0.01);
  });

  it('say to pull the cable where a controller feeds the board, and stand at the resistor that guards a lamp', () => {
    const { cautions, steps } = patternSheet('dusk-controller', {});
    expect(cautions.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['cable-out-first', 'hot-smell-cable']),
    );
    expect(cautions.map(({ code }) => code)).not.toContain('hot-smell-stop');
    const codesAt = (id: string) =>
      cautionsAt(
        steps.find((step) => step.id === id)!,
        cautions,
        steps,
      ).map(({ code }) => code);
    // R2 stands beside the sensor, and is on the board before it.
    expect(steps.findIndex(({ id }) => id === 'R2')).toBeLessThan(steps.findIndex(({ id }) => id === 'R1'));
    expect(codesAt('R2')).toEqual([]);
    expect(codesAt('R1')).toContain('never-without-resistor');
  });
});

describe('a first look', () => {
  it.each(['alternate', 'strings', 'light-switch', 'panel'] as const)(
    'of %s has the plan, the steps and the lamps of the whole sheet, and no band that is not drawn yet',
    (pattern) => {
      const build = { board: 'full', spacing: 'clear', held: 'upright' } as const;
      const choice = { pattern, params: PATTERNS[pattern].defaults(DEFAULT_STYLE), build } as PatternChoice;
      const request = { ...requestWith(), choice };
      const [look, whole] = [makeSheet({ ...request, outline: true }), makeSheet(request)];
      if (!look.ok || !whole.ok) throw new Error('refused');
      expect(look.value.outline).toBe(true);
      expect(whole.value.outline).toBeUndefined();
      expect(look.value.expected.points).toEqual([]);
      expect(look.value.circuit).toEqual(whole.value.circuit);
      expect(look.value.plan).toEqual(whole.value.plan);
      expect(look.value.steps.map(({ id }) => id)).toEqual(whole.value.steps.map(({ id }) => id));
      const readings = ({ steps }: Sheet) =>
        steps.flatMap((step) => ('gate' in step ? step.gate.readings : []));
      const meant = readings(whole.value);
      for (const [i, { id, typical }] of readings(look.value).entries()) {
        expect(meant[i]!.id).toBe(id);
        // The added current of a batch is the middle of its draws.
        expect(typical / meant[i]!.typical).toBeCloseTo(1, 2);
      }
      for (const { part, amps } of whole.value.sums.design.lamps)
        expect(look.value.sums.design.lamps.find((lamp) => lamp.part === part)!.amps).toBeCloseTo(amps, 9);
    },
  );
});

describe('a pack that was measured', () => {
  const measured = { volts: 4.2, ohms: 1.1 };
  const own = sheetWith({ supply: { kind: 'aa-alkaline', cells: 3, age: 'fresh', measured } });
  const fresh = sheetWith({ supply: { kind: 'aa-alkaline', cells: 3, age: 'fresh' } });

  it('has itself and what it will come to for ages: what it was before is over', () => {
    // As labelled three cells have 4.5 V, more than it has left; tired they have 3.6 V.
    expect(own.sums.ages.map(({ age }) => age)).toEqual(['fresh', 'tired']);
    const [now] = own.sums.ages;
    expect(now!.supplyVolts).toBeCloseTo(4.2 - 1.1 * now!.amps, 6);
    expect(fresh.sums.ages.map(({ age }) => age)).toEqual(['fresh', 'nominal', 'tired']);
  });

  it('has the hours that are left in it, and no rule of thumb for a whole charge', () => {
    expect(own.sums.life!.useful).toBeLessThan(fresh.sums.life!.useful);
    expect(own.sums.life!.toEmpty).toBeLessThan(0.8 * fresh.sums.life!.toEmpty);
    expect([own.loop.hours, fresh.loop.hours !== undefined]).toEqual([undefined, true]);
  });
});

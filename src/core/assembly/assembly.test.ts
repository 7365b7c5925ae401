import { patternSheet, sheetWith } from '../../../tests/support/sheets';
import type { Sheet } from '../sheet/sheet';
import { AGE_FACTORS } from './pace';
import { blocksOf } from './blocks';
import { soldering, totalMinutes } from './steps';
import { tapesOf } from './taped';
import { ownSums } from '../../../tests/support/ownSums';

const actions = (sheet: Sheet) => sheet.steps.map(({ action }) => action);
const step = <A extends Sheet['steps'][number]['action']>(sheet: Sheet, action: A) =>
  sheet.steps.filter((s): s is Extract<Sheet['steps'][number], { action: A }> => s.action === action);

describe('blocks of a plan', () => {
  const panel = patternSheet('panel', { rows: 1, columns: 4 }, 'half');

  it('are its strings in the order of the lesson, like ones said to be like', () => {
    const blocks = blocksOf(panel.plan, panel.circuit);
    expect(blocks.map(({ pieces }) => pieces.map(({ part }) => part))).toEqual([
      ['R1', 'D1'],
      ['R2', 'D2'],
      ['R3', 'D3'],
      ['R4', 'D4'],
    ]);
    expect(blocks.map(({ like }) => like)).toEqual([undefined, 1, 1, 1]);
  });

  it('hold every wire once', () => {
    const wires = blocksOf(panel.plan, panel.circuit).flatMap(({ jumpers }) =>
      jumpers.map(({ part }) => part),
    );
    const placed = panel.plan.placements.filter(({ kind }) => kind === 'jumper').map(({ part }) => part);
    expect([...wires].sort()).toEqual([...placed].sort());
  });

  it('are alike only with the same values', () => {
    const mixed = patternSheet('strings', { way: { kind: 'strings', length: 2 } }, 'half');
    const blocks = blocksOf(mixed.plan, mixed.circuit);
    expect(blocks.map(({ like }) => like)).toEqual([undefined, undefined, undefined]);
  });
});

describe('a card for plugging', () => {
  const sheet = patternSheet('panel', { rows: 1, columns: 4, lamp: 'red' }, 'half');

  it('builds the first string in full, then says the same again, with a test between', () => {
    expect(actions(sheet).slice(-4)).toEqual(['gate', 'connect-supply', 'connect-supply', 'gate']);
    expect(step(sheet, 'repeat').map(({ block, like }) => [block, like])).toEqual([
      [2, 1],
      [3, 1],
      [4, 1],
    ]);
    expect(step(sheet, 'block-gate').map(({ block, gate }) => [block, gate.lit])).toEqual([
      [1, ['D1']],
      [2, ['D1', 'D2']],
      [3, ['D1', 'D2', 'D3']],
    ]);
  });

  it('tells what the newest resistor reads by then', () => {
    const [gate] = step(sheet, 'block-gate');
    const own = sheet.sums.design.lamps[0]!;
    expect(gate!.gate.readings[0]).toMatchObject({ part: 'R1', measure: 'volts' });
    const ohms = sheet.sums.strings[0]!.chosen;
    expect(gate!.gate.readings[0]!.typical).toBeCloseTo(own.amps * ohms, 1);
  });

  it('says the rows that each further string takes, and no row twice', () => {
    const rows = step(sheet, 'repeat').map((s) => s.rows);
    for (const [i, [from]] of rows.entries()) if (i > 0) expect(from).toBeGreaterThan(rows[i - 1]![1] - 3);
  });

  it('places every piece and wire exactly once', () => {
    const named = sheet.steps.flatMap((s) => {
      if (s.action === 'repeat') return s.pieces.map(({ part }) => part);
      return s.action === 'place-part' || s.action === 'place-jumper' ? [s.part] : [];
    });
    const placed = sheet.plan.placements.map(({ part }) => part).filter((part) => part !== 'B1');
    expect([...named].sort()).toEqual([...placed].sort());
  });

  it('takes its minutes from counts and pace', () => {
    const young = patternSheet('panel', { rows: 1, columns: 4, lamp: 'red' }, 'half', { ageGroup: '8–9' });
    expect(young.minutes / sheet.minutes).toBeCloseTo(AGE_FACTORS['8–9'], 9);
    expect(totalMinutes(sheet.steps)).toBeCloseTo(sheet.minutes, 9);
  });

  it('leaves a one-string card without tests half-way', () => {
    expect(step(sheetWith(), 'block-gate')).toHaveLength(0);
  });
});

describe('a card for walking down', () => {
  it('changes the resistor step by step to the floor, and names the one that nobody takes', () => {
    const sheet = patternSheet('walk-down', { lamp: 'red' }, 'mini');
    const changes = step(sheet, 'change-part');
    const walk = ownSums(sheet.sums).walk!;
    expect(changes.map(({ ohms }) => ohms)).toEqual(walk.slice(1).map(({ ohms }) => ohms));
    expect(changes.map(({ beyond }) => beyond).lastIndexOf(true)).toBe(changes.length - 1);
    expect(changes.filter(({ beyond }) => beyond)).toHaveLength(1);
    expect(actions(sheet).indexOf('change-part')).toBeGreaterThan(actions(sheet).lastIndexOf('gate'));
  });
});

describe('a card for soldering', () => {
  const sheet = patternSheet('panel', { rows: 2, columns: 8, batch: 8 }, 'strip');

  it('cuts first, then wires, then batches with flat parts before lamps, then looks, then power', () => {
    const order = actions(sheet);
    expect(order[0]).toBe('cut');
    expect(step(sheet, 'cut')[0]!.cuts).toEqual(sheet.plan.cuts);
    expect(order.lastIndexOf('place-jumper')).toBeLessThan(order.indexOf('solder-batch'));
    expect(step(sheet, 'solder-batch').map(({ batch, height }) => [batch, height])).toEqual([
      [1, 'flat'],
      [1, 'standing'],
      [2, 'flat'],
      [2, 'standing'],
    ]);
    expect(order.slice(-5)).toEqual(['inspect', 'gate', 'connect-supply', 'connect-supply', 'gate']);
  });

  it('tests each batch by the current that it alone adds', () => {
    const gates = step(sheet, 'block-gate');
    expect(gates).toHaveLength(2);
    const added = gates.map(({ gate }) => gate.readings.find(({ measure }) => measure === 'amps')!.typical);
    expect((added[0]! + added[1]!) / sheet.sums.design.amps).toBeGreaterThan(0.98);
    expect((added[0]! + added[1]!) / sheet.sums.design.amps).toBeLessThan(1.02);
    // The second batch sags the port a little further, so that it adds less than the first.
    expect(added[1]! / added[0]!).toBeGreaterThan(0.9);
    expect(added[1]! / added[0]!).toBeLessThan(1);
  });

  it('counts joints and solder', () => {
    const legs = sheet.plan.placements.reduce((sum, p) => sum + Object.keys(p.legs).length, 0);
    expect(soldering(sheet.plan)).toEqual({ joints: legs, solder: 6 * legs });
    expect(step(sheet, 'inspect')[0]!.joints).toBe(legs);
    expect(soldering(sheetWith().plan).joints).toBe(0);
  });

  it('solders lamps one at a time for first-timers', () => {
    const single = patternSheet('panel', { rows: 1, columns: 4, batch: 1 }, 'pad');
    expect(step(single, 'solder-batch').filter(({ height }) => height === 'standing')).toHaveLength(4);
  });

  it('carries its cautions once each, at the first joint', () => {
    const codes = sheet.cautions.map(({ code }) => code);
    expect(codes).toEqual(expect.arrayContaining(['soldering-iron', 'clippings-fly']));
  });
});

describe('a card for taping', () => {
  const sheet = patternSheet('coin-light', { copies: 3 }, 'card');

  it('lays the tapes, tries each lamp before it is fixed, and folds the cell in last', () => {
    const order = actions(sheet);
    expect(order.slice(0, 2)).toEqual(['lay-tape', 'lay-tape']);
    for (const id of ['D1', 'D2', 'D3']) {
      const tried = sheet.steps.findIndex((s) => s.action === 'test-on-cell' && s.part === id);
      const fixed = sheet.steps.findIndex((s) => s.action === 'place-part' && s.part === id);
      expect(tried).toBeLessThan(fixed);
    }
    expect(order.slice(-3)).toEqual(['gate', 'fold-cell', 'gate']);
  });

  it('measures its tapes: three lanes of 5 pitches, folds, and the way to the cell', () => {
    const [plus, minus] = tapesOf(sheet.plan);
    // 15 pitches of 2.54 mm, two folds of 8 mm, 30 mm to the cell, rounded up to 5 mm.
    expect(plus).toMatchObject({ name: 'p', length: Math.ceil((15 * 2.54 + 16 + 30) / 5) * 5 });
    expect(minus!.length).toBe(plus!.length);
    expect(tapesOf(sheet.plan)).toHaveLength(2);
  });

  it('puts a short tape between resistor and lamp, one a lane', () => {
    const resisted = patternSheet('coin-light', { copies: 2, resistor: true, lamp: 'red' }, 'card');
    expect(tapesOf(resisted.plan).map(({ name }) => name)).toEqual(['p', 'm', '1s1', '1s2']);
    expect(resisted.kit.lines.find(({ spec }) => spec.kind === 'tape')).toMatchObject({ each: 4 });
  });
});

import fc from 'fast-check';
import { choiceWith, patternSheet, requestWith, worked } from '../../../../tests/support/sheets';
import { WISHES } from '../../../../tests/support/wishes';
import { PATTERN_IDS } from '../../patterns/index';
import { workOut } from '../../sheet/sheet';
import { BOARDS, boughtAs, type BoardChoice } from '../boards';
import { boardOf } from '../copper';
import { holeOf } from '../geometry';
import { placementOf } from '../plan';
import { readBack } from '../readBack';
import { sameCircuit } from '../sameCircuit';
import { boundsOf } from './bounds';
import { layOut } from './layOut';

const BOARDS_TRIED: readonly BoardChoice[] = ['half', 'full', 'mini', 'pad'];

describe('what no plan can do without', () => {
  it('is counted by hand for one lamp: both its ends stand in the rails', () => {
    const { circuit } = worked('single').design;
    // R1 from the plus rail, D1 into the minus rail; the middle shares one row.
    expect(boundsOf(circuit, BOARDS.half)).toEqual({ wires: 0, pitches: 0, across: 0, apart: 0 });
    // Without rails the leads themselves stand in the rows: nothing need be joined.
    expect(boundsOf(circuit, BOARDS.mini)).toMatchObject({ wires: 0 });
    // Six legs and leads on three nets of pads: three links.
    expect(boundsOf(circuit, BOARDS.pad)).toMatchObject({ wires: 3, pitches: 3 });
    expect(boundsOf(circuit, BOARDS.strip)).toBeUndefined();
  });

  it('is counted by hand for a blinker whose capacitor hangs on both sides of its chip', () => {
    const { circuit } = worked('blink-simple', { second: undefined }).design;
    // Trigger (left) with threshold (right): one wire across. Plus: supply right, reset left, and the rail: two.
    // Minus: pin 1; the capacitor stands in the rail, and the lamp too: one. Output: pin 3 and two resistors share one row.
    expect(boundsOf(circuit, BOARDS.half)).toMatchObject({ wires: 4, across: 2 });
  });

  it.each(PATTERN_IDS)('is never more than a plan of %s has', (pattern) => {
    const wishes = fc.sample(WISHES[pattern] as fc.Arbitrary<object>, { numRuns: 1, seed: 11 });
    for (const params of wishes) {
      const made = workOut({ ...requestWith(), choice: choiceWith(pattern, params as never) }, true);
      if (!made.ok) continue;
      for (const board of BOARDS_TRIED) {
        const laid = layOut({ circuit: made.value.circuit, board, wires: 'any', spacing: 'clear' });
        const least = laid.ok ? boundsOf(made.value.circuit, boardOf(laid.value.plan)) : undefined;
        if (!laid.ok || !least) continue;
        expect(laid.value.quality.jumpers).toBeGreaterThanOrEqual(least.wires);
        expect(laid.value.quality.wire).toBeGreaterThanOrEqual(least.pitches - 1e-9);
      }
    }
  });
});

describe('boards that take a chip', () => {
  it.each(['mini', 'mini-pair', 'half', 'pad'] as const)('%s takes every lesson of one chip', (board) => {
    for (const pattern of ['blink', 'blink-simple', 'one-shot', 'tone'] as const) {
      const { circuit } = worked(pattern).design;
      const laid = layOut({ circuit, board, wires: 'any', spacing: 'clear' });
      if (!laid.ok) throw new Error(JSON.stringify(laid.findings));
      expect(sameCircuit(readBack(laid.value.plan, circuit), circuit)).toBe(true);
      const chip = placementOf(laid.value.plan, 'U1')!;
      const { seamAfter } = BOARDS[board];
      if (seamAfter === undefined) continue;
      const rows = Object.values(chip.legs).map((hole) => holeOf(BOARDS[board], hole)!.row);
      // Its four rows lie on one of the two boards.
      expect(rows.every((row) => row <= seamAfter) || rows.every((row) => row > seamAfter)).toBe(true);
    }
  });

  it('is bought as two mini boards where two are pushed together', () => {
    expect(boughtAs('mini-pair')).toEqual({ board: 'mini', count: 2 });
    const { lines } = patternSheet('blink', {}, 'mini-pair').kit;
    expect(lines.find(({ key }) => key === 'board mini')?.each).toBe(2);
  });
});

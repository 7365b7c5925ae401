import { choiceWith, requestWith } from '../../../../tests/support/sheets';
import { workOut } from '../../sheet/sheet';
import { boardOf } from '../copper';
import { holeOf } from '../geometry';
import { makesWanted } from '../makesWanted';
import { layOut } from './layOut';
import { qualityOf } from './score';
import { crosses } from './wirePrice';

const PATTERNS = ['strings', 'gauge', 'panel', 'lamp-cover', 'rgb'] as const;
const BOARDS = ['half', 'full', 'pad'] as const;

/** A plan of a pattern with its usual wishes. */
function planOf(pattern: (typeof PATTERNS)[number], board: (typeof BOARDS)[number]) {
  const made = workOut({ ...requestWith(), choice: choiceWith(pattern, {} as never) });
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  const { circuit } = made.value;
  return { circuit, laid: layOut({ circuit, board, wires: 'any', spacing: 'clear' }) };
}

describe.each(PATTERNS)('the wires of %s', (pattern) => {
  it.each(BOARDS)('on %s: the crossings that are counted are those that are there', (board) => {
    const { circuit, laid } = planOf(pattern, board);
    if (!laid.ok) return expect(laid.findings[0]!.code).toBe('does-not-fit');
    const { plan, quality } = laid.value;
    const wires = plan.placements
      .filter(({ kind }) => kind === 'jumper')
      .map(({ legs }) => Object.values(legs).map((hole) => holeOf(boardOf(plan), hole)!));
    const pairs = wires.flatMap((one, i) => wires.slice(i + 1).map((other) => [one, other] as const));
    const crossing = pairs.filter(([[a, b], [c, d]]) => crosses(a!, b!, c!, d!));
    expect(quality.crossings).toBe(crossing.length);
    expect(qualityOf(plan)).toEqual(quality);
    expect(makesWanted(plan, circuit)).toBe(true);
  });

  it('are the same every time', () => {
    const [one, other] = [planOf(pattern, 'full').laid, planOf(pattern, 'full').laid];
    expect(one).toEqual(other);
  });
});

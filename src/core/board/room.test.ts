import fc from 'fast-check';
import { circuitWith, PLACED_KINDS } from '../../../tests/support/kinds';
import { thingOf, thingsOf } from '../parts/thing';
import { boardOf } from './copper';
import { holeOf } from './geometry';
import { layOut } from './layout/layOut';
import { bodyShape, lies, meet, type Shape } from './room';

const BOARDS = ['half', 'full', 'strip', 'pad'] as const;

describe.each(PLACED_KINDS)('a %s keeps its room', (kind) => {
  it.each(BOARDS)('on a board of the sort %s', (board) => {
    const { circuit, part } = circuitWith(kind);
    const laid = layOut({ circuit, board, wires: 'any', spacing: 'compact' });
    if (!laid.ok) return expect(laid.findings[0]!.code).toBe('does-not-fit');
    const { plan } = laid.value;
    const place = (hole: string) => holeOf(boardOf(plan), hole)!;
    const shape = bodyShape(thingOf(circuit, part.id)!, legsOf(part.id).map(place));
    const others = plan.placements.filter((placement) => placement.part !== part.id);
    const under = others
      .filter(({ kind: sort }) => sort === 'part' || board !== 'pad')
      .flatMap(({ legs }) => Object.values(legs).filter((hole) => lies(place(hole), shape)));
    expect(under).toEqual([]);
    expect(thingsOf(circuit).every(({ id }) => plan.placements.some((one) => one.part === id))).toBe(true);

    function legsOf(id: string): string[] {
      return Object.values(plan.placements.find((placement) => placement.part === id)!.legs);
    }
  });
});

describe('bodies in each other’s way', () => {
  const disc = (x: number, y: number, radius: number): Shape => ({ form: 'disc', x, y, radius });
  const box = (left: number, right: number, top: number, foot: number): Shape => ({
    form: 'box',
    left,
    right,
    top,
    foot,
  });

  it('are told by their distance: discs by their radii, boxes by their sides', () => {
    expect(meet(disc(0, 0, 1), disc(2, 0, 1))).toBe(false);
    expect(meet(disc(0, 0, 1), disc(1.8, 0, 1))).toBe(true);
    expect(meet(box(0, 2, 0, 2), box(2, 4, 0, 2))).toBe(false);
    expect(meet(box(0, 2, 0, 2), box(1.8, 4, 1, 2))).toBe(true);
    // A corner that the disc does not reach: √2 is more than 1.
    expect(meet(disc(0, 0, 1), box(1, 3, 1, 3))).toBe(false);
    expect(meet(box(0.6, 3, 0.6, 3), disc(0, 0, 1))).toBe(true);
  });

  it('is so whichever is asked first, and where their middles are one', () => {
    const side = fc.double({ min: 0.3, max: 3, noNaN: true });
    const at = fc.double({ min: -4, max: 4, noNaN: true });
    fc.assert(
      fc.property(at, at, side, side, side, (x, y, radius, width, height) => {
        const one = disc(x, y, radius);
        const other = box(-width, width, -height, height);
        expect(meet(one, other)).toBe(meet(other, one));
        expect(meet(disc(0, 0, radius), other)).toBe(true);
        if (lies({ x, y }, other)) expect(meet(one, other)).toBe(true);
      }),
    );
  });
});

import { UNIT, type Point } from './geometry';

/** Heights of lettering in drawing units, of which a pitch of 2.54 mm has 18: still read on a board of sixty rows. */
export const LETTERS = { label: 12.4, second: 10.6, wire: 10.6, edge: 11, joint: 10 } as const;

/** Width of a character for its height. */
export const CHARACTER = 0.54;

export interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly foot: number;
}

export function overlap(a: Box, b: Box): boolean {
  return a.left < b.right && b.left < a.right && a.top < b.foot && b.top < a.foot;
}

/** Where a name stands beside its point: the box that it takes, and the end at which its text begins. */
export interface NamePlace {
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'end' | 'middle';
}

const BESIDE: readonly { readonly dx: number; readonly dy: number; readonly anchor: NamePlace['anchor'] }[] =
  [
    { dx: 6, dy: -4, anchor: 'start' },
    { dx: -6, dy: -4, anchor: 'end' },
    { dx: 6, dy: 12, anchor: 'start' },
    { dx: -6, dy: 12, anchor: 'end' },
    { dx: 0, dy: -7, anchor: 'middle' },
    { dx: 0, dy: 15, anchor: 'middle' },
  ];

type Named = Point & { readonly name: string };

/**
 * Names beside their points, each on the side where it lies over the fewest other names and points.
 *
 * @param written names that stand there already, in the middle of their places
 */
export function namesApart(points: readonly Named[], written: readonly Named[] = []): NamePlace[] {
  const around = UNIT / 4;
  const marks = points.map(({ x, y }): Box => ({
    left: x - around,
    right: x + around,
    top: y - around,
    foot: y + around,
  }));
  const taken = written.map(({ x, y, name }) => boxOf({ x, y: y + 3.4, anchor: 'middle' }, name));
  return points.map(({ x, y, name }) => {
    const ways = BESIDE.map(({ dx, dy, anchor }) => {
      const place = { x: x + dx, y: y + dy, anchor };
      const box = boxOf(place, name);
      const over =
        4 * taken.filter((other) => overlap(box, other)).length +
        marks.filter((mark) => overlap(box, mark)).length;
      return { place, box, over };
    });
    const best = ways.reduce((a, b) => (b.over < a.over ? b : a));
    taken.push(best.box);
    return best.place;
  });
}

function boxOf({ x, y, anchor }: NamePlace, name: string): Box {
  const width = name.length * CHARACTER * LETTERS.joint;
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - 0.75 * LETTERS.joint, foot: y + 0.1 * LETTERS.joint };
}

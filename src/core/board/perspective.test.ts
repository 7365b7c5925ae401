import fc from 'fast-check';
import { homography, mapped, rectified, type Corners, type Pixels } from './perspective';

const SQUARE: Corners = [
  { x: 0, y: 0 },
  { x: 10, y: 0 },
  { x: 10, y: 20 },
  { x: 0, y: 20 },
];
/** Seen from below the lower edge: the far side is shorter. */
const LEANING: Corners = [
  { x: 30, y: 10 },
  { x: 70, y: 12 },
  { x: 95, y: 90 },
  { x: 5, y: 88 },
];

describe('a picture of a board', () => {
  it('has its four corners where they were put', () => {
    const map = homography(SQUARE, LEANING)!;
    SQUARE.forEach((spot, i) => {
      expect(mapped(map, spot).x).toBeCloseTo(LEANING[i]!.x, 9);
      expect(mapped(map, spot).y).toBeCloseTo(LEANING[i]!.y, 9);
    });
  });

  it('keeps lines straight and the crossing of the diagonals on both of them', () => {
    const map = homography(SQUARE, LEANING)!;
    const middle = mapped(map, { x: 5, y: 10 });
    const [a, b, c, d] = LEANING;
    const away = (p: typeof a, q: typeof a) =>
      (q.x - p.x) * (middle.y - p.y) - (middle.x - p.x) * (q.y - p.y);
    expect(away(a, c)).toBeCloseTo(0, 6);
    expect(away(b, d)).toBeCloseTo(0, 6);
    // The near half takes more of the picture than the far one.
    expect(middle.y).toBeLessThan((10 + 90) / 2);
  });

  it('comes back by the map of the other way round, wherever its corners are', () => {
    const spot = (x: [number, number], y: [number, number]) =>
      fc.record({
        x: fc.double({ min: x[0], max: x[1], noNaN: true }),
        y: fc.double({ min: y[0], max: y[1], noNaN: true }),
      });
    fc.assert(
      fc.property(
        spot([0, 30], [0, 30]),
        spot([70, 100], [0, 30]),
        spot([70, 100], [70, 100]),
        spot([0, 30], [70, 100]),
        spot([0, 10], [0, 20]),
        (a, b, c, d, inside) => {
          const corners: Corners = [a, b, c, d];
          const there = homography(SQUARE, corners)!;
          const back = homography(corners, SQUARE)!;
          const round = mapped(back, mapped(there, inside));
          expect(round.x).toBeCloseTo(inside.x, 6);
          expect(round.y).toBeCloseTo(inside.y, 6);
        },
      ),
    );
  });

  it('has no corners in line, and none on one another', () => {
    expect(homography(SQUARE, [LEANING[0], LEANING[0], LEANING[2], LEANING[3]])).toBeUndefined();
    const inLine: Corners = [SQUARE[0], { x: 5, y: 0 }, SQUARE[1], SQUARE[2]];
    expect(homography(inLine, SQUARE)).toBeUndefined();
  });
});

describe('a picture seen from straight above', () => {
  /** Brightness grows from left to right, redness from top to bottom. */
  const slope: Pixels = {
    width: 101,
    height: 101,
    data: Uint8ClampedArray.from({ length: 4 * 101 * 101 }, (_, i) => {
      const [column, row] = [Math.floor(i / 4) % 101, Math.floor(i / 404)];
      return [2 * row, 2 * column, 0, 255][i % 4]!;
    }),
  };

  it('has at every point what the picture has where the map says', () => {
    const map = homography(SQUARE, LEANING)!;
    const { data } = rectified(slope, map, 11, 21);
    for (const [column, row] of [
      [0, 0],
      [10, 0],
      [10, 20],
      [5, 10],
      [3, 17],
    ] as const) {
      const { x, y } = mapped(map, { x: column, y: row });
      const at = 4 * (row * 11 + column);
      expect(Math.abs(data[at]! - 2 * y)).toBeLessThanOrEqual(1);
      expect(Math.abs(data[at + 1]! - 2 * x)).toBeLessThanOrEqual(1);
      expect(data[at + 3]).toBe(255);
    }
  });

  it('is empty where the picture has nothing', () => {
    const shifted = homography(SQUARE, [
      { x: -50, y: 0 },
      { x: 50, y: 0 },
      { x: 50, y: 100 },
      { x: -50, y: 100 },
    ])!;
    const { data } = rectified(slope, shifted, 11, 21);
    expect(data[3]).toBe(0);
    expect(data[4 * 8 + 3]).toBe(255);
  });
});

import { DenseLu } from '../numerics/lu';

/** A place in a picture or a drawing, in its own units. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Four spots in one order, around the board. */
export type Corners = readonly [Spot, Spot, Spot, Spot];

/** The nine numbers of a projective map, row by row; the last is 1. */
export type Homography = readonly number[];

const UNKNOWNS = 8;
/** Three spots are in line when their triangle is so small a share of what the four span. */
const FLAT_SHARE = 1e-3;

/**
 * The projective map that takes four spots to four others.
 * Source: Hartley & Zisserman, Multiple View Geometry, 2nd ed., 4.1.
 *
 * @returns undefined where three of the spots lie in line, so that no picture of a board has them
 */
export function homography(from: Corners, to: Corners): Homography | undefined {
  if (isFlat(from) || isFlat(to)) return undefined;
  const matrix = new Float64Array(UNKNOWNS * UNKNOWNS);
  const right = new Float64Array(UNKNOWNS);
  from.forEach(({ x, y }, i) => {
    const { x: u, y: v } = to[i]!;
    matrix.set([x, y, 1, 0, 0, 0, -u * x, -u * y], 2 * i * UNKNOWNS);
    matrix.set([0, 0, 0, x, y, 1, -v * x, -v * y], (2 * i + 1) * UNKNOWNS);
    right.set([u, v], 2 * i);
  });
  const lu = new DenseLu(UNKNOWNS);
  if (lu.factor(matrix, UNKNOWNS) >= 0) return undefined;
  lu.solve(matrix, UNKNOWNS, right);
  return [...right, 1];
}

function isFlat(corners: Corners): boolean {
  const xs = corners.map(({ x }) => x);
  const ys = corners.map(({ y }) => y);
  const span = (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
  return corners.some((_, skipped) => {
    const [a, b, c] = corners.filter((_spot, i) => i !== skipped) as [Spot, Spot, Spot];
    const twice = Math.abs((b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y));
    return twice <= FLAT_SHARE * span || span === 0;
  });
}

/** Where a spot goes. */
export function mapped(map: Homography, { x, y }: Spot): Spot {
  const [a, b, c, d, e, f, g, h] = map as readonly [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const w = g * x + h * y + 1;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

/** A picture as its points: red, green, blue and cover, 0 to 255, row by row. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/**
 * A picture as it would be seen from straight above: every point of the result is fetched from where the map says, between
 * the four points there. What lies outside the picture stays empty.
 *
 * @param map from the result's points to the picture's
 */
export function rectified(picture: Pixels, map: Homography, width: number, height: number): Pixels {
  const { width: wide, height: high, data: from } = picture;
  const data = new Uint8ClampedArray(4 * width * height);
  for (let row = 0; row < height; row++) {
    for (let column = 0; column < width; column++) {
      const { x, y } = mapped(map, { x: column, y: row });
      if (!(x >= 0 && y >= 0 && x <= wide - 1 && y <= high - 1)) continue;
      const [left, top] = [Math.min(wide - 2, Math.floor(x)), Math.min(high - 2, Math.floor(y))];
      const [over, down] = [x - left, y - top];
      const at = 4 * (top * wide + left);
      const to = 4 * (row * width + column);
      for (let k = 0; k < 3; k++) {
        const upper = from[at + k]! * (1 - over) + from[at + 4 + k]! * over;
        const lower = from[at + 4 * wide + k]! * (1 - over) + from[at + 4 * wide + 4 + k]! * over;
        data[to + k] = upper * (1 - down) + lower * down;
      }
      data[to + 3] = 255;
    }
  }
  return { width, height, data };
}

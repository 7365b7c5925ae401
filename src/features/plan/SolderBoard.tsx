import type { Hole } from '@/core';
import type { Extent, Point } from './geometry';
import { LETTERS } from './lettering';
import { DRAWN } from './palette';

/** Where a place on the board comes to lie in the drawing, from whichever side it is seen. */
export type Place = (hole: Pick<Hole, 'x' | 'y'>) => Point;

/** The bare board of a soldered build. */
export function BoardEdge({ extent, place }: { extent: Extent; place: Place }) {
  const [a, b] = [place({ x: 0.2, y: 0.2 }), place({ x: extent.right - 0.2, y: extent.foot - 0.2 })];
  return (
    <rect
      x={Math.min(a.x, b.x)}
      y={Math.min(a.y, b.y)}
      width={Math.abs(b.x - a.x)}
      height={Math.abs(b.y - a.y)}
      rx="3"
      fill={DRAWN.board}
      stroke={DRAWN.edge}
    />
  );
}

/** Letters of the strips and every fifth number along them, as they run from the side that is seen. */
export function edgeNames(holes: readonly Hole[], place: Place): (Point & { readonly name: string })[] {
  const letters = holes
    .filter(({ x }) => x === 1)
    .map(({ y, column }) => ({ ...place({ x: -0.3, y }), name: column }));
  const numbers = holes
    .filter(({ x, y }) => y === 1 && (x === 1 || x % 5 === 0))
    .map(({ x }) => ({ ...place({ x, y: -0.1 }), name: String(x) }));
  return [...letters, ...numbers];
}

export function HoleNames({ holes, place }: { holes: readonly Hole[]; place: Place }) {
  return (
    <g fontSize={LETTERS.edge} fill={DRAWN.soft} textAnchor="middle" fontFamily="inherit">
      {edgeNames(holes, place).map(({ x, y, name }) => (
        <text key={name} x={x} y={y + 3.4}>
          {name}
        </text>
      ))}
    </g>
  );
}

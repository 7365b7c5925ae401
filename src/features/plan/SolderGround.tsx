import { boardHoles, boardOf, holeOf, type Plan } from '@/core';
import { at, UNIT, type Extent, type View } from './geometry';
import { DRAWN } from './palette';

/** A soldered board seen from the side of the parts: its strips shimmer through with their cuts, or its single pads. */
export function SolderGround({ plan, extent, view }: { plan: Plan; extent: Extent; view: View }) {
  const board = boardOf(plan);
  const holes = boardHoles(board).filter(({ x, y }) => x < extent.right && y < extent.foot);
  const [from, to] = [
    at({ x: 0.2, y: 0.2 }, view),
    at({ x: extent.right - 0.2, y: extent.foot - 0.2 }, view),
  ];
  const rows = [...new Set(holes.map(({ y }) => y))];
  return (
    <>
      <rect
        x={from.x}
        y={from.y}
        width={to.x - from.x}
        height={to.y - from.y}
        rx="3"
        fill={DRAWN.board}
        stroke={DRAWN.edge}
      />
      {board.copper === 'strips' &&
        rows.map((y) => {
          const [a, b] = [at({ x: 0.6, y }, view), at({ x: extent.right - 0.6, y }, view)];
          return <line key={y} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={DRAWN.strip} strokeWidth="11" />;
        })}
      {holes.map((hole) => {
        const { x, y } = at(hole, view);
        return (
          <circle
            key={hole.name}
            cx={x}
            cy={y}
            r={board.copper === 'pads' ? 4.6 : 2.1}
            fill={board.copper === 'pads' ? DRAWN.strip : DRAWN.hole}
          />
        );
      })}
      {board.copper === 'pads' &&
        holes.map((hole) => {
          const { x, y } = at(hole, view);
          return <circle key={hole.name} cx={x} cy={y} r="1.7" fill={DRAWN.hole} />;
        })}
      {(plan.cuts ?? []).map((cut) => {
        const hole = holeOf(board, cut);
        return hole && <Cut key={cut} {...at(hole, view)} />;
      })}
      <g fontSize="9.5" fill={DRAWN.soft} textAnchor="middle" fontFamily="inherit">
        {rows.map((y) => {
          const place = at({ x: -0.3, y }, view);
          return (
            <text key={y} x={place.x} y={place.y + 3.4}>
              {String.fromCharCode(64 + y)}
            </text>
          );
        })}
        {holes
          .filter(({ y, x }) => y === 1 && (x === 1 || x % 5 === 0))
          .map((hole) => {
            const place = at({ x: hole.x, y: -0.1 }, view);
            return (
              <text key={hole.name} x={place.x} y={place.y}>
                {hole.x}
              </text>
            );
          })}
      </g>
    </>
  );
}

/** A drilled cut: the copper is gone around the hole. */
function Cut({ x, y }: { x: number; y: number }) {
  const r = UNIT * 0.36;
  return (
    <g>
      <circle cx={x} cy={y} r={r} fill={DRAWN.board} stroke={DRAWN.ink} strokeWidth="1" />
      <path d={`M${x - 4} ${y - 4} l8 8 m0 -8 l-8 8`} stroke={DRAWN.ink} strokeWidth="1" />
    </g>
  );
}

import { boardHoles, boardOf, holeOf, type Plan } from '@/core';
import { at, UNIT, type Extent, type View } from './geometry';
import { DRAWN } from './palette';
import { BoardEdge, HoleNames, type Place } from './SolderBoard';

/** A soldered board seen from the side of the parts: its strips shimmer through with their cuts, or its single pads. */
export function SolderGround({ plan, extent, view }: { plan: Plan; extent: Extent; view: View }) {
  const board = boardOf(plan);
  const holes = boardHoles(board).filter(({ x, y }) => x < extent.right && y < extent.foot);
  const place: Place = (hole) => at(hole, view);
  const rows = [...new Set(holes.map(({ y }) => y))];
  return (
    <>
      <BoardEdge extent={extent} place={place} />
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
      <HoleNames holes={holes} place={place} />
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

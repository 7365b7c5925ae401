import { boardHoles, boardOf, type Plan } from '@/core';
import { DRAWN } from './palette';
import { at, UNIT } from './geometry';

/** The board itself: its outline, trench, rails, holes and their names. */
export function BoardGround({ plan, rows }: { plan: Plan; rows: number }) {
  const board = boardOf(plan);
  const holes = boardHoles(board).filter((hole) => hole.row <= rows);
  const top = at({ x: 0, y: 0 });
  const bottom = at({ x: 17, y: rows + 1 });
  const trench = [at({ x: 7.9, y: 0 }), at({ x: 9.1, y: 0 })] as const;
  return (
    <>
      <rect
        x={top.x - UNIT * 0.9}
        y={top.y - UNIT * 0.6}
        width={bottom.x - top.x + UNIT * 1.8}
        height={bottom.y - top.y + UNIT * 0.9}
        rx="7"
        fill={DRAWN.board}
        stroke={DRAWN.edge}
      />
      <rect
        x={trench[0].x}
        y={top.y - UNIT * 0.55}
        width={trench[1].x - trench[0].x}
        height={bottom.y - top.y + UNIT * 0.8}
        fill={DRAWN.trench}
      />
      <RailLines rows={rows} />
      {holes.map((hole) => {
        const { x, y } = at(hole);
        return (
          <rect key={hole.name} x={x - 2.4} y={y - 2.4} width="4.8" height="4.8" rx="0.8" fill={DRAWN.hole} />
        );
      })}
      <Names board={board} rows={rows} />
    </>
  );
}

function RailLines({ rows }: { rows: number }) {
  const lines = [
    { x: -0.45, colour: DRAWN.plus },
    { x: 1.45, colour: DRAWN.minus },
    { x: 15.55, colour: DRAWN.plus },
    { x: 17.45, colour: DRAWN.minus },
  ];
  return lines.map(({ x, colour }) => {
    const [from, to] = [at({ x, y: 0.8 }), at({ x, y: rows + 0.2 })];
    return <line key={x} x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={colour} strokeWidth="1.1" />;
  });
}

function Names({ board, rows }: { board: ReturnType<typeof boardOf>; rows: number }) {
  const columns = boardHoles(board).filter((hole) => hole.row === 1);
  const numbered = Array.from({ length: rows }, (_, i) => i + 1).filter((r) => r === 1 || r % 5 === 0);
  return (
    <g fontSize="9.5" fill={DRAWN.soft} textAnchor="middle" fontFamily="inherit">
      {columns.map((hole) => {
        const place = at({ x: hole.x, y: 0.1 });
        return (
          <text key={hole.name} x={place.x} y={place.y}>
            {hole.rail ? hole.column.replace('-', '−').slice(1) : hole.column}
          </text>
        );
      })}
      {numbered.map((row) => {
        const place = at({ x: 2.2, y: row });
        return (
          <text key={row} x={place.x} y={place.y + 3.4}>
            {row}
          </text>
        );
      })}
    </g>
  );
}

import { boardHoles, boardOf, type BoardSpec, type Plan } from '@/core';
import { at, PLUG_WIDTH, type View, type Window } from './geometry';
import { LETTERS } from './lettering';
import { DRAWN } from './palette';

interface Props {
  readonly plan: Plan;
  readonly rows: number;
  readonly view: View;
  /** The part of the drawing that is shown, where it is cut. */
  readonly window?: Window | undefined;
}

/** A plug-in board: its outline, trench, rails, holes and their names. */
export function PlugGround({ plan, rows, view }: Props) {
  const board = boardOf(plan);
  const railed = board.rails.length > 0;
  const holes = boardHoles(board).filter((hole) => hole.row <= rows);
  const [left, right] = railed ? [-0.9, PLUG_WIDTH + 0.9] : [2, 15];
  return (
    <>
      <Box from={{ x: left, y: -0.6 }} to={{ x: right, y: rows + 1.3 }} view={view} fill={DRAWN.board} edge />
      <Box from={{ x: 7.9, y: -0.55 }} to={{ x: 9.1, y: rows + 1.25 }} view={view} fill={DRAWN.trench} />
      {board.seamAfter !== undefined && rows > board.seamAfter && (
        <Box
          from={{ x: left, y: board.seamAfter + 0.47 }}
          to={{ x: right, y: board.seamAfter + 0.53 }}
          view={view}
          fill={DRAWN.edge}
        />
      )}
      <Clips rows={rows} view={view} />
      {railed && <RailLines board={board} rows={rows} view={view} />}
      {holes.map((hole) => {
        const { x, y } = at(hole, view);
        return <circle key={hole.name} cx={x} cy={y} r="2.1" fill={DRAWN.hole} />;
      })}
    </>
  );
}

type Corner = Parameters<typeof at>[0];

function Box({
  from,
  to,
  view,
  fill,
  edge = false,
}: {
  from: Corner;
  to: Corner;
  view: View;
  fill: string;
  edge?: boolean;
}) {
  const [a, b] = [at(from, view), at(to, view)];
  return (
    <rect
      x={Math.min(a.x, b.x)}
      y={Math.min(a.y, b.y)}
      width={Math.abs(b.x - a.x)}
      height={Math.abs(b.y - a.y)}
      rx={edge ? 7 : 0}
      fill={fill}
      stroke={edge ? DRAWN.edge : 'none'}
    />
  );
}

/** The metal under each row of five: what is pressed into one of them is joined to the others. */
function Clips({ rows, view }: { rows: number; view: View }) {
  const d = Array.from({ length: rows }, (_, i) => i + 1)
    .flatMap((y) =>
      CLIPS.map(([left, right]) => [at({ x: left, y }, view), at({ x: right, y }, view)] as const),
    )
    .map(([a, b]) => `M${a.x} ${a.y}L${b.x} ${b.y}`)
    .join('');
  return <path d={d} stroke={DRAWN.clip} strokeWidth="7" strokeLinecap="round" fill="none" />;
}

/** The first and the last hole of the clips on either side, in pitches. */
const CLIPS = [
  [3, 7],
  [10, 14],
] as const;

/** One line beside each rail, broken where the rail is split. */
function RailLines({ board, rows, view }: { board: BoardSpec; rows: number; view: View }) {
  const lines = [
    { x: -0.45, colour: DRAWN.plus },
    { x: 1.45, colour: DRAWN.minus },
    { x: 15.55, colour: DRAWN.plus },
    { x: 17.45, colour: DRAWN.minus },
  ];
  const split = board.splitAfter;
  const spans =
    split !== undefined && rows > split
      ? [
          [0.8, split + 0.1],
          [split + 0.9, rows + 0.2],
        ]
      : [[0.8, rows + 0.2]];
  return lines.flatMap(({ x, colour }) =>
    spans.map(([low, high]) => {
      const [from, to] = [at({ x, y: low! }, view), at({ x, y: high! }, view)];
      return (
        <line
          key={`${x} ${low}`}
          x1={from.x}
          y1={from.y}
          x2={to.x}
          y2={to.y}
          stroke={colour}
          strokeWidth="1.1"
        />
      );
    }),
  );
}

/** The names of columns and rows, drawn over what crosses them. */
export function PlugNames({ plan, rows, view, window }: Props) {
  const columns = boardHoles(boardOf(plan)).filter((hole) => hole.row === 1);
  const flat = view === 'flat';
  const numbered = Array.from({ length: rows }, (_, i) => i + 1).filter((r) => r === 1 || r % 5 === 0);
  return (
    <g
      fontSize={LETTERS.edge}
      fill={DRAWN.soft}
      textAnchor="middle"
      stroke={DRAWN.board}
      strokeWidth="3"
      paintOrder="stroke"
      pointerEvents="none"
    >
      {columns.map((hole) => {
        const there = at({ x: hole.x, y: 0.1 }, view);
        // Where the board is cut its letters stand at the cut.
        const place = {
          x: flat ? Math.max(there.x, (window?.x ?? 0) + 8) : there.x,
          y: flat ? there.y : Math.max(there.y, (window?.y ?? 0) + 11),
        };
        return (
          <text key={hole.name} x={place.x} y={place.y + (flat ? 3.4 : 0)}>
            {hole.rail ? hole.column.replace('-', '−').slice(1) : hole.column}
          </text>
        );
      })}
      {numbered.map((row) => {
        const place = at({ x: 2.2, y: row }, view);
        return (
          <text key={row} x={place.x} y={place.y + 3.4}>
            {row}
          </text>
        );
      })}
    </g>
  );
}

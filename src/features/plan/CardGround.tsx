import { boardOf, holeOf, type Plan } from '@/core';
import { at, UNIT, type Extent } from './geometry';
import { LETTERS } from './lettering';
import { DRAWN } from './palette';

const HALF = 6;

/** A card with its tapes: plus along the top, minus along the foot, a short one between two things of a lane. */
export function CardGround({ plan, coin, extent }: { plan: Plan; coin: boolean; extent: Extent }) {
  const board = boardOf(plan);
  const used = plan.placements
    .flatMap((p) => Object.values(p.legs))
    .flatMap((name) => holeOf(board, name) ?? []);
  const strips = new Map<string, { x: number; y: number }[]>();
  for (const hole of used) strips.set(hole.strip, [...(strips.get(hole.strip) ?? []), hole]);
  const [from, to] = [at({ x: -1, y: extent.top - 0.4 }), at({ x: extent.right - 1, y: extent.foot - 0.2 })];
  const minus = holeOf(board, 'm0')!;
  const cell = at({ x: 0.4, y: minus.y / 2 });
  return (
    <>
      <rect
        x={from.x}
        y={from.y}
        width={to.x - from.x}
        height={to.y - from.y}
        rx="4"
        fill={DRAWN.board}
        stroke={DRAWN.edge}
      />
      {[...strips].map(([name, holes]) => (
        <TapeStrip key={name} holes={holes} power={name === 'p' || name === 'm'} />
      ))}
      {coin ? (
        <Cell x={cell.x} y={cell.y} from={at({ x: 0, y: 0 }).y} to={at(minus).y} />
      ) : (
        <Clips x={cell.x} plus={at({ x: 0, y: 0 }).y} minus={at(minus).y} />
      )}
      <g fontSize={LETTERS.edge} fill={DRAWN.soft} fontFamily="inherit">
        <text x={at({ x: 1, y: 0 }).x} y={at({ x: 0, y: 0 }).y - 10}>
          plus tape
        </text>
        <text x={at({ x: 1, y: 0 }).x} y={at(minus).y + 18}>
          minus tape
        </text>
      </g>
    </>
  );
}

/** The coin cell where the two tapes end. */
function Cell({ x, y, from, to }: { x: number; y: number; from: number; to: number }) {
  return (
    <>
      <path
        d={`M${x} ${from} V${y - 16} M${x} ${y + 16} V${to}`}
        stroke={DRAWN.tape}
        strokeWidth={2 * HALF}
        fill="none"
      />
      <circle cx={x} cy={y} r="22" fill={DRAWN.cell} stroke={DRAWN.ink} strokeWidth="1.2" />
      <text x={x} y={y + 5} fontSize="15" fontWeight="700" textAnchor="middle" fill={DRAWN.ink}>
        +
      </text>
    </>
  );
}

/** The two leads of any other supply, clipped to the ends of the tapes. */
function Clips({ x, plus, minus }: { x: number; plus: number; minus: number }) {
  const leads = [
    { y: plus, colour: DRAWN.plus, mark: '+' },
    { y: minus, colour: DRAWN.minus, mark: '−' },
  ];
  return leads.map(({ y, colour, mark }) => (
    <g key={mark}>
      <path d={`M2 ${y} H${x}`} stroke={colour} strokeWidth="4" strokeLinecap="round" />
      <text x={x - 8} y={y + (mark === '+' ? 18 : -9)} fontSize="13" fontWeight="700" fill={DRAWN.ink}>
        {mark}
      </text>
    </g>
  ));
}

function TapeStrip({ holes, power }: { holes: readonly { x: number; y: number }[]; power: boolean }) {
  const xs = holes.map(({ x }) => x);
  const ys = holes.map(({ y }) => y);
  const [from, to] = [
    at({ x: Math.min(...xs), y: Math.min(...ys) }),
    at({ x: Math.max(...xs), y: Math.max(...ys) }),
  ];
  const over = power ? UNIT * 0.6 : UNIT * 0.9;
  return (
    <rect
      x={from.x - HALF}
      y={from.y - HALF - (power ? 0 : over * 0.4)}
      width={to.x - from.x + 2 * HALF + (power ? over : 0)}
      height={to.y - from.y + 2 * HALF + (power ? 0 : over * 0.8)}
      fill={DRAWN.tape}
    />
  );
}

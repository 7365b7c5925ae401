import type { LampType } from '@/core';
import { UNIT, type View, type Point } from './geometry';
import { DRAWN, LAMP_DRAWN } from './palette';

const RADIUS = 10;
/** It is drawn to the side of its legs, so that one sees their holes, and no further than its body's own room. */
const BESIDE = UNIT * 0.95;
interface Props {
  readonly ends: readonly Point[];
  readonly type: LampType;
  readonly view: View;
  /** Standing over its holes, as on a soldered board, not bent to the side of them. */
  readonly standing: boolean;
}

/** How far the body of a lamp lies beside its legs. */
function awayOf(view: View, standing: boolean): Point {
  if (standing) return { x: 0, y: 0 };
  return view === 'flat' ? { x: 0, y: BESIDE } : { x: BESIDE, y: 0 };
}

/** Where the body of a lamp is, from its legs. */
export function lampMiddle(ends: readonly Point[], view: View, standing: boolean): Point {
  const away = awayOf(view, standing);
  const mean = (pick: (end: Point) => number) => ends.reduce((sum, end) => sum + pick(end), 0) / ends.length;
  return { x: mean(({ x }) => x) + away.x, y: mean(({ y }) => y) + away.y };
}

/** A lamp from above: its round body with the flat edge towards the short leg, and a letter for its colour. */
export function LampDrawing({ ends, type, view, standing }: Props) {
  const { fill, ink, letter } = LAMP_DRAWN[type];
  const [anode, cathode] = ends as [Point, Point];
  const away = awayOf(view, standing);
  const middle = lampMiddle(ends, view, standing);
  const angle = (Math.atan2(cathode.y - anode.y, cathode.x - anode.x) * 180) / Math.PI;
  const flat = RADIUS * 0.72;
  const half = Math.sqrt(RADIUS * RADIUS - flat * flat);
  const rim = `M${flat} ${-half} A${RADIUS} ${RADIUS} 0 1 0 ${flat} ${half} Z`;
  return (
    <>
      {[anode, cathode].map((leg) => (
        <line
          key={`${leg.x} ${leg.y}`}
          x1={leg.x}
          y1={leg.y}
          x2={middle.x + (leg.x - middle.x + away.x) * 0.2}
          y2={middle.y + (leg.y - middle.y + away.y) * 0.2}
          stroke={DRAWN.leg}
          strokeWidth="2"
        />
      ))}
      <g transform={`translate(${middle.x} ${middle.y}) rotate(${angle})`}>
        <path d={rim} fill={fill} stroke={DRAWN.ink} strokeWidth="1.3" />
      </g>
      <text x={middle.x} y={middle.y + 3.2} fontSize="9" fontWeight="700" textAnchor="middle" fill={ink}>
        {letter}
      </text>
    </>
  );
}

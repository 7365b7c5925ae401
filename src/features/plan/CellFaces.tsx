import type { Ref } from 'react';
import { Label } from './Label';
import { DRAWN } from './palette';
import { PlanSvg } from './PlanSvg';

interface Props {
  readonly title: string;
  readonly svgRef?: Ref<SVGSVGElement>;
}

const RADIUS = 38;
const MIDDLES = { plus: 80, minus: 230 } as const;

/** A coin cell between its tapes: its two faces as each is seen from outside, and the fold from the edge. */
export function CellFaces({ title, svgRef }: Props) {
  return (
    <PlanSvg width={310} height={250} title={title} face="cell" svgRef={svgRef}>
      <rect x="4" y="4" width="302" height="242" rx="4" fill={DRAWN.board} stroke={DRAWN.edge} />
      <Face face="plus" />
      <Face face="minus" />
      <Edge />
    </PlanSvg>
  );
}

/** The plus face is the flat one with the mark and reaches round the rim; the minus face is a smaller disc within. */
function Face({ face }: { face: 'plus' | 'minus' }) {
  const middle = MIDDLES[face];
  const away = face === 'plus' ? -1 : 1;
  return (
    <g data-cell-face={face}>
      <circle cx={middle} cy="80" r={RADIUS} fill={DRAWN.cell} stroke={DRAWN.ink} strokeWidth="1.2" />
      {face === 'minus' && (
        <circle cx={middle} cy="80" r={RADIUS - 6} fill={DRAWN.board} stroke={DRAWN.ink} strokeWidth="1" />
      )}
      <path d={`M${middle} 80 v${away * 68}`} stroke={DRAWN.tape} strokeWidth="14" strokeOpacity="0.92" />
      <text x={middle + 20} y="86" fontSize="17" fontWeight="700" textAnchor="middle" fill={DRAWN.ink}>
        {face === 'plus' ? '+' : '−'}
      </text>
      <Label
        place={{ x: middle - RADIUS - 26, y: face === 'plus' ? 138 : 26 }}
        first={face === 'plus' ? 'plus face, seen from above' : 'minus face, seen from below'}
      />
    </g>
  );
}

/** From the edge: card, minus tape, cell, plus tape folded over; the rim is plus as well. */
function Edge() {
  return (
    <g data-cell-face="edge">
      <rect x="30" y="216" width="250" height="5" fill={DRAWN.glass} />
      <path d="M118 213 H262" stroke={DRAWN.tape} strokeWidth="5" />
      <rect x="118" y="188" width="78" height="22" rx="3" fill={DRAWN.cell} stroke={DRAWN.ink} />
      <path
        d="M30 213 H84 Q98 213 98 199 Q98 185 112 185 H190"
        fill="none"
        stroke={DRAWN.tape}
        strokeWidth="5"
      />
      <path d="M98 218 v14 M118 218 v14 M98 228 h20" stroke={DRAWN.plus} strokeWidth="1.4" fill="none" />
      <Label place={{ x: 130, y: 178 }} first="plus tape folded over" />
      <Label place={{ x: 206, y: 205 }} first="minus tape under it" />
      <Label place={{ x: 60, y: 242 }} first="this gap stays open: the rim is plus" />
    </g>
  );
}

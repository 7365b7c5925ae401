import { bandsFor, formatOhms, partOf, type Circuit, type LampType, type Placement, type Plan } from '@/core';
import { atHole, UNIT, type Point } from './geometry';
import { DRAWN, LAMP_DRAWN, WIRE_COLOURS } from './palette';
import { ResistorBody } from './ResistorDrawing';

interface Props {
  readonly plan: Plan;
  readonly placement: Placement;
  readonly circuit: Circuit;
  readonly lamp: LampType;
}

/** One part or jumper as it sits in its holes. */
export function PlacedDrawing({ plan, placement, circuit, lamp }: Props) {
  const part = partOf(circuit, placement.part);
  const ends = Object.values(placement.legs).map((hole) => atHole(plan, hole)) as [Point, Point];
  const stand = placement.standIn;
  if (placement.kind === 'jumper' || stand?.kind === 'wire')
    return <Wire ends={ends} placement={placement} />;
  if (part?.kind === 'resistor') {
    const { ohms, tolerance } = part.params;
    const shown = stand?.kind === 'resistor' ? stand.ohms : ohms;
    return <Resistor ends={ends} name={placement.part} ohms={shown} tolerance={tolerance} />;
  }
  if (part?.kind === 'led') {
    const type = stand?.kind === 'led' ? stand.type : lamp;
    return <Lamp ends={ends} name={placement.part} type={type} longHole={placement.legs['anode']!} />;
  }
  return part?.kind === 'supply' ? <Leads plan={plan} placement={placement} /> : null;
}

function Wire({ ends, placement }: { ends: [Point, Point]; placement: Placement }) {
  const inPlace = placement.standIn !== undefined;
  const colour = inPlace ? WIRE_COLOURS.yellow : WIRE_COLOURS[placement.colour ?? 'green'];
  const [from, to] = ends;
  return (
    <>
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke={colour}
        strokeWidth="4"
        strokeLinecap="round"
      />
      {inPlace && <Label place={beside(ends)} first={`${placement.part}: a wire`} />}
    </>
  );
}

function Resistor({
  ends,
  name,
  ohms,
  tolerance,
}: {
  ends: [Point, Point];
  name: string;
  ohms: number;
  tolerance: number;
}) {
  const length = Math.hypot(ends[1].x - ends[0].x, ends[1].y - ends[0].y);
  const angle = (Math.atan2(ends[1].y - ends[0].y, ends[1].x - ends[0].x) * 180) / Math.PI;
  const body = Math.min(34, Math.max(14, length * 0.5));
  const bands = bandsFor(ohms, tolerance < 0.05 ? 5 : 4, tolerance) ?? bandsFor(ohms, 5, 0.01) ?? [];
  return (
    <>
      <g transform={`translate(${ends[0].x} ${ends[0].y}) rotate(${angle})`}>
        <line x1="0" y1="0" x2={length} y2="0" stroke={DRAWN.leg} strokeWidth="2" />
        <g transform={`translate(${(length - body) / 2} -6.5)`}>
          <ResistorBody bands={bands} length={body} thickness={13} />
        </g>
      </g>
      <Label place={beside(ends)} first={`${name} ${formatOhms(ohms)}`} />
    </>
  );
}

function Lamp({
  ends,
  name,
  type,
  longHole,
}: {
  ends: [Point, Point];
  name: string;
  type: LampType;
  longHole: string;
}) {
  const { fill, ink, letter } = LAMP_DRAWN[type];
  const [anode, cathode] = ends;
  const middle = { x: (anode.x + cathode.x) / 2 + UNIT * 1.45, y: (anode.y + cathode.y) / 2 };
  const sense = cathode.y >= anode.y ? 1 : -1;
  const radius = 10;
  const flat = radius * 0.72 * sense;
  const half = Math.sqrt(radius * radius - flat * flat);
  const rim = `M${middle.x - half} ${middle.y + flat} A${radius} ${radius} 0 1 ${sense > 0 ? 1 : 0} ${middle.x + half} ${middle.y + flat} Z`;
  return (
    <>
      <line
        x1={anode.x}
        y1={anode.y}
        x2={middle.x - 4}
        y2={middle.y - 4 * sense}
        stroke={DRAWN.leg}
        strokeWidth="2"
      />
      <line
        x1={cathode.x}
        y1={cathode.y}
        x2={middle.x - 4}
        y2={middle.y + 5 * sense}
        stroke={DRAWN.leg}
        strokeWidth="2"
      />
      <path d={rim} fill={fill} stroke={DRAWN.ink} strokeWidth="1.3" />
      <text x={middle.x} y={middle.y + 3.2} fontSize="9" fontWeight="700" textAnchor="middle" fill={ink}>
        {letter}
      </text>
      <Label
        place={{ x: middle.x + 15, y: middle.y - 1 }}
        first={`${name} ${type}`}
        second={`long leg ${longHole}`}
      />
    </>
  );
}

function Leads({ plan, placement }: { plan: Plan; placement: Placement }) {
  const ends = [
    { place: atHole(plan, placement.legs['plus']!), colour: WIRE_COLOURS.red },
    { place: atHole(plan, placement.legs['minus']!), colour: WIRE_COLOURS.black },
  ];
  return (
    <>
      {ends.map(({ place, colour }, i) => (
        <path
          key={colour}
          d={`M${place.x} ${place.y} C${place.x} ${place.y - 30} ${place.x + 6} 14 ${34 + i * 9} 5`}
          fill="none"
          stroke={colour}
          strokeWidth="3"
          strokeLinecap="round"
        />
      ))}
      <text x="58" y="11" fontSize="10.5" fill={DRAWN.ink}>
        {placement.part}: red to +, black to −
      </text>
    </>
  );
}

function beside(ends: readonly [Point, Point]): Point {
  return { x: Math.max(ends[0].x, ends[1].x) + 12, y: (ends[0].y + ends[1].y) / 2 };
}

function Label({ place, first, second }: { place: Point; first: string; second?: string }) {
  return (
    <text
      x={place.x}
      y={place.y}
      fontSize="10.5"
      fill={DRAWN.ink}
      stroke={DRAWN.board}
      strokeWidth="3"
      paintOrder="stroke"
    >
      {first}
      {second && (
        <tspan x={place.x} dy="10" fill={DRAWN.soft} fontSize="9.6">
          {second}
        </tspan>
      )}
    </text>
  );
}

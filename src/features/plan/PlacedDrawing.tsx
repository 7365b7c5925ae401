import {
  boardOf,
  isSource,
  thingsOf,
  extraPart,
  type Circuit,
  type LampSorts,
  type LampType,
  type Part,
  type Placement,
  type Plan,
} from '@/core';
import { LAMP_REACH, LampDrawing } from './LampDrawing';
import { KindDrawing } from './kindDrawings';
import { isCrowded } from './labelRoom';
import { ThreeColourDrawing } from './OtherDrawings';
import { atHole, type View, type Point } from './geometry';
import { beside, Label } from './Label';
import { LETTERS } from './lettering';
import { Outlined } from './Outlined';
import { DRAWN, WIRE_COLOURS } from './palette';
import { LyingResistor } from './ResistorDrawing';

interface Props {
  readonly plan: Plan;
  readonly placement: Placement;
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
  readonly view: View;
}

/** Boards with more pieces carry names only; the card and the list carry the values. */
const LABELLED_MOST = 26;

/** One part or jumper as it sits in its holes. */
export function PlacedDrawing({ plan, placement, circuit, sorts, view }: Props) {
  const body = thingsOf(circuit).find(({ id }) => id === placement.part);
  const ends = Object.values(placement.legs).map((hole) => atHole(plan, hole, view));
  const stand = placement.standIn;
  const name = placement.part;
  const brief = plan.placements.length > LABELLED_MOST;
  if (placement.kind === 'jumper' || stand?.kind === 'wire') {
    return <Wire plan={plan} ends={ends} placement={placement} />;
  }
  const ground = { plan, circuit, view };
  const short = brief || isCrowded(ground, placement, name.length + 6);
  if (body && isSource(circuit, body.id)) return <Leads plan={plan} placement={placement} view={view} />;
  if (body?.kind === 'rgb') return <ThreeColourDrawing ends={ends} name={name} view={view} />;
  const part = body ? body.parts[0] : extraPart(placement, placement.legs);
  if (part?.kind === 'resistor') {
    return <PlacedResistor part={part} placement={placement} ends={ends} brief={short} />;
  }
  if (part?.kind === 'led') {
    const type = sorts[name] ?? 'red';
    const crowded = isCrowded(ground, placement, name.length + type.length + 1, LAMP_REACH);
    const lamp = { plan, placement, ends, type, view, brief, crowded };
    return <PlacedLamp {...lamp} />;
  }
  return part ? (
    <KindDrawing part={part} ends={ends} pins={Object.keys(placement.legs)} brief={short} />
  ) : null;
}

function PlacedResistor({
  part,
  placement,
  ends,
  brief,
}: {
  part: Extract<Part, { kind: 'resistor' }>;
  placement: Placement;
  ends: readonly Point[];
  brief: boolean;
}) {
  const { standIn } = placement;
  const ohms = standIn?.kind === 'resistor' ? standIn.ohms : part.params.ohms;
  const { tolerance } = part.params;
  return <LyingResistor ends={ends} name={part.id} ohms={ohms} tolerance={tolerance} brief={brief} />;
}

interface LampProps {
  readonly plan: Plan;
  readonly placement: Placement;
  readonly ends: readonly Point[];
  readonly type: LampType;
  readonly view: View;
  readonly brief: boolean;
  readonly crowded: boolean;
}

function PlacedLamp({ plan, placement, ends, type, view, brief, crowded }: LampProps) {
  const standing = boardOf(plan).copper !== 'rows';
  const { standIn } = placement;
  return (
    <LampDrawing
      ends={ends}
      name={placement.part}
      type={standIn?.kind === 'led' ? standIn.type : type}
      longHole={placement.legs['anode']!}
      view={view}
      standing={standing}
      brief={brief || standing}
      crowded={crowded && !standing}
      marked={plan.placements.filter(({ legs }) => 'anode' in legs).length <= 2}
    />
  );
}

function Wire({ plan, ends, placement }: { plan: Plan; ends: readonly Point[]; placement: Placement }) {
  const inPlace = placement.standIn !== undefined;
  const { copper } = boardOf(plan);
  const bare = copper === 'pads' || copper === 'strips';
  const colour = inPlace
    ? WIRE_COLOURS.yellow
    : copper === 'tapes'
      ? DRAWN.tape
      : bare
        ? DRAWN.leg
        : WIRE_COLOURS[placement.colour ?? 'green'];
  const [from, to] = ends as [Point, Point];
  return (
    <>
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke={colour}
        strokeWidth={copper === 'tapes' ? 12 : 4}
        strokeLinecap="round"
        {...(copper === 'pads' ? { strokeDasharray: '5 3' } : {})}
      />
      {inPlace ? (
        <Label place={beside(ends)} first={`${placement.part}: a wire`} />
      ) : (
        <WireName from={from} to={to} name={placement.part} />
      )}
    </>
  );
}

/** A jumper's name over its middle, as the steps call it. */
function WireName({ from, to, name }: { from: Point; to: Point; name: string }) {
  const upright = Math.abs(from.x - to.x) < Math.abs(from.y - to.y);
  const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  return (
    <Outlined
      x={upright ? x + 4 : x - 10}
      y={upright ? y + 3 : y - 4}
      anchor={upright ? 'start' : 'middle'}
      size={LETTERS.wire}
      soft
    >
      {name}
    </Outlined>
  );
}

interface LeadEnd {
  readonly leg: string;
  readonly place: Point;
  readonly colour: string;
  readonly mark: string;
}

/** The leads of what feeds the board, coming in from its edge: a battery's two, and those of a controller's pins. */
function Leads({ plan, placement, view }: { plan: Plan; placement: Placement; view: View }) {
  const { copper, rails } = boardOf(plan);
  if (copper === 'tapes') return null;
  const ends = Object.entries(placement.legs).map(([leg, hole]): LeadEnd => {
    const place = atHole(plan, hole, view);
    if (leg === 'plus') return { leg, place, colour: WIRE_COLOURS.red, mark: '+' };
    if (leg === 'minus') return { leg, place, colour: WIRE_COLOURS.black, mark: '−' };
    return { leg, place, colour: WIRE_COLOURS.green, mark: leg };
  });
  const railed = rails.length > 0 && view === 'plain';
  const fed = ends.filter(({ leg }) => leg === 'plus' || leg === 'minus');
  const pins = ends.filter((end) => !fed.includes(end));
  return (
    <>
      {railed ? (
        <RailLeads ends={fed} name={placement.part} />
      ) : (
        fed.map((end) => <SideLead key={end.mark} end={end} label={`${placement.part} ${end.mark}`} />)
      )}
      {pins.map((end) => (
        <SideLead key={end.mark} end={end} label={end.mark} early={railed} />
      ))}
    </>
  );
}

/** A lead from the left edge to its hole, named there, or where it comes in. */
function SideLead({
  end: { place, colour },
  label,
  early = false,
}: {
  end: LeadEnd;
  label: string;
  early?: boolean;
}) {
  return (
    <g>
      <path
        d={`M${place.x} ${place.y} C${place.x - 8} ${place.y} ${14} ${place.y - 8} 2 ${place.y - 8}`}
        fill="none"
        stroke={colour}
        strokeWidth="3"
        strokeLinecap="round"
      />
      <Label place={early ? { x: 6, y: place.y - 13 } : { x: place.x + 6, y: place.y - 7 }} first={label} />
    </g>
  );
}

/** Leads into the rails, over the upper edge. */
function RailLeads({ ends, name }: { ends: readonly LeadEnd[]; name: string }) {
  const said = ends.map(({ mark }) => (mark === '+' ? 'red to +' : 'black to −'));
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
      <text x="58" y="11" fontSize={LETTERS.label} fill={DRAWN.ink}>
        {name}: {said.join(', ')}
      </text>
    </>
  );
}

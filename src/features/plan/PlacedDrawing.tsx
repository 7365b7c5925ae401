import {
  boardOf,
  isArchedWire,
  isSource,
  thingsOf,
  extraPart,
  type Circuit,
  type LampSorts,
  type Part,
  type Placement,
  type Plan,
} from '@/core';
import { LampDrawing } from './LampDrawing';
import { KindDrawing } from './kindDrawings';
import { ThreeColourDrawing } from './OtherDrawings';
import { atHole, type View, type Point } from './geometry';
import { beside, Label } from './Label';
import { LETTERS } from './lettering';
import { Outlined } from './Outlined';
import { DRAWN, WIRE_COLOURS, WIRE_CORES } from './palette';
import { LyingResistor } from './ResistorDrawing';

interface Props {
  readonly plan: Plan;
  readonly placement: Placement;
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
  readonly view: View;
}

/** One part or jumper as it sits in its holes; its name stands beside it, or is written over all of them. */
export function PlacedDrawing({ plan, placement, circuit, sorts, view }: Props) {
  const body = thingsOf(circuit).find(({ id }) => id === placement.part);
  const ends = Object.values(placement.legs).map((hole) => atHole(plan, hole, view));
  const { standIn, part: name } = placement;
  if (placement.kind === 'jumper' || standIn?.kind === 'wire')
    return <Wire plan={plan} ends={ends} placement={placement} />;
  if (body && isSource(circuit, body.id)) return <Leads plan={plan} placement={placement} view={view} />;
  if (body?.kind === 'rgb') return <ThreeColourDrawing ends={ends} name={name} view={view} />;
  const part = body ? body.parts[0] : extraPart(placement, placement.legs);
  return part ? <PartDrawing {...{ plan, placement, part, ends, sorts, view }} /> : null;
}

type PartProps = Omit<Props, 'circuit'> & { readonly part: Part; readonly ends: readonly Point[] };

/** A part between its holes; what stands in for one of the lesson looks as it is. */
function PartDrawing({ plan, placement, part, ends, sorts, view }: PartProps) {
  const { standIn, part: name } = placement;
  if (part.kind === 'resistor') {
    const ohms = standIn?.kind === 'resistor' ? standIn.ohms : part.params.ohms;
    return <LyingResistor ends={ends} ohms={ohms} tolerance={part.params.tolerance} />;
  }
  if (part.kind === 'led') {
    const type = standIn?.kind === 'led' ? standIn.type : (sorts[name] ?? 'red');
    return <LampDrawing ends={ends} type={type} view={view} standing={boardOf(plan).copper !== 'rows'} />;
  }
  return <KindDrawing part={part} ends={ends} pins={Object.keys(placement.legs)} />;
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
  const isArch = isArchedWire(plan, placement);
  const way = isArch ? arc(from, to) : `M${from.x} ${from.y}L${to.x} ${to.y}`;
  const core = inPlace || bare || copper === 'tapes' ? undefined : WIRE_CORES[placement.colour ?? 'green'];
  return (
    <>
      {/* In the air over a chip, with a light edge that lifts it off what it passes. */}
      {isArch && <path d={way} stroke={DRAWN.board} strokeWidth="8" {...LINE} />}
      <path
        d={way}
        stroke={colour}
        strokeWidth={copper === 'tapes' ? 12 : 4}
        {...LINE}
        {...(copper === 'pads' ? { strokeDasharray: '5 3' } : {})}
      />
      {core !== undefined && (
        <path d={way} stroke={DRAWN.board} strokeWidth="1.3" strokeDasharray={core} {...LINE} />
      )}
      {inPlace ? (
        <Label place={beside(ends)} first={`${placement.part}: a wire`} />
      ) : (
        <WireName {...{ from, to, isArch }} name={placement.part} />
      )}
    </>
  );
}

const LINE = { fill: 'none', strokeLinecap: 'round' } as const;

/** How far an arch is drawn aside of the straight line, as a share of its length. */
const ARCH = 0.16;

function arc(from: Point, to: Point): string {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const [x, y] = [(from.x + to.x) / 2 + 2 * ARCH * dy, (from.y + to.y) / 2 - 2 * ARCH * dx];
  return `M${from.x} ${from.y}Q${x} ${y} ${to.x} ${to.y}`;
}

/** A jumper's name over its middle, as the steps call it. */
function WireName({ from, to, isArch, name }: { from: Point; to: Point; isArch: boolean; name: string }) {
  const upright = Math.abs(from.x - to.x) < Math.abs(from.y - to.y);
  const aside = isArch ? ARCH : 0;
  const x = (from.x + to.x) / 2 + aside * (to.y - from.y);
  const y = (from.y + to.y) / 2 - aside * (to.x - from.x);
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

/** A lead, in the board's own colour round it: where it leaves the board it is seen on any ground. */
function Lead({ d, colour }: { d: string; colour: string }) {
  const line = { d, fill: 'none', strokeLinecap: 'round' } as const;
  return (
    <>
      <path {...line} stroke={DRAWN.board} strokeWidth="6" />
      <path {...line} stroke={colour} strokeWidth="3" />
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
      <Lead
        colour={colour}
        d={`M${place.x} ${place.y} C${place.x - 8} ${place.y} ${14} ${place.y - 8} 2 ${place.y - 8}`}
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
        <Lead
          key={colour}
          colour={colour}
          d={`M${place.x} ${place.y} C${place.x} ${place.y - 30} ${place.x + 6} 14 ${34 + i * 9} 5`}
        />
      ))}
      <Outlined x={58} y={11} size={LETTERS.label}>
        {name}: {said.join(', ')}
      </Outlined>
    </>
  );
}

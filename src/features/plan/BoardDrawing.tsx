import type { KeyboardEvent, Ref } from 'react';
import {
  boardOf,
  isArchedWire,
  type Circuit,
  type LampSorts,
  type Placement,
  type Plan,
  type SourceChoice,
} from '@/core';
import { holeName } from '@/messages/holes';
import { capital } from '@/messages/grammar';
import { kindIn, legName, thingName } from '@/messages/names';
import { BoardGround } from './BoardGround';
import { at, atHole, extentOf, UNIT, viewOf, windowAround, type View } from './geometry';
import { Label } from './Label';
import { labelsOf } from './labels';
import { lampMiddle } from './LampDrawing';
import { DRAWN } from './palette';
import { PlacedDrawing } from './PlacedDrawing';
import { PlanSvg } from './PlanSvg';
import { PlugNames } from './PlugGround';

export interface BoardDrawingProps {
  readonly plan: Plan;
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
  readonly supply: SourceChoice;
  readonly title: string;
  /** Held upright, or turned a quarter so that row 1 lies at the left. */
  readonly orientation?: 'upright' | 'flat';
  /** All rows of the board, or only as many as are used. */
  readonly whole?: boolean;
  /** Parts drawn in full; the others are ghosted. Left out, all are. */
  readonly placed?: ReadonlySet<string>;
  /** Parts whose holes are ringed. */
  readonly ringed?: ReadonlySet<string>;
  /** Of these only the holes in it are ringed, where it is given. */
  readonly ringedHoles?: ReadonlySet<string> | undefined;
  /** Parts that a long board is shown around; left out, or none of them there, it is shown whole. */
  readonly around?: readonly string[];
  /** Lamps that shine. */
  readonly glowing?: ReadonlySet<string> | undefined;
  readonly picked?: string | undefined;
  readonly onPick?: (part: string) => void;
  readonly onKey?: (part: string, event: KeyboardEvent) => void;
  readonly svgRef?: Ref<SVGSVGElement> | undefined;
}

/** The plan on its board. With `onPick` every part can be reached, picked up and moved. */
export function BoardDrawing(props: BoardDrawingProps) {
  const { plan, whole = false, title, svgRef, ringed, placed } = props;
  const view = viewOf(plan, props.orientation ?? 'upright');
  const extent = extentOf(plan, whole);
  const corners = [
    at({ x: extent.left, y: extent.top }, view),
    at({ x: extent.right, y: extent.foot }, view),
  ];
  const width = Math.max(...corners.map(({ x }) => x)) + 1.1 * UNIT;
  const height = Math.max(...corners.map(({ y }) => y)) + (view === 'flat' ? 1.1 : 0.5) * UNIT;
  const window = windowAround(
    plan.placements
      .filter(({ part }) => props.around?.includes(part))
      .flatMap(({ legs }) => Object.values(legs).map((hole) => atHole(plan, hole, view))),
    width,
    height,
  );
  return (
    <PlanSvg {...{ width, height, title, view, window, svgRef }} role={props.onPick ? 'group' : 'img'}>
      <BoardGround plan={plan} supply={props.supply} extent={extent} view={view} />
      {props.glowing && <Glow plan={plan} glowing={props.glowing} view={view} />}
      {archesLast(plan).map((placement) => (
        <Placed
          key={placement.part}
          {...props}
          view={view}
          placement={placement}
          ghost={placed !== undefined && !placed.has(placement.part)}
          ring={ringed?.has(placement.part) ?? false}
        />
      ))}
      {labelsOf({ ...props, view }).map(({ part, x, y, anchor, text, second }) => (
        <g key={part} data-label={part} opacity={placed === undefined || placed.has(part) ? 1 : 0.22}>
          <Label place={{ x, y }} first={text} second={second} anchor={anchor} />
        </g>
      ))}
      {boardOf(plan).copper === 'rows' && (
        <PlugNames plan={plan} rows={extent.foot - 1} view={view} window={window} />
      )}
    </PlanSvg>
  );
}

/** What stands in an arch over a chip is drawn over it. */
function archesLast(plan: Plan): Placement[] {
  const isArch = (placement: Placement) => placement.kind === 'jumper' && isArchedWire(plan, placement);
  return [...plan.placements].sort((a, b) => Number(isArch(a)) - Number(isArch(b)));
}

/** Light around the lamps that shine, under everything else. */
function Glow({ plan, glowing, view }: { plan: Plan; glowing: ReadonlySet<string>; view: View }) {
  return plan.placements
    .filter(({ part }) => glowing.has(part))
    .map(({ part, legs }) => {
      const places = Object.values(legs).map((hole) => atHole(plan, hole, view));
      // A lamp of two legs lies beside them, where they are bent on a plug-in board.
      const standing = boardOf(plan).copper !== 'rows' || places.length > 2;
      const middle = lampMiddle(places, view, standing);
      return (
        <circle
          key={part}
          data-glow={part}
          cx={middle.x}
          cy={middle.y}
          r={1.5 * UNIT}
          fill="#f3d98a"
          opacity="0.75"
        />
      );
    });
}

type PlacedProps = BoardDrawingProps & { placement: Placement; ghost: boolean; ring: boolean; view: View };

function Placed(props: PlacedProps) {
  const { plan, placement, circuit, sorts, picked, onPick, onKey, ghost, ring, view } = props;
  const isPicked = picked === placement.part;
  const drawing = (
    <PlacedDrawing plan={plan} placement={placement} circuit={circuit} sorts={sorts} view={view} />
  );
  const rings = ring && <Rings plan={plan} placement={placement} view={view} only={props.ringedHoles} />;
  if (!onPick) {
    return (
      <g opacity={ghost ? 0.22 : 1}>
        {drawing}
        {rings}
      </g>
    );
  }
  return (
    <g
      data-part={placement.part}
      className="board-part"
      tabIndex={0}
      role="button"
      aria-pressed={isPicked}
      aria-label={describe(placement, plan, circuit)}
      opacity={ghost ? 0.22 : 1}
      onFocus={() => onPick(placement.part)}
      onKeyDown={(event) => onKey?.(placement.part, event)}
    >
      {isPicked && <Halo plan={plan} placement={placement} view={view} />}
      {drawing}
      {rings}
      {Object.entries(placement.legs).map(([pin, hole]) => {
        const { x, y } = atHole(plan, hole, view);
        return (
          <circle
            key={pin}
            data-leg={pin}
            cx={x}
            cy={y}
            r="6.5"
            fill={isPicked ? DRAWN.board : 'transparent'}
            stroke={isPicked ? DRAWN.pick : 'transparent'}
            strokeWidth="2"
          />
        );
      })}
    </g>
  );
}

function describe(placement: Placement, plan: Plan, circuit: Circuit): string {
  const kind = kindIn(circuit, placement.part, plan);
  const legs = Object.entries(placement.legs)
    .map(([pin, hole]) => `${legName(kind, pin)} in ${holeName(hole)}`)
    .join(', ');
  return `${capital(thingName(kind, placement.part))}: ${legs}`;
}

interface At {
  readonly plan: Plan;
  readonly placement: Placement;
  readonly view: View;
}

/** A soft outline from leg to leg: what is picked up. */
function Halo({ plan, placement, view }: At) {
  const ends = Object.values(placement.legs).map((hole) => atHole(plan, hole, view));
  const [a, b] = [ends[0], ends[ends.length - 1]];
  if (!a || !b) return null;
  return (
    <line
      x1={a.x}
      y1={a.y}
      x2={b.x}
      y2={b.y}
      stroke={DRAWN.pick}
      strokeOpacity="0.16"
      strokeWidth={UNIT * 1.5}
      strokeLinecap="round"
    />
  );
}

function Rings({ plan, placement, view, only }: At & { only: ReadonlySet<string> | undefined }) {
  const holes = Object.values(placement.legs).filter((hole) => only?.has(hole) ?? true);
  return holes.map((hole) => {
    const { x, y } = atHole(plan, hole, view);
    return <circle key={hole} cx={x} cy={y} r="9" fill="none" stroke={DRAWN.plus} strokeWidth="2.4" />;
  });
}

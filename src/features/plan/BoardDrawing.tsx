import type { KeyboardEvent, Ref } from 'react';
import type { Circuit, LampType, Placement, Plan } from '@/core';
import { holeName } from '@/messages/findings';
import { capital, legName, partName } from '@/messages/names';
import { BoardGround } from './BoardGround';
import { at, atHole, rowsShown, UNIT } from './geometry';
import { DRAWN } from './palette';
import { PlacedDrawing } from './PlacedDrawing';

export interface BoardDrawingProps {
  readonly plan: Plan;
  readonly circuit: Circuit;
  readonly lamp: LampType;
  readonly title: string;
  /** All rows of the board, or only as many as are used. */
  readonly whole?: boolean;
  /** Parts drawn in full; the others are ghosted. Left out, all are. */
  readonly placed?: ReadonlySet<string>;
  /** Parts whose holes are ringed. */
  readonly ringed?: ReadonlySet<string>;
  readonly picked?: string | undefined;
  readonly onPick?: (part: string) => void;
  readonly onKey?: (part: string, event: KeyboardEvent) => void;
  readonly svgRef?: Ref<SVGSVGElement>;
}

/** The plan on its board. With `onPick` every part can be reached, picked up and moved. */
export function BoardDrawing(props: BoardDrawingProps) {
  const { plan, whole = false, title, svgRef, ringed, placed } = props;
  const rows = rowsShown(plan, whole);
  const size = at({ x: 18.1, y: rows + 1.5 });
  return (
    <svg
      ref={svgRef}
      viewBox={`0 0 ${size.x} ${size.y}`}
      xmlns="http://www.w3.org/2000/svg"
      className="board"
      role={props.onPick ? 'group' : 'img'}
      aria-label={title}
      fontFamily="'Atkinson Hyperlegible Next Variable', sans-serif"
    >
      <BoardGround plan={plan} rows={rows} />
      {plan.placements.map((placement) => (
        <Placed
          key={placement.part}
          {...props}
          placement={placement}
          ghost={placed !== undefined && !placed.has(placement.part)}
          ring={ringed?.has(placement.part) ?? false}
        />
      ))}
    </svg>
  );
}

function Placed(props: BoardDrawingProps & { placement: Placement; ghost: boolean; ring: boolean }) {
  const { plan, placement, circuit, lamp, picked, onPick, onKey, ghost, ring } = props;
  const isPicked = picked === placement.part;
  const drawing = <PlacedDrawing plan={plan} placement={placement} circuit={circuit} lamp={lamp} />;
  const rings = ring && <Rings plan={plan} placement={placement} />;
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
      aria-label={describe(placement)}
      onFocus={() => onPick(placement.part)}
      onKeyDown={(event) => onKey?.(placement.part, event)}
    >
      {isPicked && <Halo plan={plan} placement={placement} />}
      {drawing}
      {Object.entries(placement.legs).map(([pin, hole]) => {
        const { x, y } = atHole(plan, hole);
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

function describe(placement: Placement): string {
  const legs = Object.entries(placement.legs)
    .map(([pin, hole]) => `${legName(placement.part, pin)} in ${holeName(hole)}`)
    .join(', ');
  return `${capital(partName(placement.part))}: ${legs}`;
}

/** A soft outline from leg to leg: what is picked up. */
function Halo({ plan, placement }: { plan: Plan; placement: Placement }) {
  const [a, b] = Object.values(placement.legs).map((hole) => atHole(plan, hole));
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

function Rings({ plan, placement }: { plan: Plan; placement: Placement }) {
  return Object.values(placement.legs).map((hole) => {
    const { x, y } = atHole(plan, hole);
    return <circle key={hole} cx={x} cy={y} r="9" fill="none" stroke={DRAWN.plus} strokeWidth="2.4" />;
  });
}

import type { Ref } from 'react';
import { boardHoles, boardOf, copperOf, holeOf, isOnTheBack, type Hole, type Plan } from '@/core';
import { at, extentOf, UNIT, viewOf, type Point, type View } from './geometry';
import { LETTERS, namesApart } from './lettering';
import { Outlined } from './Outlined';
import { DRAWN } from './palette';
import { PlanSvg } from './PlanSvg';
import { BoardEdge, edgeNames, HoleNames, type Place } from './SolderBoard';

interface Props {
  readonly plan: Plan;
  readonly title: string;
  readonly held?: 'upright' | 'flat';
  readonly svgRef?: Ref<SVGSVGElement>;
}

const MARGIN = 1.1 * UNIT;

/**
 * A soldered board turned over like a page: what the iron sees. Strips end at their cuts, every joint bears the name
 * of what is soldered there, and wires that lie on this side are drawn as they lie.
 */
export function CopperSide({ plan, title, held = 'upright', svgRef }: Props) {
  const view = viewOf(plan, held);
  const extent = extentOf(plan, false);
  const far = at({ x: extent.right, y: extent.foot }, view);
  const [width, height] = [far.x + MARGIN, far.y + 0.5 * UNIT];
  const turned = turnedOver(view, width);
  const board = boardOf(plan);
  const holes = boardHoles(board).filter(({ x, y }) => x < extent.right && y < extent.foot);
  return (
    <PlanSvg {...{ width, height, title, svgRef }} face="copper">
      <BoardEdge extent={extent} place={turned} />
      {board.copper === 'strips' ? (
        <Strips plan={plan} holes={holes} place={turned} />
      ) : (
        holes.map((hole) => <circle key={hole.name} {...centre(turned(hole))} r="5" fill={DRAWN.strip} />)
      )}
      {holes.map((hole) => (
        <circle key={hole.name} {...centre(turned(hole))} r="1.7" fill={DRAWN.hole} />
      ))}
      {(plan.cuts ?? []).map((name) => {
        const hole = holeOf(board, name);
        return hole && <Cut key={name} name={name} {...turned(hole)} />;
      })}
      <BackWires plan={plan} place={turned} />
      <Joints plan={plan} place={turned} edges={edgeNames(holes, turned)} />
      <HoleNames holes={holes} place={turned} />
    </PlanSvg>
  );
}

/** Turned about the upright edge: what was at the left comes to lie at the right. */
function turnedOver(view: View, width: number): Place {
  return (hole) => {
    const { x, y } = at(hole, view);
    return { x: width - x, y };
  };
}

function centre({ x, y }: Point) {
  return { cx: x, cy: y };
}

/** Each piece of copper between two cuts, as one bar. */
function Strips({ plan, holes, place }: { plan: Plan; holes: readonly Hole[]; place: Place }) {
  const copper = copperOf(plan);
  const cut = new Set(plan.cuts);
  const pieces = new Map<string, Hole[]>();
  for (const hole of holes) {
    if (cut.has(hole.name)) continue;
    const name = copper(hole.name);
    pieces.set(name, [...(pieces.get(name) ?? []), hole]);
  }
  return [...pieces].map(([name, piece]) => {
    const [first, last] = [piece[0]!, piece[piece.length - 1]!];
    const [from, to] = [place({ x: first.x - 0.4, y: first.y }), place({ x: last.x + 0.4, y: last.y })];
    return (
      <line
        key={name}
        data-copper={name}
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke={DRAWN.strip}
        strokeWidth="12"
      />
    );
  });
}

function Cut({ x, y, name }: Point & { name: string }) {
  return (
    <path
      data-cut={name}
      d={`M${x - 4.5} ${y - 4.5} l9 9 m0 -9 l-9 9`}
      stroke={DRAWN.ink}
      strokeWidth="1.6"
    />
  );
}

/** Bare wire from pad to pad. */
function BackWires({ plan, place }: { plan: Plan; place: Place }) {
  const board = boardOf(plan);
  return plan.placements
    .filter((placement) => isOnTheBack(plan, placement))
    .map(({ part, legs }) => {
      const [from, to] = Object.values(legs).map((name) => place(holeOf(board, name)!)) as [Point, Point];
      return (
        <line
          key={part}
          data-wire={part}
          x1={from.x}
          y1={from.y}
          x2={to.x}
          y2={to.y}
          stroke={DRAWN.leg}
          strokeWidth="4"
          strokeLinecap="round"
        />
      );
    });
}

interface Joint extends Point {
  readonly hole: string;
  readonly name: string;
}

/** A filled disc where a leg comes through, with the name of what it belongs to. */
function Joints({ plan, place, edges }: { plan: Plan; place: Place; edges: ReturnType<typeof edgeNames> }) {
  const board = boardOf(plan);
  const joints = plan.placements
    .filter((placement) => !isOnTheBack(plan, placement))
    .flatMap(({ part, legs }) =>
      Object.entries(legs).map(([pin, hole]): Joint => ({
        hole,
        name: `${part}${SIGNS[pin] ?? ''}`,
        ...place(holeOf(board, hole)!),
      })),
    );
  const places = namesApart(joints, edges);
  return joints.map((joint, i) => {
    const { x, y, anchor } = places[i]!;
    return (
      <g key={joint.hole} data-joint={joint.hole}>
        <circle cx={joint.x} cy={joint.y} r="4.4" fill={DRAWN.leg} stroke={DRAWN.ink} strokeWidth="1" />
        <Outlined x={x} y={y} anchor={anchor} size={LETTERS.joint}>
          {joint.name}
        </Outlined>
      </g>
    );
  });
}

const SIGNS: Readonly<Record<string, string>> = { plus: ' +', minus: ' −', anode: ' +', cathode: ' −' };

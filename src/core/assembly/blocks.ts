import { blockLists, wiringOf } from '../board/layout/wiring';
import { shapeOf } from '../board/layout/repeat';
import type { Body } from '../board/bodies';
import { copperOf } from '../board/copper';
import type { Placement, Plan } from '../board/plan';
import { isKind, type Circuit } from '../circuit/circuit';
import { POLARITY } from '../catalogue/polarity';
import type { LegPlace, Piece } from './step';

/** What is placed before the next test: its wires and its things, low ones first. */
export interface Block {
  readonly number: number;
  readonly jumpers: readonly Placement[];
  readonly pieces: readonly Piece[];
  /** The earlier block that it is built like, with the same values. */
  readonly like?: number;
}

/** Height over the board decides the order: what lies flat goes in before what stands. */
const HEIGHT: Readonly<Partial<Record<Body['kind'], number>>> = {
  wire: 0,
  resistor: 1,
  diode: 1,
  zener: 1,
  timer: 2,
  potentiometer: 3,
  switch: 3,
  led: 4,
  rgb: 4,
};

export function heightOf(kind: Body['kind']): number {
  return HEIGHT[kind] ?? 2;
}

/** The blocks of a plan in the order of the lesson; wires that belong to no block come with the first. */
export function blocksOf(plan: Plan, circuit: Circuit): Block[] {
  const wiring = wiringOf(circuit);
  const bodies = new Map(wiring.bodies.map((body) => [body.id, body]));
  const lists = blockLists(wiring);
  const placed = new Map(plan.placements.map((p) => [p.part, p]));
  const copper = copperOf(plan);
  const ground = lists.map(
    (ids) => new Set(ids.flatMap((id) => Object.values(placed.get(id)?.legs ?? {}).map(copper))),
  );
  const jumpers = lists.map((): Placement[] => []);
  for (const jumper of plan.placements.filter((p) => p.kind === 'jumper')) {
    const ends = Object.values(jumper.legs).map(copper);
    // A wire comes with the last of the blocks that it joins: only then both its ends mean something.
    const block = ground.map((set) => ends.some((end) => set.has(end))).lastIndexOf(true);
    jumpers[Math.max(0, block)]?.push(jumper);
  }
  const shapes = lists.map((ids) => {
    const block = ids.map((id) => bodies.get(id)!);
    return `${shapeOf(block, wiring)} ${block.flatMap((body) => body.parts.map((p) => JSON.stringify(p.params))).join()}`;
  });
  return lists.map((ids, i): Block => {
    const pieces = ids
      .flatMap((id) => (placed.has(id) ? [pieceOf(bodies.get(id)!, placed.get(id)!)] : []))
      .map((piece, order) => ({ piece, order }))
      .sort((a, b) => heightOf(a.piece.kind) - heightOf(b.piece.kind) || a.order - b.order)
      .map(({ piece }) => piece);
    const like = shapes.indexOf(shapes[i]!);
    return { number: i + 1, jumpers: jumpers[i]!, pieces, ...(like < i ? { like: like + 1 } : {}) };
  });
}

export function pieceOf(body: Body, placement: Placement): Piece {
  return { part: body.id, kind: body.kind, legs: legPlaces(body.kind, placement) };
}

export function legPlaces(kind: Body['kind'], placement: Placement): LegPlace[] {
  const marks = POLARITY[kind]?.pins ?? {};
  return Object.entries(placement.legs).map(([pin, hole]) => ({ pin, hole, cue: marks[pin] ?? 'none' }));
}

/** The circuit with only the supply and the first so many blocks, for what a meter reads half-way. */
export function partial(circuit: Circuit, blocks: readonly Block[], count: number): Circuit {
  const ids = new Set(blocks.slice(0, count).flatMap(({ pieces }) => pieces.map(({ part }) => part)));
  return {
    ...circuit,
    parts: circuit.parts.filter((part) => isKind(part, 'supply') || ids.has(part.body?.id ?? part.id)),
  };
}

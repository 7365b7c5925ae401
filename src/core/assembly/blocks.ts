import { isArchedWire } from '../board/arches';
import { boardOf, copperOf } from '../board/copper';
import { holeOf } from '../board/geometry';
import { likenessOf } from '../board/layout/repeat';
import { blockLists, wiringOf } from '../board/layout/wiring';
import type { Placement, Plan } from '../board/plan';
import { bodyShape, lies, stands, type Shape } from '../board/room';
import type { Circuit } from '../circuit/circuit';
import { heightOf, polarityOf, type Thing } from '../parts/thing';
import type { LegPlace, Piece } from './step';

/** What is placed before the next test: its wires and its things, low ones first. */
export interface Block {
  readonly number: number;
  readonly jumpers: readonly Placement[];
  readonly pieces: readonly Piece[];
  /** The earlier block that it is built like, with the same values. */
  readonly like?: number;
}

/** The blocks of a plan in the order of the lesson, each with the wires that it needs to work by then. */
export function blocksOf(plan: Plan, circuit: Circuit): Block[] {
  const wiring = wiringOf(circuit);
  const things = new Map(wiring.bodies.map((thing) => [thing.id, thing]));
  const lists = blockLists(wiring);
  const placed = new Map(plan.placements.map((p) => [p.part, p]));
  const jumpers = beforeWhatCovers(wiresByBlock(plan, lists, wiring.supply?.id), plan, lists, things);
  const shapes = lists.map((ids) => {
    const block = ids.map((id) => things.get(id)!);
    return `${likenessOf(block, wiring)} ${block.flatMap((thing) => thing.parts.map((p) => JSON.stringify(p.params))).join()}`;
  });
  return lists.map((ids, i): Block => {
    const pieces = ids
      .flatMap((id) => (placed.has(id) ? [pieceOf(things.get(id)!, placed.get(id)!)] : []))
      .map((piece, order) => ({ piece, order }))
      .sort((a, b) => heightOf(a.piece) - heightOf(b.piece) || a.order - b.order)
      .map(({ piece }) => piece);
    const like = shapes.indexOf(shapes[i]!);
    return { number: i + 1, jumpers: jumpers[i]!, pieces, ...(like < i ? { like: like + 1 } : {}) };
  });
}

/**
 * The wires that each block needs beside those of the blocks before: all that lie between legs that are there by then.
 * A wire that joins nothing yet waits; one that never does comes last.
 */
function wiresByBlock(
  plan: Plan,
  lists: readonly (readonly string[])[],
  supply: string | undefined,
): Placement[][] {
  const copper = copperOf(plan);
  const wires = plan.placements.filter((p) => p.kind === 'jumper');
  const legs = new Map(plan.placements.map((p) => [p.part, Object.values(p.legs).map(copper)]));
  const ends = (wire: Placement) => legs.get(wire.part)!;
  const there = new Set(legs.get(supply ?? '') ?? []);
  const waiting = new Set(wires);
  const found = lists.map((ids) => {
    for (const id of ids) for (const strip of legs.get(id) ?? []) there.add(strip);
    const own = needed(wires, ends, there).filter((wire) => waiting.delete(wire));
    return own;
  });
  found[found.length - 1]?.push(...waiting);
  return railsFirst(found, plan);
}

/** What joins the rails of both sides comes before anything else. */
function railsFirst(wires: readonly (readonly Placement[])[], plan: Plan): Placement[][] {
  const board = boardOf(plan);
  const isLink = ({ legs }: Placement) => Object.values(legs).every((name) => holeOf(board, name)?.rail);
  const links = board.copper === 'rows' ? wires.flat().filter(isLink) : [];
  return wires.map((own, i) => [...(i === 0 ? links : []), ...own.filter((wire) => !links.includes(wire))]);
}

/** Wires in the block of whatever will stand over them, where that comes before their own: later they could not be laid. */
function beforeWhatCovers(
  wires: readonly (readonly Placement[])[],
  plan: Plan,
  lists: readonly (readonly string[])[],
  things: ReadonlyMap<string, Thing>,
): Placement[][] {
  const board = boardOf(plan);
  const places = ({ legs }: Placement) => Object.values(legs).flatMap((name) => holeOf(board, name) ?? []);
  const shapes = lists.map((ids) =>
    ids.flatMap((id): Shape[] => {
      const thing = things.get(id);
      const placement = plan.placements.find(({ part }) => part === id);
      return thing && placement && stands(thing) ? [bodyShape(thing, places(placement))] : [];
    }),
  );
  const found = lists.map((): Placement[] => []);
  wires.forEach((own, block) => {
    for (const wire of own) {
      // An arch goes over what it passes, and comes after it.
      const covered = isArchedWire(plan, wire)
        ? -1
        : shapes.findIndex((some, i) => i < block && some.some((shape) => passes(places(wire), shape)));
      found[covered < 0 ? block : covered]!.push(wire);
    }
  });
  return found;
}

/** Places along a wire at which it is looked whether something stands over it. */
const LOOKED = 24;

/** Whether a straight wire between two holes passes under a body. */
function passes([from, to]: readonly { readonly x: number; readonly y: number }[], shape: Shape): boolean {
  if (!from || !to) return false;
  return Array.from({ length: LOOKED + 1 }, (_, i) => i / LOOKED).some((share) =>
    lies({ x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) }, shape),
  );
}

/** The wires that are left when every end that leads to nothing has been taken away. */
function needed(
  wires: readonly Placement[],
  ends: (wire: Placement) => readonly string[],
  there: ReadonlySet<string>,
): Placement[] {
  let left = [...wires];
  for (;;) {
    const counts = new Map<string, number>();
    for (const wire of left)
      for (const end of new Set(ends(wire))) counts.set(end, (counts.get(end) ?? 0) + 1);
    const kept = left.filter((wire) => ends(wire).every((end) => there.has(end) || counts.get(end)! > 1));
    if (kept.length === left.length) return kept;
    left = kept;
  }
}

export function pieceOf(thing: Thing, placement: Placement): Piece {
  return { part: thing.id, kind: thing.kind, legs: legPlaces(thing, placement) };
}

export function legPlaces(thing: Thing, placement: Placement): LegPlace[] {
  const marks = polarityOf(thing).pins;
  return Object.entries(placement.legs).map(([pin, hole]) => ({ pin, hole, cue: marks[pin] ?? 'none' }));
}

/** Where the two ends of a wire go: neither differs from the other. */
export function wirePlaces(placement: Placement): LegPlace[] {
  return Object.entries(placement.legs).map(([pin, hole]) => ({ pin, hole, cue: 'none' }));
}

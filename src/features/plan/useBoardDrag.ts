import { drag, select } from 'd3';
import { useEffect, useRef, useState } from 'react';
import { moveLeg, shiftPart, stepsBetween, type Outcome, type Plan } from '@/core';
import { atHole, nearestHole, type View, type Point } from './geometry';

interface Held {
  readonly part: string;
  readonly pin: string | undefined;
  readonly start: Point;
  readonly plan: Plan;
}

/** A mouse or one finger, in the drawing's own measure. */
interface Dragged extends Point {
  readonly sourceEvent: Event;
}

const placeOf = ({ x, y }: Dragged): Point => ({ x, y });

interface Handlers {
  readonly plan: Plan;
  readonly view: View;
  onPick(part: string): void;
  /** A plan while the part is in the hand, or the refusal of the board. */
  onHover(moved: Outcome<Plan>): void;
  onDrop(): void;
}

/** Lets the pointer take a leg, or a whole part by its body, to other holes. */
export function useBoardDrag(handlers: Handlers) {
  // A state, not a ref: the drawing goes and comes back when the board is turned over.
  const [root, setRoot] = useState<SVGSVGElement | null>(null);
  const latest = useRef(handlers);
  useEffect(() => {
    latest.current = handlers;
  });
  useEffect(() => {
    if (!root) return;
    let held: Held | undefined;
    const behaviour = drag<SVGSVGElement, unknown>()
      .container(root)
      .filter((event: MouseEvent) => !event.button && partUnder(event.target) !== undefined)
      .on('start', (event: Dragged) => {
        const part = partUnder(event.sourceEvent.target)!;
        const pin = (event.sourceEvent.target as Element).getAttribute('data-leg') ?? undefined;
        held = { part, pin, start: placeOf(event), plan: latest.current.plan };
        latest.current.onPick(part);
      })
      .on('drag', (event: Dragged) => {
        const moved = held && movedTo(held, placeOf(event), latest.current.view);
        if (moved) latest.current.onHover(moved);
      })
      .on('end', () => {
        held = undefined;
        latest.current.onDrop();
      });
    // Only what can be dragged keeps the page from scrolling under a finger: the style sheet says what that is.
    select(root).call(behaviour).style('touch-action', null);
    return () => {
      select(root).on('.drag', null);
    };
  }, [root]);
  return setRoot;
}

function partUnder(target: EventTarget | null): string | undefined {
  const group = target instanceof Element ? target.closest('[data-part]') : null;
  return group?.getAttribute('data-part') ?? undefined;
}

function movedTo({ part, pin, start, plan }: Held, place: Point, board: View): Outcome<Plan> | undefined {
  if (pin !== undefined) {
    const hole = nearestHole(plan, place, board);
    return hole && moveLeg(plan, part, pin, hole.name);
  }
  const name = Object.values(plan.placements.find((p) => p.part === part)?.legs ?? {})[0];
  if (!name) return undefined;
  // The part goes as far as its first leg is carried, from hole to hole, as the trench is wider.
  const from = atHole(plan, name, board);
  const target = nearestHole(plan, { x: from.x + place.x - start.x, y: from.y + place.y - start.y }, board);
  const shift = target && stepsBetween(plan, name, target.name);
  return shift && (shift.rows !== 0 || shift.columns !== 0)
    ? shiftPart(plan, part, shift.rows, shift.columns)
    : undefined;
}

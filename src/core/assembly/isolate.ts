import { boardOf, copperOf } from '../board/copper';
import { boardHoles, distance, holeOf, type Hole, type HoleName } from '../board/geometry';
import { placementOf, takenHoles, type Placement, type Plan } from '../board/plan';
import { isKind, type Circuit, type PartOf } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { lampIds } from '../observe/looks';
import type { Ohms } from '../quantities/units';
import { gateAt, type GateGround } from './gates';
import type { Isolation, Parking } from './step';

/** Name of the parking resistor, which no circuit has. */
export const PARKED = 'RP';

/**
 * What the pieces on the board show while one chip is out and the net of its output is parked on plus, then on minus.
 * Everything is read back from the board as it stands then, with the resistor in its holes.
 *
 * @param there pieces on the board; the chip that is out is taken from them
 * @returns undefined where no lamp tells the two apart, or no free holes reach the row and the rails
 */
export function isolationOf(
  ground: GateGround,
  there: ReadonlySet<string>,
  without: string,
  ohms: Ohms,
): Isolation | undefined {
  const { plan, circuit } = ground;
  const [chip, second] = circuit.parts.filter((part) => isKind(part, 'timer') && part.id !== without);
  const out = circuit.parts.find((part) => part.id === without);
  if (!chip || second || !out || !isKind(out, 'timer')) return undefined;
  const left = new Set([...there].filter((id) => id !== without));
  const from = freeOn(ground, left, out);
  if (from === undefined || !left.has(chip.id)) return undefined;
  const parkings = (['plus', 'minus'] as const).flatMap((rail): Parking[] => {
    const to = freeOnRail(plan, circuit, rail, from);
    if (to === undefined) return [];
    const legs = { a: from, b: to };
    const standing = { ...ground, plan: parkedPlan(plan, legs, ohms) };
    return [{ rail, legs, gate: gateAt(standing, new Set([...left, PARKED]), []) }];
  });
  const told = parkings.length === 2 && parkings.some(({ gate }) => gate.lit.length > 0);
  const same = new Set(parkings.map(({ gate }) => JSON.stringify([gate.lit, gate.blinks]))).size === 1;
  return told && !same && !parkings.some(({ gate }) => gate.erratic)
    ? { chip: chip.id, without, ohms, lamps: lampIds(circuit).filter((id) => left.has(id)), parkings }
    : undefined;
}

/** The plan with the parking resistor in its holes. */
export function parkedPlan(plan: Plan, legs: Parking['legs'], ohms: Ohms): Plan {
  const parked: Placement = { part: PARKED, kind: 'part', legs, standIn: { kind: 'resistor', ohms } };
  return { ...plan, placements: [...plan.placements, parked] };
}

/** Every half of a finished build, each with the other chip pulled out. */
export function isolationsOf(ground: GateGround, ohms: Ohms): Isolation[] {
  const there = new Set(ground.plan.placements.map(({ part }) => part));
  return ground.circuit.parts
    .filter((part) => isKind(part, 'timer'))
    .flatMap(({ id }) => isolationOf(ground, there, id, ohms) ?? []);
}

/** A hole that nothing will take, in a row that a lamp's branch on the board joins with the missing chip's output. */
function freeOn(
  { plan, circuit }: GateGround,
  there: ReadonlySet<string>,
  out: PartOf<'timer'>,
): HoleName | undefined {
  const net = out.pins['output']!;
  const copper = copperOf(plan);
  const strips = circuit.parts.flatMap(({ id, pins }) => {
    const placed = there.has(id) ? placementOf(plan, id) : undefined;
    return Object.entries(pins)
      .filter(([, at]) => at === net)
      .flatMap(([pin]) => placed?.legs[pin] ?? []);
  });
  const free = freeHoles(plan);
  for (const strip of new Set(strips.map(copper))) {
    const hole = free.find((name) => copper(name) === strip);
    if (hole !== undefined) return hole;
  }
  return undefined;
}

/** The nearest free hole of the rail: a resistor's legs are only so long. */
function freeOnRail(
  plan: Plan,
  circuit: Circuit,
  rail: 'plus' | 'minus',
  from: HoleName,
): HoleName | undefined {
  const source = sourceOf(circuit);
  const lead = source && placementOf(plan, source.id)?.legs[rail];
  if (lead === undefined || !holeOf(boardOf(plan), lead)?.rail) return undefined;
  const copper = copperOf(plan);
  const board = boardOf(plan);
  const away = (name: HoleName) => distance(holeOf(board, from)!, holeOf(board, name)!);
  return freeHoles(plan)
    .filter((name) => copper(name) === copper(lead))
    .sort((a, b) => away(a) - away(b))[0];
}

/** Holes that nothing takes and nothing lies over. */
function freeHoles(plan: Plan): HoleName[] {
  const board = boardOf(plan);
  const taken = takenHoles(plan);
  const lying = plan.placements.flatMap(({ legs }) => {
    const ends = Object.values(legs).map((hole) => holeOf(board, hole)!);
    return ends.length === 2 ? [ends as [Hole, Hole]] : [];
  });
  return boardHoles(board)
    .filter((hole) => !taken.has(hole.name) && !lying.some((ends) => isOver(ends, hole)))
    .map(({ name }) => name);
}

/** Pitches within which a wire or a leg lies over a hole. */
const OVER = 0.4;

function isOver([a, b]: readonly [Hole, Hole], hole: Hole): boolean {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const share = ((hole.x - a.x) * dx + (hole.y - a.y) * dy) / (dx * dx + dy * dy || 1);
  const at = Math.min(1, Math.max(0, share));
  return Math.hypot(a.x + at * dx - hole.x, a.y + at * dy - hole.y) < OVER;
}

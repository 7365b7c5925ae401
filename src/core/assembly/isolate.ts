import { boardOf, copperOf } from '../board/copper';
import { boardHoles, holeOf, type HoleName } from '../board/geometry';
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
    const to = freeOnRail(plan, circuit, rail);
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

function freeOnRail(plan: Plan, circuit: Circuit, rail: 'plus' | 'minus'): HoleName | undefined {
  const source = sourceOf(circuit);
  const lead = source && placementOf(plan, source.id)?.legs[rail];
  if (lead === undefined || !holeOf(boardOf(plan), lead)?.rail) return undefined;
  const copper = copperOf(plan);
  return freeHoles(plan).find((name) => copper(name) === copper(lead));
}

function freeHoles(plan: Plan): HoleName[] {
  const taken = takenHoles(plan);
  return boardHoles(boardOf(plan))
    .map(({ name }) => name)
    .filter((name) => !taken.has(name));
}

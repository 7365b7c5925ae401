import { accepted, finding, refused, type Outcome } from '../findings/finding';
import { PARTS } from '../parts/index';
import { boardOf } from './copper';
import { boardHoles, holeOf, LEFT_COLUMNS, RIGHT_COLUMNS, type HoleName } from './geometry';
import { isOnTheBack, takenHoles, type JumperColour, type Placement, type Plan, type StandIn } from './plan';

type Legs = Readonly<Record<string, HoleName>>;

/** Puts one leg into another hole. */
export function moveLeg(plan: Plan, part: string, pin: string, hole: HoleName): Outcome<Plan> {
  return relegged(plan, part, (legs) => ({ ...legs, [pin]: hole }));
}

/** Shifts a whole part by rows and columns; columns step over the trench. */
export function shiftPart(plan: Plan, part: string, rows: number, columns: number): Outcome<Plan> {
  return relegged(plan, part, (legs) =>
    Object.fromEntries(Object.entries(legs).map(([pin, hole]) => [pin, shifted(plan, hole, rows, columns)])),
  );
}

/** Turns a part end for end: its first and last legs change places. */
export function turnPart(plan: Plan, part: string): Outcome<Plan> {
  return relegged(plan, part, (legs) => {
    const pins = Object.keys(legs);
    const holes = Object.values(legs).reverse();
    return Object.fromEntries(pins.map((pin, i) => [pin, holes[i]!]));
  });
}

/** Puts something else in a part's place, or the part itself back. */
export function standInFor(plan: Plan, part: string, standIn: StandIn | undefined): Plan {
  return changed(plan, part, (placement) => ({ ...placement, standIn }));
}

/** The hole so many rows and columns from another, or the same when the board ends there sideways. */
export function shifted(plan: Plan, name: HoleName, rows: number, columns: number): HoleName {
  const board = boardOf(plan);
  const hole = holeOf(board, name);
  if (!hole) return name;
  if (board.copper === 'rows') {
    const order: readonly string[] = hole.rail ? board.rails : [...LEFT_COLUMNS, ...RIGHT_COLUMNS];
    const column = order[order.indexOf(hole.column) + columns];
    return column === undefined ? name : `${column}${hole.row + rows}`;
  }
  const beside = boardHoles(board).filter((other) => other.row === hole.row + columns);
  const order = boardHoles(board)
    .filter((other) => other.row === hole.row)
    .map((other) => other.column);
  const column = order[order.indexOf(hole.column) + rows];
  return beside.find((other) => other.column === column)?.name ?? name;
}

/** How many rows and columns lie between two holes, in the steps of `shiftPart`; undefined between unlike places. */
export function stepsBetween(
  plan: Plan,
  from: HoleName,
  to: HoleName,
): { rows: number; columns: number } | undefined {
  const board = boardOf(plan);
  const [a, b] = [holeOf(board, from), holeOf(board, to)];
  if (!a || !b) return undefined;
  if (board.copper === 'rows') {
    if (a.rail !== b.rail) return undefined;
    const order: readonly string[] = a.rail ? board.rails : [...LEFT_COLUMNS, ...RIGHT_COLUMNS];
    return { rows: b.row - a.row, columns: order.indexOf(b.column) - order.indexOf(a.column) };
  }
  const order = boardHoles(board)
    .filter((hole) => hole.row === a.row)
    .map((hole) => hole.column);
  return { rows: order.indexOf(b.column) - order.indexOf(a.column), columns: b.row - a.row };
}

function relegged(plan: Plan, part: string, change: (legs: Legs) => Legs): Outcome<Plan> {
  const moved = changed(plan, part, (placement) => ({
    ...placement,
    legs: change(placement.legs),
    fixed: true,
  }));
  return fits(moved, part);
}

/** The plan with one piece looked at again: its holes exist, are not cut, and are taken by nothing else. */
function fits(plan: Plan, part: string): Outcome<Plan> {
  const placement = plan.placements.find((p) => p.part === part);
  const holes = Object.values(placement?.legs ?? {});
  const board = boardOf(plan);
  const missing = holes.find((hole) => !holeOf(board, hole));
  if (missing !== undefined) return refused(finding('hole-missing', { hole: missing, part }));
  const cut = holes.find((hole) => plan.cuts?.includes(hole));
  if (cut !== undefined) return refused(finding('hole-cut', { hole: cut, part }));
  if (placement && isOnTheBack(plan, placement)) return accepted(plan);
  const taken = takenHoles({ ...plan, placements: plan.placements.filter((p) => p.part !== part) });
  for (const hole of holes) {
    const other = taken.get(hole);
    if (other) return refused(finding('hole-taken', { hole, part, other: other.part }));
  }
  const double = holes.find((hole, i) => holes.indexOf(hole) !== i);
  if (double !== undefined) {
    return refused(finding('hole-taken', { hole: double, part, other: part }));
  }
  return accepted(plan);
}

function changed(plan: Plan, part: string, change: (placement: Placement) => Placement): Plan {
  return {
    ...plan,
    placements: plan.placements.map((p) => (p.part === part ? change(p) : p)),
  };
}

/** Two pieces of the same footprint change places. */
export function swapParts(plan: Plan, one: string, other: string): Outcome<Plan> {
  const [a, b] = [one, other].map((id) => plan.placements.find((p) => p.part === id));
  if (!a || !b) return accepted(plan);
  const [from, to] = [Object.values(a.legs), Object.values(b.legs)];
  if (from.length !== to.length) return refused(finding('not-alike', { part: one, other }));
  const into = (placement: Placement, holes: readonly HoleName[]): Placement => ({
    ...placement,
    legs: Object.fromEntries(Object.keys(placement.legs).map((pin, i) => [pin, holes[i]!])),
    fixed: true,
  });
  return accepted({
    ...plan,
    placements: plan.placements.map((p) => (p === a ? into(p, to) : p === b ? into(p, from) : p)),
  });
}

/** Another colour for a jumper. */
export function recolour(plan: Plan, part: string, colour: JumperColour): Plan {
  return changed(plan, part, (placement) => ({ ...placement, colour }));
}

/** One more jumper, under the next free name. */
export function addJumper(plan: Plan, a: HoleName, b: HoleName, colour: JumperColour): Outcome<Plan> {
  const part = nextName(PARTS.wire.letter, plan.placements);
  const jumper: Placement = { part, kind: 'jumper', legs: { a, b }, colour, fixed: true };
  return fits({ ...plan, placements: [...plan.placements, jumper] }, part);
}

/** A resistor or lamp from the store between two holes; a lamp's long leg goes into the first. */
export function addPart(
  plan: Plan,
  what: Exclude<StandIn, { kind: 'wire' }>,
  first: HoleName,
  second: HoleName,
): Outcome<Plan> {
  const lamp = what.kind === 'led';
  const part = nextName(PARTS[what.kind].letter, plan.placements);
  const legs: Legs = lamp ? { anode: first, cathode: second } : { a: first, b: second };
  const placement: Placement = { part, kind: 'part', legs, standIn: what };
  return fits({ ...plan, placements: [...plan.placements, placement] }, part);
}

function nextName(letter: string, placements: readonly Placement[]): string {
  const names = new Set(placements.map(({ part }) => part));
  let number = 1;
  while (names.has(`${letter}${number}`)) number++;
  return `${letter}${number}`;
}

/** Takes a piece off the board; the lesson's circuit still wants it. */
export function takeAway(plan: Plan, part: string): Plan {
  return { ...plan, placements: plan.placements.filter((p) => p.part !== part) };
}

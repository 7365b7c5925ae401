import {
  boardHoles,
  boardOf,
  faultsOf,
  holeOf,
  keyOf,
  nets,
  observe,
  readBack,
  RIGHT_STATES,
  uniform,
  type Candidate,
  type Circuit,
  type FaultContext,
  type Placement,
  type Plan,
} from '@/core';

/** Where a simulated build comes from. */
export type Origin = 'right' | 'listed' | 'board' | 'two';

export interface Build {
  readonly origin: Origin;
  readonly candidate: Candidate;
  /** Both, where two things are wrong. */
  readonly both?: readonly Candidate[];
  readonly seed: number;
}

/** The right build, and its pack at the first stages of its use: the last stage borders on a tired one. */
const RIGHTS = 3;

/** Shares of the builds of each lesson. */
const SHARES: readonly (readonly [Origin, number])[] = [
  ['right', 0.3],
  ['listed', 0.4],
  ['board', 0.2],
  ['two', 0.1],
];

/**
 * Builds as a class may bring them: right ones, every mistake of the list in turn, a leg in a neighbouring hole or two
 * neighbours joined anywhere on the board, and two small deviations at once.
 */
export function* buildsOf(context: FaultContext, many: number, seed: number): Generator<Build> {
  const all = faultsOf(context);
  const rights = all.filter(({ code }) => code === 'right' || code === 'supply-used').slice(0, RIGHTS);
  const wrong = all.filter(({ code }) => !RIGHT_STATES.has(code));
  const small = wrong.filter(isSmall);
  for (let n = 0; n < many; n++) {
    const pick = (i: number) => uniform(seed, n, keyOf(`pick ${i}`));
    const of = <T>(list: readonly T[], i: number) => list[Math.floor(pick(i) * list.length)]!;
    const origin = originAt((n + 0.5) / many);
    const own = seed + 7919 * n;
    if (origin === 'right') yield { origin, candidate: of(rights, 1), seed: own };
    else if (origin === 'listed') yield { origin, candidate: wrong[n % wrong.length]!, seed: own };
    else if (origin === 'board') {
      const candidate = boardMistake(context, pick);
      if (candidate) yield { origin, candidate, seed: own };
    } else {
      const both = [of(small, 1), of(small, 2)];
      if (both[0]!.data.part === both[1]!.data.part) continue;
      const circuit = together(context.circuit, both[0]!.circuit, both[1]!.circuit);
      yield { origin, candidate: { ...both[0]!, circuit }, both, seed: own };
    }
  }
}

function originAt(share: number): Origin {
  let sum = 0;
  for (const [origin, part] of SHARES) {
    sum += part;
    if (share < sum) return origin;
  }
  return 'two';
}

/** What leaves a build nearly as it was meant: a value beside the right one, another sort of lamp, a tired pack. */
function isSmall({ code, data, use }: Candidate): boolean {
  if (use !== 'right') return false;
  const near = (a = 0, b = 1) => a / b > 0.4 && a / b < 2.5;
  if (code === 'wrong-resistor') return near(data.ohms, data.wantedOhms);
  if (code === 'wrong-capacitor') return near(data.farads, data.wantedFarads);
  return code === 'other-lamp' || code === 'supply-tired' || code === 'loose-joint' || code === 'bad-contact';
}

function together(right: Circuit, one: Circuit, other: Circuit): Circuit {
  const parts = right.parts.map((part, i) => {
    const changed = JSON.stringify(other.parts[i]) !== JSON.stringify(part);
    return changed ? other.parts[i]! : one.parts[i]!;
  });
  return { ...right, parts };
}

const TRIES = 40;

/**
 * Any leg up to three holes from its own, two neighbouring legs joined, two legs of one part or of two parts exchanged, both
 * legs of a part in one row: what that makes, if it is not the wanted circuit.
 */
function boardMistake({ plan, circuit }: FaultContext, pick: (i: number) => number): Candidate | undefined {
  const wanted = JSON.stringify(nets(circuit));
  for (let i = 0; i < TRIES; i++) {
    const own = (k: number) => pick(100 + 10 * i + k);
    const kind = own(0);
    const wrong =
      kind < 0.55
        ? strayLeg(plan, own)
        : kind < 0.75
          ? joinedLegs(plan, own)
          : kind < 0.9
            ? exchangedLegs(plan, own)
            : inOneRow(plan, own);
    if (!wrong) continue;
    const built = readBack(wrong, circuit);
    if (JSON.stringify(nets(built)) === wanted) continue;
    if (!observe(built).ok) continue;
    return { code: 'leg-astray', data: {}, prior: 1, circuit: built, use: 'right' };
  }
  return undefined;
}

type OwnPick = (k: number) => number;

function strayLeg(plan: Plan, pick: OwnPick): Plan | undefined {
  const board = boardOf(plan);
  const placement = at(plan.placements, pick(1));
  const [pin, hole] = at(Object.entries(placement.legs), pick(2));
  const from = holeOf(board, hole);
  if (!from) return undefined;
  const taken = new Set(plan.placements.flatMap(({ legs }) => Object.values(legs)));
  const beside = boardHoles(board).filter((other) => !taken.has(other.name) && isNear(other, from));
  if (beside.length === 0) return undefined;
  const moved: Placement = { ...placement, legs: { ...placement.legs, [pin]: at(beside, pick(3)).name } };
  return { ...plan, placements: plan.placements.map((p) => (p === placement ? moved : p)) };
}

/** Up to three holes along or across, into a rail too. */
function isNear(one: Point, other: Point): boolean {
  const [along, across] = [Math.abs(one.x - other.x), Math.abs(one.y - other.y)];
  return Math.min(along, across) < 0.1 && Math.max(along, across) < STRAYED;
}

const STRAYED = 3.1;
type Point = { readonly x: number; readonly y: number };

/** Two legs in each other's holes, of one part or of any two. */
function exchangedLegs(plan: Plan, pick: OwnPick): Plan {
  const all = plan.placements.flatMap(({ part, legs }) =>
    Object.entries(legs).map(([pin, hole]) => ({ part, pin, hole })),
  );
  const [one, other] = [at(all, pick(1)), at(all, pick(2))];
  const moved = (placement: Placement, { part, pin }: typeof one, hole: string): Placement =>
    placement.part === part ? { ...placement, legs: { ...placement.legs, [pin]: hole } } : placement;
  const placements = plan.placements.map((p) => moved(moved(p, one, other.hole), other, one.hole));
  return { ...plan, placements };
}

/** The second leg of a part joined with its first, as in one row. */
function inOneRow(plan: Plan, pick: OwnPick): Plan | undefined {
  const twoLegged = plan.placements.filter(
    ({ legs, kind }) => kind !== 'jumper' && Object.keys(legs).length === 2,
  );
  if (twoLegged.length === 0) return undefined;
  const [a, b] = Object.values(at(twoLegged, pick(1)).legs);
  const touching: Placement = { part: 'touching', kind: 'jumper', legs: { a: a!, b: b! } };
  return { ...plan, placements: [...plan.placements, touching] };
}

function joinedLegs(plan: Plan, pick: OwnPick): Plan | undefined {
  const board = boardOf(plan);
  const legs = plan.placements.flatMap(({ legs: own }) => Object.values(own));
  const hole = holeOf(board, at(legs, pick(1)));
  if (!hole) return undefined;
  const beside = legs
    .map((name) => holeOf(board, name))
    .filter(
      (other) => other && Math.hypot(other.x - hole.x, other.y - hole.y) < 1.5 && other.name !== hole.name,
    );
  if (beside.length === 0) return undefined;
  const touching: Placement = {
    part: 'touching',
    kind: 'jumper',
    legs: { a: hole.name, b: at(beside, pick(2))!.name },
  };
  return { ...plan, placements: [...plan.placements, touching] };
}

function at<T>(list: readonly T[], share: number): T {
  return list[Math.floor(share * list.length)]!;
}

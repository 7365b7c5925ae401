import { boardOf, copperOf } from '../../board/copper';
import { shifted } from '../../board/edits';
import { distance, holeOf, type HoleName } from '../../board/geometry';
import { isOnTheBack, takenHoles, type Placement, type Plan } from '../../board/plan';
import { readBack } from '../../board/readBack';
import { nets } from '../../board/sameCircuit';
import type { Circuit } from '../../circuit/circuit';
import { isSource } from '../../circuit/source';
import { mayMove } from '../../observe/observe';
import type { Alike, FaultCode, FaultData, Mistake } from '../../parts/mistake';
import { thingOf } from '../../parts/thing';
import type { FaultContext } from './fault';
import { isLarge, lookedAt } from './looked';

/** A plan gone wrong in one place, or the circuit that it then makes where no plan can say it. */
interface Slip {
  readonly code: FaultCode;
  readonly data: FaultData;
  readonly prior: number;
  readonly plan: Plan;
  readonly torn?: (circuit: Circuit) => Circuit;
}

/**
 * What can go wrong between the parts: wires and cuts left out, legs a row off, bridges of solder, tapes that touch
 * or tear. Each is read back off the board; those that make the same circuit are one candidate, with their weights
 * together and each by its name, and those that make the wanted one are none.
 */
export function wiringFaults(context: FaultContext): Mistake[] {
  const { circuit } = context;
  const wanted = JSON.stringify(nets(circuit));
  const found = new Map<string, { readonly circuit: Circuit; readonly slips: Alike[] }>();
  for (const slip of slips(context)) {
    const read = readBack(slip.plan, circuit);
    const built = slip.torn ? slip.torn(read) : read;
    const key = JSON.stringify(nets(built));
    if (key === wanted) continue;
    const { code, data, prior } = slip;
    const before = found.get(key);
    if (before) before.slips.push({ code, data, prior });
    else found.set(key, { circuit: built, slips: [{ code, data, prior }] });
  }
  return [...found.values()].map(({ circuit: built, slips: same }) => named(built, same));
}

/** One candidate for slips that make the same circuit: called by the likeliest, and the others beside it. */
function named(circuit: Circuit, slips: readonly Alike[]): Mistake {
  const [first, ...alike] = byPart(slips);
  const prior = slips.reduce((sum, slip) => sum + slip.prior, 0);
  const { code, data } = first!;
  return { code, data, prior, circuit, ...(alike.length > 0 ? { alike } : {}) };
}

/** A leg that may be in any of several wrong holes is named once. */
function byPart(slips: readonly Alike[]): Alike[] {
  const found = new Map<string, Alike>();
  for (const slip of slips) {
    const { part, pin, hole, other } = slip.data;
    const key = JSON.stringify([slip.code, part, pin, part === undefined ? [hole, other] : undefined]);
    const before = found.get(key);
    found.set(key, before ? { ...before, prior: before.prior + slip.prior } : slip);
  }
  return [...found.values()].sort((a, b) => b.prior - a.prior);
}

function slips(context: FaultContext): Slip[] {
  const watched = new Set(lookedAt(context).map(({ id }) => id));
  const large = isLarge(context);
  const { plan, circuit } = context;
  const isWatched = (part: string) => !large || watched.has(part);
  return [
    ...jumpersMissing(plan),
    ...cutsMissing(plan, isWatched),
    ...bridges(plan, isWatched),
    ...touchingLegs(plan, isWatched),
    ...tapeSlips(plan),
    ...strayLegs(plan, circuit, isWatched, large),
  ];
}

function jumpersMissing(plan: Plan): Slip[] {
  const board = boardOf(plan);
  return plan.placements
    .filter(({ kind }) => kind === 'jumper')
    .map((wire): Slip => {
      const [from, to] = Object.values(wire.legs).map((hole) => holeOf(board, hole));
      // Of one rail that is split; a wire from one side's rail to the other's is like any other.
      const overGap = from?.rail === true && to?.rail === true && from.column === to.column;
      const code = overGap && board.copper === 'rows' ? 'rail-gap' : 'jumper-missing';
      const placements = plan.placements.filter((other) => other !== wire);
      return { code, data: { part: wire.part, kind: 'wire' }, prior: 0.8, plan: { ...plan, placements } };
    });
}

function cutsMissing(plan: Plan, isWatched: (part: string) => boolean): Slip[] {
  const board = boardOf(plan);
  return (plan.cuts ?? []).flatMap((hole): Slip[] => {
    const cuts = plan.cuts!.filter((other) => other !== hole);
    const whole = { ...plan, cuts };
    const joined = copperOf(whole)(hole);
    const touched = plan.placements.some(
      ({ part, legs }) =>
        isWatched(part) &&
        Object.values(legs).some((leg) => holeOf(board, leg) && copperOf(whole)(leg) === joined),
    );
    return touched ? [{ code: 'cut-missing', data: { hole }, prior: 0.5, plan: whole }] : [];
  });
}

/** Neighbouring joints of a soldered board that ran together. */
function bridges(plan: Plan, isWatched: (part: string) => boolean): Slip[] {
  const { copper } = boardOf(plan);
  if (copper !== 'strips' && copper !== 'pads') return [];
  const front = plan.placements.filter((placement) => !isOnTheBack(plan, placement));
  return neighbours({ ...plan, placements: front }, isWatched, BESIDE).map(([hole, other]): Slip => ({
    code: 'bridge',
    data: { hole, other },
    prior: 0.3,
    plan: joinedBy(plan, hole, other),
  }));
}

/** Legs no further apart than this, in pitches, touch when they are bent: aslant, too. */
const TOUCHING = 1.5;

/** Pairs of holes with legs in them that lie so near each other. */
function neighbours(
  plan: Plan,
  isWatched: (part: string) => boolean,
  reach: number,
): (readonly [HoleName, HoleName])[] {
  const board = boardOf(plan);
  const legs = plan.placements.flatMap(({ part, legs: own }) =>
    Object.values(own).flatMap((name) => {
      const hole = holeOf(board, name);
      return hole ? [{ part, hole }] : [];
    }),
  );
  return legs.flatMap(({ part, hole }, i) =>
    legs
      .slice(i + 1)
      .filter((other) => distance(hole, other.hole) < reach && (isWatched(part) || isWatched(other.part)))
      .map((other) => [hole.name, other.hole.name] as const),
  );
}

function joinedBy(plan: Plan, a: HoleName, b: HoleName): Plan {
  const bridge: Placement = { part: 'bridge', kind: 'jumper', legs: { a, b } };
  return { ...plan, placements: [...plan.placements, bridge] };
}

/** The two long tapes of a card touching, and each of them torn between two lanes. */
function tapeSlips(plan: Plan): Slip[] {
  if (boardOf(plan).copper !== 'tapes') return [];
  const touching: Slip = {
    code: 'bridge',
    data: { hole: 'p0', other: 'm0' },
    prior: 0.8,
    plan: joinedBy(plan, 'p0', 'm0'),
  };
  const lanes = plan.placements.flatMap(({ legs }) => Object.values(legs)).map(laneOf);
  const last = Math.max(...lanes);
  const torn = ['p', 'm'].flatMap((tape) =>
    Array.from({ length: last }, (_, lane): Slip => ({
      code: 'tape-torn',
      data: { hole: `${tape}${lane + 1}` },
      prior: 0.3,
      plan,
      torn: (circuit) => tornBefore(circuit, plan, tape, lane + 1),
    })),
  );
  return [touching, ...torn];
}

function laneOf(hole: HoleName): number {
  return Number(/\d+$/u.exec(hole)?.[0] ?? 0);
}

/** The circuit with a tape that conducts no further than the lane before. */
function tornBefore(circuit: Circuit, plan: Plan, tape: string, lane: number): Circuit {
  const beyond = (part: string, leg: string) => {
    const hole = plan.placements.find((p) => p.part === part)?.legs[leg] ?? '';
    return hole.startsWith(tape) && laneOf(hole) >= lane;
  };
  return {
    ...circuit,
    parts: circuit.parts.map((part) => ({
      ...part,
      pins: Object.fromEntries(
        Object.entries(part.pins).map(([pin, net]) => [pin, beyond(part.id, pin) ? `${net} torn off` : net]),
      ),
    })),
  };
}

/** A hole beside another lies one pitch from it; over the trench it is further. */
const BESIDE = 1.1;
const AROUND = [
  [-1, 0],
  [1, 0],
  [0, -1],
  [0, 1],
] as const;
/** How often a leg is one hole off, and two or three. */
const ASTRAY = [0.3, 0.03, 0.02];
/** Leads of a supply are led to last and looked at. */
const LED_LAST = 0.3;

/** Each leg in a free hole beside its own, or a little further off. */
function strayLegs(
  plan: Plan,
  circuit: Circuit,
  isWatched: (part: string) => boolean,
  large: boolean,
): Slip[] {
  const board = boardOf(plan);
  const taken = takenHoles(plan);
  // What moves takes long to follow for each of them.
  const reach = large || mayMove(circuit) ? ASTRAY.slice(0, 1) : ASTRAY;
  return plan.placements
    .filter(({ part }) => isWatched(part))
    .flatMap((placement) =>
      Object.entries(placement.legs).flatMap(([pin, hole]) => {
        const lead = isSource(circuit, placement.part) && (pin === 'plus' || pin === 'minus');
        const holes = reach.flatMap((often, k) =>
          AROUND.map(([rows, columns]) => ({
            often,
            k,
            to: shifted(plan, hole, (k + 1) * rows, (k + 1) * columns),
          })),
        );
        return holes.flatMap(({ often, k, to }): Slip[] => {
          const [from, place] = [holeOf(board, hole), holeOf(board, to)];
          if (!from || !place || taken.has(to) || distance(from, place) > k + BESIDE) return [];
          const moved = { ...placement, legs: { ...placement.legs, [pin]: to } };
          const placements = plan.placements.map((p) => (p === placement ? moved : p));
          const kind = thingOf(circuit, placement.part)?.kind ?? 'wire';
          const data = { part: placement.part, kind, pin, hole: to };
          const prior = lead ? LED_LAST * often : often;
          return [{ code: 'leg-astray', data, prior, plan: { ...plan, placements } }];
        });
      }),
    );
}

/** Bare legs in neighbouring holes of a plug-in board that touch. */
function touchingLegs(plan: Plan, isWatched: (part: string) => boolean): Slip[] {
  if (boardOf(plan).copper !== 'rows') return [];
  return neighbours(plan, isWatched, TOUCHING).map(([hole, other]): Slip => ({
    code: 'legs-touching',
    data: { hole, other },
    prior: 0.15,
    plan: joinedBy(plan, hole, other),
  }));
}

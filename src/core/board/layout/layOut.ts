import type { Circuit } from '../../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import { uniform } from '../../numerics/random';
import type { Thing } from '../../parts/thing';
import { boardsFor, BOARD_CHOICES, type BoardChoice, type BoardSpec } from '../boards';
import type { JumperColour, Placement, Plan } from '../plan';
import type { Candidate, LampHabit } from './candidates';
import { layOutCard } from './card';
import { cutsFor } from './cuts';
import { joinNets, type Link } from './join';
import { latticeOf, type Lattice } from './lattice';
import { Placer } from './place';
import type { Spacing } from './prices';
import { qualityOf, type Quality } from './score';
import { wiringOf, type Wiring } from './wiring';

/** Plus red and minus black; wires in between by turns, in the colour of their lamp, or all alike. */
export type WireHabit = 'red and black' | 'as the lamp' | 'any';

export interface LayoutRequest {
  readonly circuit: Circuit;
  readonly board: BoardChoice;
  readonly wires: WireHabit;
  /** Colour of the jumpers that lead to each lamp, where they follow it. */
  readonly lampWires?: Readonly<Record<string, JumperColour>> | undefined;
  readonly spacing: Spacing;
  /** All lamps the same way round, unless said otherwise. */
  readonly lamps?: LampHabit;
  /** Pieces put there by hand, that stay where they are. */
  readonly keep?: readonly Placement[];
  /** Stages side by side on a soldered board before the next row of them begins. */
  readonly perBand?: number | undefined;
  /** Seed of the orders that are tried. */
  readonly seed?: number;
}

/** How a plan was found: in the order of the lesson, along the current, or by trying orders. */
export type Method = 'lesson' | 'current' | 'most joined' | 'tried';

export interface LaidOut {
  readonly plan: Plan;
  readonly quality: Quality;
  readonly method: Method;
}

/** Further orders that are tried, fewer for circuits with many parts: their work together stays about the same. */
const TRIES = (bodies: number) => Math.max(2, Math.min(10, Math.round(120 / Math.max(bodies, 1))));

/**
 * Lays a circuit out on a board: no two legs in a hole, chips astride the trench, blocks one below the other.
 * Several orders of placing are tried, and the plan with the fewest and shortest wires is kept.
 *
 * @returns the plan with its quality, or how much is too much and which boards would hold it
 */
export function layOut(request: LayoutRequest): Outcome<LaidOut> {
  const wiring = wiringOf(request.circuit);
  if (request.board === 'card') {
    const card = layOutCard(wiring);
    if (card.ok) return accepted({ plan: card.value, quality: qualityOf(card.value), method: 'current' });
    const [why] = card.findings;
    return why?.code === 'does-not-fit' ? refused(tooMuch(request, wiring, why.data.left)) : card;
  }
  const tried = onBoard(request, wiring, boardsFor(request.board)[0]!);
  if (tried.best) return accepted(tried.best);
  return refused(tooMuch(request, wiring, tried.left));
}

/** How much is too much, and which boards would hold it. */
function tooMuch(request: LayoutRequest, wiring: Wiring, left: number): Finding {
  const { board } = request;
  const would = BOARD_CHOICES.filter(
    (other) => other !== 'card' && other !== board && fitsOn(other, request, wiring),
  );
  return finding('does-not-fit', { board, left, of: wiring.bodies.length, would: would.join(' ') });
}

function fitsOn(board: BoardChoice, request: LayoutRequest, wiring: Wiring): boolean {
  const { keep: _stays, ...loose } = request;
  return onBoard({ ...loose, board }, wiring, boardsFor(board)[0]!, true).best !== undefined;
}

interface Attempt {
  readonly best: LaidOut | undefined;
  /** Fewest things that found no place. */
  readonly left: number;
}

function onBoard(request: LayoutRequest, wiring: Wiring, board: BoardSpec, anyWillDo = false): Attempt {
  const lattice = latticeOf(board);
  const netNumber = new Map([...wiring.legs.keys()].map((net, i) => [net, i]));
  const kept = keptHoles(request.keep ?? [], lattice);
  const ways = new Map<string, readonly Candidate[]>();
  let best: LaidOut | undefined;
  let left = wiring.bodies.length;
  for (const { method, order, spacing } of attempts(wiring, request, anyWillDo)) {
    // Stages among each other's rows are taken only where they do not fit one below the other.
    if (best && spacing !== request.spacing) break;
    const { perBand, lamps = 'the same way' } = request;
    const setting = { lattice, wiring, spacing, lamps, netNumber, kept, perBand };
    const made = new Placer(setting, ways).run(order);
    left = Math.min(left, made.left.length);
    if (made.left.length) continue;
    const links = joinNets({
      occupancy: made.occupancy,
      nets: netOrder(wiring, netNumber),
      plus: netNumber.get(wiring.plus) ?? -1,
      minus: netNumber.get(wiring.minus) ?? -1,
      kept: keptLinks(request.keep ?? [], lattice, made.occupancy.netAt),
    });
    if (!links) {
      left = Math.min(left, 1);
      continue;
    }
    const plan = planFrom(request, wiring, netNumber, lattice, made, links);
    const quality = qualityOf(plan);
    if (!best || quality.cost < best.quality.cost - 1e-9) best = { plan, quality, method };
    if (anyWillDo) break;
  }
  return { best, left };
}

interface Try {
  readonly method: Method;
  readonly order: readonly Thing[];
  readonly spacing: Spacing;
}

/** The orders in which things are placed; close spacing comes last, for when nothing else fits. */
function* attempts(wiring: Wiring, request: LayoutRequest, anyWillDo: boolean): Generator<Try> {
  const { bodies } = wiring;
  const { spacing } = request;
  const simple = bodies.every((body) => Object.keys(body.legs).length === 2);
  yield { method: 'lesson', order: bodies, spacing };
  yield { method: 'current', order: alongTheCurrent(wiring), spacing };
  const joined = mostJoined(wiring);
  yield { method: 'most joined', order: joined, spacing };
  let drawn = 0;
  const random = () => uniform(request.seed ?? 1, drawn++, 1);
  const tries = simple || anyWillDo ? 0 : TRIES(bodies.length);
  for (let i = 0; i < tries; i++) {
    yield { method: 'tried', order: shuffledABit(i % 2 ? bodies : joined, random), spacing };
  }
  if (spacing === 'clear') {
    yield { method: 'lesson', order: bodies, spacing: 'compact' };
    yield { method: 'most joined', order: joined, spacing: 'compact' };
  }
}

/** From the plus net on, each thing after one that it hangs on. */
function alongTheCurrent({ bodies, plus, minus }: Wiring): Thing[] {
  const order: Thing[] = [];
  const left = new Set(bodies);
  const visit = (net: string): void => {
    for (const body of bodies) {
      if (!left.has(body) || !Object.values(body.legs).includes(net)) continue;
      left.delete(body);
      order.push(body);
      for (const next of Object.values(body.legs)) if (next !== plus && next !== minus) visit(next);
    }
  };
  visit(plus);
  return [...order, ...left];
}

/** Things with many legs first, then always the one that shares most nets with those already there. */
function mostJoined({ bodies }: Wiring): Thing[] {
  const left = [...bodies].sort((a, b) => Object.keys(b.legs).length - Object.keys(a.legs).length);
  const order: Thing[] = [];
  const known = new Set<string>();
  while (left.length) {
    const weight = (body: Thing) => {
      const nets = Object.values(body.legs);
      return (
        nets.filter((net) => known.has(net)).length / nets.length + (nets.length > 2 ? 0.1 * nets.length : 0)
      );
    };
    const next = left.reduce((best, body) => (weight(body) > weight(best) + 1e-9 ? body : best));
    left.splice(left.indexOf(next), 1);
    order.push(next);
    for (const net of Object.values(next.legs)) known.add(net);
  }
  return order;
}

function shuffledABit(order: readonly Thing[], random: () => number): Thing[] {
  const moved = [...order];
  for (let swaps = 0; swaps < 2 + order.length / 6; swaps++) {
    const from = Math.floor(random() * moved.length);
    const to = Math.floor(random() * moved.length);
    moved.splice(to, 0, ...moved.splice(from, 1));
  }
  return moved;
}

function keptHoles(keep: readonly Placement[], lattice: Lattice): Map<string, readonly number[]> {
  return new Map(
    keep
      .filter((p) => p.kind === 'part')
      .map((p) => [p.part, Object.values(p.legs).map((hole) => lattice.number(hole))]),
  );
}

/** Wires kept by hand that still lie between two places of one net. */
function keptLinks(keep: readonly Placement[], lattice: Lattice, netAt: Int32Array): Link[] {
  return keep.flatMap((p): Link[] => {
    if (p.kind !== 'jumper') return [];
    const [a, b] = Object.values(p.legs).map((hole) => lattice.number(hole)) as [number, number];
    if (a < 0 || b < 0) return [];
    const netOf = (hole: number) => {
      const legs = lattice.board.copper === 'pads' ? [hole] : lattice.members[lattice.strip[hole]!]!;
      return legs.map((other) => netAt[other]!).find((net) => net >= 0);
    };
    const net = netOf(a);
    return net !== undefined && net === netOf(b) ? [{ net, a, b }] : [];
  });
}

function netOrder(wiring: Wiring, netNumber: ReadonlyMap<string, number>): number[] {
  const power = [wiring.plus, wiring.minus].flatMap((net) => netNumber.get(net) ?? []);
  const others = [...netNumber.values()].filter((net) => !power.includes(net));
  return [...power, ...others];
}

const SIGNAL_COLOURS: readonly JumperColour[] = ['yellow', 'blue', 'green'];

function planFrom(
  request: LayoutRequest,
  wiring: Wiring,
  netNumber: ReadonlyMap<string, number>,
  lattice: Lattice,
  made: ReturnType<Placer['run']>,
  links: readonly Link[],
): Plan {
  const name = (hole: number) => lattice.holes[hole]!.name;
  const keep = request.keep ?? [];
  const lampColours = new Map<number, JumperColour>();
  for (const { id, legs } of request.wires === 'as the lamp' ? wiring.bodies : []) {
    const colour = request.lampWires?.[id];
    for (const net of colour ? Object.values(legs) : []) lampColours.set(netNumber.get(net)!, colour!);
  }
  const colourOf = (net: number): JumperColour => {
    if (request.wires === 'any') return 'green';
    if (net === netNumber.get(wiring.plus)) return 'red';
    if (net === netNumber.get(wiring.minus)) return 'black';
    return lampColours.get(net) ?? SIGNAL_COLOURS[net % SIGNAL_COLOURS.length]!;
  };
  const taken = new Set(keep.filter((p) => p.kind === 'jumper').map((p) => p.part));
  let number = 0;
  const nextName = (): string => {
    do number++;
    while (taken.has(`W${number}`));
    return `W${number}`;
  };
  const jumpers = links.map((link): Placement => {
    const legs = { a: name(link.a), b: name(link.b) };
    const own = keep.find((p) => p.kind === 'jumper' && samePlaces(p.legs, legs));
    return own ?? { part: nextName(), kind: 'jumper', legs, colour: colourOf(link.net) };
  });
  const order = [...wiring.bodies.map(({ id }) => id), wiring.supply?.id];
  const parts = [...made.placed]
    .sort((a, b) => order.indexOf(a.body.id) - order.indexOf(b.body.id))
    .map(({ body, holes }): Placement => {
      const legs = Object.fromEntries(Object.keys(body.legs).map((leg, i) => [leg, name(holes[i]!)]));
      const before = keep.find((p) => p.part === body.id);
      const stays = before !== undefined && samePlaces(before.legs, legs);
      return { part: body.id, kind: 'part', legs, ...(stays ? { fixed: true } : {}) };
    });
  const cuts = cutsFor(lattice, made.occupancy);
  return {
    board: lattice.board.id,
    placements: [...jumpers, ...parts],
    ...(cuts.length ? { cuts } : {}),
  };
}

function samePlaces(a: Placement['legs'], b: Placement['legs']): boolean {
  return Object.entries(a).every(([pin, hole]) => b[pin] === hole);
}

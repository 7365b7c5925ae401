import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import { boardsFor, BOARD_CHOICES, type BoardChoice, type BoardSpec } from '../boards';
import type { Placement, Plan } from '../plan';
import { attempts, type Method, type Try } from './attempts';
import { layOutCard } from './card';
import { joinNets, type JoinRequest } from './join';
import { latticeOf, type Lattice } from './lattice';
import type { LayoutRequest } from './request';
import { Placer, type Arrangement } from './place';
import { planFrom } from './planFrom';
import { withoutCrossings } from './relay';
import type { Spacing } from './prices';
import { qualityOf, type Quality } from './score';
import { WEIGHTS } from './weights';
import { wiringOf, type Wiring } from './wiring';
import { legsUnder, type Link } from './wirePrice';

export interface LaidOut {
  readonly plan: Plan;
  readonly quality: Quality;
  readonly method: Method;
}

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
  if (!tried.best) return refused(tooMuch(request, wiring, tried.left));
  const { plan, quality, method } = tried.best;
  return accepted({ plan, quality, method });
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
  readonly best: (LaidOut & Pick<Found, 'under'>) | undefined;
  /** Fewest things that found no place. */
  readonly left: number;
}

/** With legs in the rails; where a wire would have to lie over a leg then, with parts in rows only, if that is better. */
function onBoard(request: LayoutRequest, wiring: Wiring, board: BoardSpec, anyWillDo = false): Attempt {
  const own = searched(request, wiring, board, anyWillDo);
  if (!usesRails(request) || own.best?.under === 0 || (own.best && anyWillDo)) return own;
  const other = searched({ ...request, rails: 'wires only' }, wiring, board, anyWillDo);
  const isOwn = own.best && !(other.best && other.best.under < own.best.under);
  return { best: isOwn ? own.best : other.best, left: Math.min(own.left, other.left) };
}

function searched(request: LayoutRequest, wiring: Wiring, board: BoardSpec, anyWillDo: boolean): Attempt {
  const lattice = latticeOf(board);
  const netNumber = new Map([...wiring.legs.keys()].map((net, i) => [net, i]));
  const ground: Ground = {
    request,
    wiring,
    lattice,
    netNumber,
    kept: keptHoles(request.keep ?? [], lattice),
  };
  let best: Found | undefined;
  let left = wiring.bodies.length;
  for (const one of attempts(wiring, request, anyWillDo)) {
    if (isEnough(best, one, request.spacing)) break;
    const { found, left: over } = attempt(ground, one);
    left = Math.min(left, over);
    if (found && (!best || isBetter(found, best))) best = found;
    if (best && anyWillDo) break;
  }
  return { best: best && !anyWillDo ? tidied(best, ground) : best, left };
}

/** What all attempts on a board share. */
interface Ground {
  readonly request: LayoutRequest;
  readonly wiring: Wiring;
  readonly lattice: Lattice;
  readonly netNumber: ReadonlyMap<string, number>;
  readonly kept: ReadonlyMap<string, readonly number[]>;
}

/** Stages among each other's rows, and further orders, are taken only for want of a plan without a wire over a leg. */
function isEnough(best: Found | undefined, { spacing, late }: Try, wished: Spacing): boolean {
  if (late && !best) return true;
  return best?.under === 0 && (late === true || spacing !== wished);
}

function attempt(ground: Ground, { method, order, spacing }: Try): { found?: Found; left: number } {
  const { request, wiring, lattice, netNumber, kept } = ground;
  const { perBand, lamps = 'the same way' } = request;
  const legsInRails = usesRails(request);
  const setting = { lattice, wiring, spacing, lamps, legsInRails, netNumber, kept, perBand };
  const made = new Placer(setting).run(order);
  if (made.left.length) return { left: made.left.length };
  const joining = joiningOf(ground, made);
  const links = joinNets(joining);
  if (!links) return { left: 1 };
  const plan = planFrom(request, wiring, netNumber, lattice, made, links);
  const under = legsUnder(made.occupancy, links);
  const quality = qualityOf(plan);
  const cost = quality.cost + (legsInRails ? WEIGHTS.slant.plugged * quality.slants : 0);
  return { found: { plan, quality, cost, method, made, joining, links, under }, left: 0 };
}

function usesRails({ rails = 'legs' }: LayoutRequest): boolean {
  return rails === 'legs';
}

/** No wire over a leg comes first, then the fewest, straightest and shortest wires. */
function isBetter(one: Found, other: Found): boolean {
  if (one.under !== other.under) return one.under < other.under;
  return one.cost < other.cost - 1e-9;
}

function joiningOf(
  { request, wiring, lattice, netNumber }: Ground,
  { occupancy, rails }: Arrangement,
): JoinRequest {
  return {
    occupancy,
    nets: netOrder(wiring, netNumber),
    plus: netNumber.get(wiring.plus) ?? -1,
    minus: netNumber.get(wiring.minus) ?? -1,
    kept: keptLinks(request.keep ?? [], lattice, occupancy.netAt),
    rails,
  };
}

/** The plan with the wires that cross others laid once more. */
function tidied(found: Found, { request, wiring, lattice, netNumber }: Ground): Attempt['best'] {
  if (found.quality.crossings === 0) return found;
  const links = withoutCrossings(found.joining, found.links);
  const plan = planFrom(request, wiring, netNumber, lattice, found.made, links);
  return { plan, quality: qualityOf(plan), method: found.method, under: found.under };
}

/** A plan with what it was made of, so that its wires can be laid once more. */
interface Found extends LaidOut {
  readonly made: Arrangement;
  readonly joining: JoinRequest;
  readonly links: readonly Link[];
  /** What it costs to build, slants among it where they are minded. */
  readonly cost: number;
  /** Holes in use that a wire lies over. */
  readonly under: number;
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

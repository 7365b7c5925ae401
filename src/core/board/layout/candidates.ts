import type { Footprint } from '../../parts/footprint';
import { footprintOf, roomOf, type Thing } from '../../parts/thing';
import { TRENCH_X } from '../geometry';
import { bodyShape, lies } from '../room';
import type { Lattice } from './lattice';

/** Looked up once: these stand in the innermost loops. */
const { abs, ceil, hypot, max, min } = Math;

/** Whether all lamps lie the same way round, or each as it comes out best. */
export type LampHabit = 'the same way' | 'either way';

/** One way to put a thing on the board. */
export interface Candidate {
  /** Hole of each leg, in the order of the body's legs. */
  readonly holes: readonly number[];
  /** Holes that the thing lies over. */
  readonly covered: readonly number[];
  /** How far this way lies from how such a thing usually sits: 0 is usual. */
  readonly oddity: number;
}

/** Every way to put a thing on the board, apart from what else is there. */
export function candidatesFor(
  body: Thing,
  lattice: Lattice,
  lamps: LampHabit,
  legsInRails: boolean,
): Candidate[] {
  const print = footprintOf(body);
  const oneWay = isLamp(body) && lamps === 'the same way';
  switch (print.form) {
    case 'line':
      return covering(body, lattice, [
        ...lines(body, lattice, print, oneWay),
        ...(legsInRails ? intoRails(body, lattice, print, oneWay) : []),
      ]);
    case 'comb':
      return covering(
        body,
        lattice,
        offSeam(lattice, combs(Object.keys(body.legs).length, print.pitch, lattice)),
      );
    case 'dual':
      return covering(body, lattice, offSeam(lattice, chips(body, lattice, print)));
    case 'leads':
      return [];
  }
}

/** Without the ways over the seam of two boards: rows beside it are not a pitch apart, and stiff legs do not give. */
function offSeam({ board, holes }: Lattice, ways: readonly Legs[]): readonly Legs[] {
  const { seamAfter } = board;
  if (seamAfter === undefined) return ways;
  return ways.filter((way) => new Set(way.holes.map((hole) => holes[hole]!.row > seamAfter)).size === 1);
}

type Line = Extract<Footprint, { form: 'line' }>;

/** How a thing's legs lie, before it is known which holes its body lies over. */
type Legs = Omit<Candidate, 'covered'>;

/** What stands on thin legs and looks at people: it wants room for fingers, and its like the same way round. */
export function isLamp({ kind }: Pick<Thing, 'kind'>): boolean {
  return kind === 'led' || kind === 'rgb';
}

/** Each way with the holes that the body lies over; none of them may hold another leg. */
function covering(body: Thing, lattice: Lattice, ways: readonly Legs[]): Candidate[] {
  // What a body covers is the same all down the board: it is worked out once for each place across it.
  const known = new Map<string, readonly (readonly [number, number])[]>();
  return ways.map((way) => {
    const legs = way.holes.map((hole) => lattice.holes[hole]!);
    const { y } = legs[0]!;
    const key = legs.map((leg) => `${leg.x} ${leg.y - y}`).join();
    const under = known.get(key) ?? coveredBy(body, legs);
    known.set(key, under);
    const covered = under.flatMap(([x, down]) => {
      const hole = lattice.placeAt(x, y + down);
      return hole < 0 ? [] : [hole];
    });
    return { ...way, covered };
  });
}

/** Place across, and pitches below the first leg, of every place under a body that holds no leg of its own. */
function coveredBy(
  body: Thing,
  legs: readonly { readonly x: number; readonly y: number }[],
): (readonly [number, number])[] {
  const shape = bodyShape(body, legs);
  const reach = ceil(max(roomOf(body).along, roomOf(body).across));
  const [xs, ys] = [legs.map(({ x }) => x), legs.map(({ y }) => y)];
  const found: (readonly [number, number])[] = [];
  for (let x = min(...xs) - reach; x <= max(...xs) + reach; x++) {
    for (let y = min(...ys) - reach; y <= max(...ys) + reach; y++) {
      const isLeg = legs.some((leg) => leg.x === x && leg.y === y);
      if (!isLeg && lies({ x, y }, shape)) found.push([x, y - ys[0]!]);
    }
  }
  return found;
}

/** Columns where flat parts and lamps usually lie on a plug-in board, by side; the second serves when the first is in use. */
const USUAL = { flat: [2, 1, 3, 0, 4, 7, 8, 6, 9, 5], round: [4, 3, 2, 1, 0, 5, 6, 7, 8, 9] } as const;

function columnOddity(body: Thing, lattice: Lattice, column: number): number {
  if (lattice.board.copper !== 'rows') return 0;
  const order: readonly number[] = isLamp(body) ? USUAL.round : USUAL.flat;
  return 0.35 * (order.indexOf(column) % 5);
}

function lines(
  body: Thing,
  lattice: Lattice,
  print: { low: number; high: number; usual: number },
  oneWay: boolean,
): Legs[] {
  const found: Legs[] = [];
  // On a soldered board there is room: a part lies about as long as usual.
  const most = lattice.board.copper === 'rows' ? print.high : min(print.high, print.usual + 1);
  for (let column = 0; column < lattice.columns; column++) {
    for (let rank = 0; rank < lattice.ranks; rank++) {
      for (let span = print.low; span <= most; span++) {
        const [a, b] = [lattice.at(column, rank), lattice.at(column, rank + span)];
        if (a < 0 || b < 0) continue;
        const oddity = 0.45 * abs(span - print.usual) + columnOddity(body, lattice, column);
        // As the legs are listed, current comes in at the first: that end lies higher up.
        found.push({ holes: [a, b], oddity });
        if (!oneWay) found.push({ holes: [b, a], oddity: oddity + 0.2 });
      }
    }
  }
  if (lattice.board.copper === 'rows') found.push(...acrossTheTrench(lattice, print));
  return found;
}

/** A flat part may bridge the trench: e to f is three pitches, d to f and e to g are four, d to g five. */
function acrossTheTrench(lattice: Lattice, { low, high }: { low: number; high: number }): Legs[] {
  const pairs = [
    [4, 5, 3],
    [3, 5, 4],
    [4, 6, 4],
    [3, 6, 5],
    [2, 6, 6],
    [3, 7, 6],
  ] as const;
  const found: Legs[] = [];
  for (const [left, right, span] of pairs) {
    if (span < low || span > high) continue;
    for (let rank = 0; rank < lattice.ranks; rank++) {
      const [a, b] = [lattice.at(left, rank), lattice.at(right, rank)];
      found.push({ holes: [a, b], oddity: 1.2 });
      found.push({ holes: [b, a], oddity: 1.4 });
    }
  }
  return found;
}

/** Rows aside that the thin legs of what stands give, from the hole in a row to the one in a rail. */
const GIVES = 2;
/** Pitches that the legs of what stands are spread at most, to reach a rail. */
const SPREAD = 3;

/** One leg or both straight into a rail, along a row: which end may go there is a matter of the nets. */
function intoRails(body: Thing, { holes, board }: Lattice, print: Line, oneWay: boolean): Legs[] {
  if (board.rails.length === 0 || print.stiff) return [];
  const round = roomOf(body).round === true;
  const [gives, most] = round ? [GIVES, max(print.high, SPREAD)] : [0, print.high];
  const byRow = new Map<number, number[]>();
  holes.forEach(({ row }, i) => byRow.set(row, [...(byRow.get(row) ?? []), i]));
  const found: Legs[] = [];
  const put = (a: number, b: number): void => {
    const [from, to] = [holes[a]!, holes[b]!];
    const span = hypot(from.x - to.x, from.y - to.y);
    if (span < print.low || span > most || (to.rail && to.row !== from.row)) return;
    const oddity = 0.1 * span + 0.3 * abs(from.row - to.row);
    // Lamps that all lie one way round have the first leg higher up, or straight across from rail to rail.
    if (!oneWay || to.rail || from.row < to.row) found.push({ holes: [a, b], oddity });
    if (!to.rail && (!oneWay || to.row < from.row)) found.push({ holes: [b, a], oddity });
  };
  holes.forEach((from, a) => {
    if (!from.rail) return;
    // From a rail to the rows beside it, and no further: over the trench it would lie across everything.
    const isBeside = (b: number) => a !== b && from.x < TRENCH_X === holes[b]!.x < TRENCH_X;
    for (let row = from.row - gives; row <= from.row + gives; row++) {
      for (const b of byRow.get(row) ?? []) if (isBeside(b)) put(a, b);
    }
  });
  return found;
}

function combs(legs: number, pitch: number, lattice: Lattice): Legs[] {
  const found: Legs[] = [];
  for (let column = 0; column < lattice.columns; column++) {
    for (let rank = 0; rank + (legs - 1) * pitch < lattice.ranks; rank++) {
      const holes = Array.from({ length: legs }, (_, i) => lattice.at(column, rank + i * pitch));
      const inner = lattice.board.copper === 'rows' ? abs(column - 4.5) : 0;
      found.push({ holes, oddity: 0.1 * inner });
      found.push({ holes: [...holes].reverse(), oddity: 0.1 * inner + 0.3 });
    }
  }
  return found;
}

/** A chip sits astride the trench, notch up; on a soldered board anywhere, three pitches wide. */
function chips(
  body: Thing,
  lattice: Lattice,
  { left, right }: { left: readonly string[]; right: readonly string[] },
): Legs[] {
  const plugged = lattice.board.copper === 'rows';
  const rows = max(left.length, right.length);
  const found: Legs[] = [];
  for (let column = plugged ? 4 : 0; column < (plugged ? 5 : lattice.columns - 3); column++) {
    for (let rank = 0; rank + rows - 1 < lattice.ranks; rank++) {
      const other = plugged ? 5 : column + 3;
      const place = (leg: string) => {
        const down = left.indexOf(leg);
        return down >= 0 ? lattice.at(column, rank + down) : lattice.at(other, rank + right.indexOf(leg));
      };
      found.push({ holes: Object.keys(body.legs).map(place), oddity: 0 });
    }
  }
  return found;
}

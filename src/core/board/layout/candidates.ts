import { CHIP_PINS, footprintOf, isRound } from '../footprints';
import type { Body } from '../bodies';
import type { Lattice } from './lattice';

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
export function candidatesFor(body: Body, lattice: Lattice, lamps: LampHabit): Candidate[] {
  const print = footprintOf(body);
  switch (print.form) {
    case 'line':
      return lines(body, lattice, print, isRound(body.kind) && lamps === 'the same way');
    case 'comb':
      return combs(Object.keys(body.legs).length, print.pitch, lattice);
    case 'chip':
      return chips(body, lattice);
    case 'leads':
      return [];
  }
}

/** Columns where flat parts and lamps usually lie on a plug-in board, by side; the second serves when the first is in use. */
const USUAL = { flat: [2, 1, 3, 0, 4, 7, 8, 6, 9, 5], round: [4, 3, 2, 1, 0, 5, 6, 7, 8, 9] } as const;

function columnOddity(body: Body, lattice: Lattice, column: number): number {
  if (lattice.board.copper !== 'rows') return 0;
  const order: readonly number[] = isRound(body.kind) ? USUAL.round : USUAL.flat;
  return 0.35 * (order.indexOf(column) % 5);
}

function lines(
  body: Body,
  lattice: Lattice,
  print: { low: number; high: number; usual: number },
  oneWay: boolean,
): Candidate[] {
  const found: Candidate[] = [];
  // On a soldered board there is room: a part lies about as long as usual.
  const most = lattice.board.copper === 'rows' ? print.high : Math.min(print.high, print.usual + 1);
  for (let column = 0; column < lattice.columns; column++) {
    for (let rank = 0; rank < lattice.ranks; rank++) {
      for (let span = print.low; span <= most; span++) {
        const [a, b] = [lattice.at(column, rank), lattice.at(column, rank + span)];
        if (a < 0 || b < 0) continue;
        const covered = Array.from({ length: span - 1 }, (_, i) => lattice.at(column, rank + i + 1));
        const oddity = 0.45 * Math.abs(span - print.usual) + columnOddity(body, lattice, column);
        // As the legs are listed, current comes in at the first: that end lies higher up.
        found.push({ holes: [a, b], covered, oddity });
        if (!oneWay) found.push({ holes: [b, a], covered, oddity: oddity + 0.2 });
      }
    }
  }
  if (lattice.board.copper === 'rows') found.push(...acrossTheTrench(lattice, print));
  return found;
}

/** A flat part may bridge the trench: e to f is three pitches, d to f and e to g are four, d to g five. */
function acrossTheTrench(lattice: Lattice, { low, high }: { low: number; high: number }): Candidate[] {
  const pairs = [
    [4, 5, 3],
    [3, 5, 4],
    [4, 6, 4],
    [3, 6, 5],
    [2, 6, 6],
    [3, 7, 6],
  ] as const;
  const found: Candidate[] = [];
  for (const [left, right, span] of pairs) {
    if (span < low || span > high) continue;
    for (let rank = 0; rank < lattice.ranks; rank++) {
      const [a, b] = [lattice.at(left, rank), lattice.at(right, rank)];
      const covered = Array.from({ length: right - left - 1 }, (_, i) => lattice.at(left + i + 1, rank));
      found.push({ holes: [a, b], covered, oddity: 1.2 });
      found.push({ holes: [b, a], covered, oddity: 1.4 });
    }
  }
  return found;
}

function combs(legs: number, pitch: number, lattice: Lattice): Candidate[] {
  const found: Candidate[] = [];
  for (let column = 0; column < lattice.columns; column++) {
    for (let rank = 0; rank + (legs - 1) * pitch < lattice.ranks; rank++) {
      const holes = Array.from({ length: legs }, (_, i) => lattice.at(column, rank + i * pitch));
      const between = Array.from({ length: (legs - 1) * pitch + 1 }, (_, i) => lattice.at(column, rank + i));
      const covered = between.filter((hole) => !holes.includes(hole));
      const inner = lattice.board.copper === 'rows' ? Math.abs(column - 4.5) : 0;
      found.push({ holes, covered, oddity: 0.1 * inner });
      found.push({ holes: [...holes].reverse(), covered, oddity: 0.1 * inner + 0.3 });
    }
  }
  return found;
}

/** A chip sits astride the trench, notch up; on a soldered board anywhere, three pitches wide. */
function chips(body: Body, lattice: Lattice): Candidate[] {
  const plugged = lattice.board.copper === 'rows';
  const found: Candidate[] = [];
  for (let column = plugged ? 4 : 0; column < (plugged ? 5 : lattice.columns - 3); column++) {
    for (let rank = 0; rank + 3 < lattice.ranks; rank++) {
      const other = plugged ? 5 : column + 3;
      const place = (leg: string) => {
        const left = CHIP_PINS.left.indexOf(leg as never);
        if (left >= 0) return lattice.at(column, rank + left);
        return lattice.at(other, rank + CHIP_PINS.right.indexOf(leg as never));
      };
      const covered = plugged
        ? []
        : [0, 1, 2, 3].flatMap((down) => [1, 2].map((across) => lattice.at(column + across, rank + down)));
      found.push({ holes: Object.keys(body.legs).map(place), covered, oddity: 0 });
    }
  }
  return found;
}

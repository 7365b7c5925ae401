import { footprintOf, thingsOf, type Thing } from '../../parts/thing';
import type { Circuit } from '../../circuit/circuit';
import { isSource } from '../../circuit/source';
import type { BoardSpec } from '../boards';

/** What no plan of a circuit on a board can do without, whoever arranges it: legs that reach stand in the rails. */
export interface Bounds {
  readonly wires: number;
  /** All wires together, in pitches of 2.54 mm. */
  readonly pitches: number;
  /** Nets that come out on both sides of a chip: each must cross the trench. */
  readonly across: number;
  /** Nets whose legs cannot share one row: pins of chips have rows of their own, and a row has five holes. */
  readonly apart: number;
}

/** Holes of a row, and pitches from one side of the trench to the other, between two rows, and from a rail into a row. */
const ROW = 5;
const TRENCH = 3;
const NEXT = 1;
const FROM_RAIL = 2;

/** @returns undefined for boards of which nothing is known that must be */
export function boundsOf(circuit: Circuit, board: BoardSpec): Bounds | undefined {
  if (board.copper === 'strips' || board.copper === 'tapes') return undefined;
  const nets = netsOf(circuit, board);
  if (board.copper === 'pads') {
    // Every leg has a pad of its own, and two pads are never one.
    const links = nets.reduce((sum, { legs }) => sum + Math.max(0, legs - 1), 0);
    return { wires: links, pitches: links, across: 0, apart: nets.filter(({ legs }) => legs > 1).length };
  }
  const each = nets.map((net) => ({ ...net, wires: wiresOf(net) }));
  const total = (of: (net: (typeof each)[number]) => number) => each.reduce((sum, net) => sum + of(net), 0);
  return {
    wires: total(({ wires }) => wires),
    pitches: total(({ wires, both, railed }) => {
      if (wires === 0) return 0;
      return NEXT * wires + (both ? TRENCH - NEXT : 0) + (railed ? FROM_RAIL - NEXT : 0);
    }),
    across: each.filter(({ both }) => both).length,
    apart: each.filter(({ wires, railed }) => wires > (railed ? 1 : 0)).length,
  };
}

interface Net {
  /** Legs in rows: those that reach no rail of their net; the supply's among them on a board without rails. */
  readonly legs: number;
  /** Pins of chips among them, each in a row of its own. */
  readonly pins: number;
  /** Pins on both sides of one chip. */
  readonly both: boolean;
  /** It has a rail, with the supply's lead in it. */
  readonly railed: boolean;
}

/** The fewest wires that join the rows of a net to one another, and to its rail. */
function wiresOf({ legs, pins, railed }: Net): number {
  if (legs === 0) return 0;
  // What reaches its rail stands there; what does not shares the rows of the pins.
  if (railed) return Math.max(1, pins);
  // Rows less one have wires with two ends, of five holes each.
  const rows = Math.max(1, pins, Math.ceil((legs - 2) / (ROW - 2)));
  return rows - 1;
}

function netsOf(circuit: Circuit, board: BoardSpec): Net[] {
  const things = thingsOf(circuit);
  const source = things.find(({ id }) => isSource(circuit, id));
  const ends = [source?.legs['plus'], source?.legs['minus']].filter((net) => net !== undefined);
  const rails = new Set(board.rails.length > 0 ? ends : []);
  const names = new Set(things.flatMap(({ legs }) => Object.values(legs)));
  return [...names].map((net): Net => {
    const onRail = (thing: Thing) => thing === source && rails.has(net);
    const on = (thing: Thing) =>
      onRail(thing) || (rails.has(net) && reachesRail(thing))
        ? []
        : Object.entries(thing.legs).filter(([, at]) => at === net);
    const sides = things.map((thing) => sidesOf(thing, on(thing)));
    return {
      legs: things.reduce((sum, thing) => sum + on(thing).length, 0),
      pins: sides.reduce((sum, { left, right }) => sum + left + right, 0),
      both: sides.some(({ left, right }) => left > 0 && right > 0),
      railed: rails.has(net),
    };
  });
}

/** Whether its legs go straight into a rail. */
function reachesRail(thing: Thing): boolean {
  const print = footprintOf(thing);
  return print.form === 'leads' || (print.form === 'line' && !print.stiff);
}

/** Pins of a chip on either side of the trench; none of other things. */
function sidesOf(
  thing: Thing,
  legs: readonly (readonly [string, string])[],
): { left: number; right: number } {
  const print = footprintOf(thing);
  if (print.form !== 'dual') return { left: 0, right: 0 };
  const count = (pins: readonly string[]) => legs.filter(([pin]) => pins.includes(pin)).length;
  return { left: count(print.left), right: count(print.right) };
}

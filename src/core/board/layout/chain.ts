import { isKind, type Circuit, type Part } from '../../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import { HALF_BOARD, railHoleNear } from '../geometry';
import type { Placement, Plan, WireColour } from '../plan';

export type WireHabit = 'red and black' | 'any';

/** How many rows a part's legs lie apart: a quarter-watt resistor lies flat over five, a lamp's legs are one pitch. */
const SPAN: Readonly<Partial<Record<Part['kind'], number>>> = { resistor: 5, diode: 4, led: 1, switch: 2 };
/**
 * Columns: flat parts in the middle of their side, lamps by the trench where they are seen, jumpers outside.
 * The second is for a part that follows one of its own kind, so that no two legs want one hole.
 */
const COLUMNS: Readonly<Partial<Record<Part['kind'], readonly [string, string]>>> = { led: ['e', 'd'] };
const FLAT = ['c', 'b'] as const;
const FIRST_ROW = 3;

interface Link {
  readonly part: Part;
  /** The pin nearer the supply's plus, and the other. */
  readonly enters: string;
  readonly leaves: string;
}

/**
 * Lays a single loop out down the left side of a half board, from the plus rail to the minus rail.
 *
 * @param circuit one supply and two-legged parts in one loop
 * @param wires jumpers in red and black by polarity, or in whatever colour is at hand
 * @returns the plan, or what does not fit or hang together
 */
export function layoutChain(circuit: Circuit, wires: WireHabit = 'red and black'): Outcome<Plan> {
  const links = chainOf(circuit);
  if (!links.ok) return links;
  const supply = circuit.parts.find((part) => isKind(part, 'supply'))!;
  const needed = links.value.reduce((row, { part }) => row + (SPAN[part.kind] ?? 2), FIRST_ROW);
  if (needed > HALF_BOARD.rows) {
    return refused(finding('does-not-fit', { needed, rows: HALF_BOARD.rows }));
  }
  let row = FIRST_ROW;
  let before = '';
  const parts = links.value.map(({ part, enters, leaves }): Placement => {
    const [usual, other] = COLUMNS[part.kind] ?? FLAT;
    const column = usual === before ? other : usual;
    before = column;
    const next = row + (SPAN[part.kind] ?? 2);
    const legs = { [enters]: `${column}${row}`, [leaves]: `${column}${next}` };
    row = next;
    return { part: part.id, kind: 'part', legs: ordered(part, legs) };
  });
  return accepted({
    board: 'half',
    placements: [
      jumper(
        'W1',
        railHoleNear(HALF_BOARD, 'L+', FIRST_ROW),
        `a${FIRST_ROW}`,
        wires === 'any' ? 'green' : 'red',
      ),
      jumper('W2', railHoleNear(HALF_BOARD, 'L-', row), `a${row}`, wires === 'any' ? 'green' : 'black'),
      ...parts,
      { part: supply.id, kind: 'part', legs: { plus: 'L+1', minus: 'L-1' } },
    ],
  });
}

function jumper(part: string, a: string, b: string, colour: WireColour): Placement {
  return { part, kind: 'jumper', legs: { a, b }, colour };
}

/** Legs in the order in which the part names its pins. */
function ordered(part: Part, legs: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.keys(part.pins).map((pin) => [pin, legs[pin]!]));
}

/** The parts in the order in which current meets them, from plus to minus. */
export function chainOf(circuit: Circuit): Outcome<Link[]> {
  const supply = circuit.parts.find((part) => isKind(part, 'supply'));
  if (!supply) return refused(finding('not-a-chain', { part: 'supply' }));
  const left = new Set(circuit.parts.filter((part) => part !== supply));
  const links: Link[] = [];
  let node = supply.pins['plus']!;
  while (left.size > 0) {
    const here = [...left].filter((part) => Object.values(part.pins).includes(node));
    const [part] = here;
    if (!part || here.length > 1 || Object.keys(part.pins).length !== 2) {
      return refused(finding('not-a-chain', { part: (part ?? [...left][0]!).id }));
    }
    const enters = Object.keys(part.pins).find((pin) => part.pins[pin] === node)!;
    const leaves = Object.keys(part.pins).find((pin) => pin !== enters)!;
    links.push({ part, enters, leaves });
    node = part.pins[leaves]!;
    left.delete(part);
  }
  if (node !== supply.pins['minus']) return refused(finding('not-a-chain', { part: supply.id }));
  return accepted(links);
}

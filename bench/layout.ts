import {
  BARE_SHELF,
  choiceSchema,
  DEFAULT_BUILD,
  DEFAULT_STYLE,
  boardOf,
  boundsOf,
  layOut,
  parseCircuit,
  PATTERN_IDS,
  PATTERNS,
  workOut,
  type BoardChoice,
  type Circuit,
} from '@/core';
import { median, ms, type Line } from './measure';

/** Plans of the largest board lesson and of every pattern: time, and how good they are to build from. */
export function benchLayout(): Line[] {
  const chips = twoChips();
  const patterns = PATTERN_IDS.flatMap((pattern): [string, Circuit, BoardChoice][] => {
    const params: unknown = PATTERNS[pattern].defaults(DEFAULT_STYLE);
    const choice = choiceSchema.parse({ pattern, params, build: DEFAULT_BUILD });
    const worked = workOut({ choice, style: DEFAULT_STYLE, shelf: BARE_SHELF, stock: [] });
    if (!worked.ok) return [];
    const { circuit } = worked.value;
    const boards: BoardChoice[] = pattern === 'panel' ? ['strip', 'pad'] : ['half', 'full', 'strip', 'pad'];
    return boards.map((board) => [pattern, circuit, board]);
  });
  const rows: [string, Circuit, BoardChoice][] = [
    ['two chips, 40 parts', chips, 'full'],
    ['two chips, 40 parts', chips, 'full-split'],
    ...patterns,
  ];
  return rows.map(([name, circuit, board]) => ({
    work: `plan of ${name} on ${board}`,
    figure: planFigure(circuit, board),
  }));
}

function planFigure(circuit: Circuit, board: BoardChoice): string {
  const lay = () => layOut({ circuit, board, wires: 'any', spacing: 'clear' });
  const laid = lay();
  if (!laid.ok) return 'does not fit';
  const { quality, method } = laid.value;
  const rounds = circuit.parts.length > 20 ? 7 : 9;
  const time = ms(median(lay, rounds, 3));
  const { jumpers, wire, crossings, cuts } = quality;
  const least = boundsOf(circuit, boardOf(laid.value.plan));
  const bound = least ? ` (at least ${least.wires} and ${least.pitches})` : '';
  return `${time}; ${jumpers} wires, ${Math.round(wire)} pitches${bound}, ${crossings} crossings, ${cuts} cuts; ${method}`;
}

/** Two timers with their networks, eight lamps with two resistors each: as large as a board lesson gets. */
function twoChips(): Circuit {
  const timer = (n: number) => ({
    id: `U${n}`,
    kind: 'timer',
    family: 'bipolar',
    pins: {
      ground: '0',
      trigger: `c${n}`,
      output: `o${n}`,
      reset: 'plus',
      control: `k${n}`,
      threshold: `c${n}`,
      discharge: `d${n}`,
      supply: 'plus',
    },
  });
  const resistor = (id: string, a: string, b: string, ohms: number) => ({
    id,
    kind: 'resistor',
    pins: { a, b },
    ohms,
  });
  const capacitor = (id: string, a: string, farads: number) => ({
    id,
    kind: 'capacitor',
    pins: { a, b: '0' },
    farads,
  });
  const network = (n: number) => [
    timer(n),
    resistor(`R${n}1`, 'plus', `d${n}`, 1000),
    resistor(`R${n}2`, `d${n}`, `c${n}`, 10_000),
    capacitor(`C${n}1`, `c${n}`, 1e-5),
    capacitor(`C${n}2`, `k${n}`, 1e-8),
    capacitor(`C${n}3`, 'plus', 1e-7),
  ];
  const lamp = (i: number) => [
    resistor(`R3${i}`, i % 2 ? 'o1' : 'o2', `l${i}`, 470),
    { id: `D${i}`, kind: 'led', pins: { anode: `l${i}`, cathode: `e${i}` }, type: 'red' },
    resistor(`R4${i}`, `e${i}`, '0', 47),
  ];
  const parts = [
    { id: 'B1', kind: 'supply', pins: { plus: 'plus', minus: '0' }, volts: 9, ohms: 1 },
    ...network(1),
    ...network(2),
    ...Array.from({ length: 8 }, (_, i) => lamp(i + 1)).flat(),
    resistor('R51', 'o1', 'o2', 1000),
    resistor('R52', 'k1', 'k2', 1000),
    resistor('R53', 'd1', 'o2', 1e5),
  ];
  const circuit = parseCircuit(JSON.stringify({ format: 'mivvet.circuit/1', ground: '0', parts }));
  if (!circuit.ok) throw new Error(JSON.stringify(circuit.findings));
  return circuit.value;
}

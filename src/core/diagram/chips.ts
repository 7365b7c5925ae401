import type { Circuit, PartOf } from '../circuit/circuit';
import { arranged, type Arrangement } from './arrange';
import type { ChipBox, Diagram, Line, Symbol } from './shapes';
import { columnsOf, type Columns } from './stacks';

/** Room of a column with a stack, and of a chip with the names of its pins on both sides. */
const STACK_WIDTH = 1.05;
const CHIP_WIDTH = 2.5;
const CHIP_HALF = 0.8;
const LEFT = 1.3;
/** Height of a level, and how much further down a second pin of the same net sits. */
const LEVEL = 1.05;
const SECOND = 0.42;
/** From the middle of a transistor to where its base is reached, and to where the wire to it turns. */
const TAP = 0.3;
const TURN = 0.42;
/** Wires of two pins of one net meet so far from the chip. */
const STUB = 0.22;

/**
 * A circuit around chips and transistors: each chip in the middle of what hangs on it, rails above and below, the parts in columns between
 * levels, so that wires cross as seldom as can be found.
 *
 * @returns undefined for a circuit without either, or with other parts of more than two legs
 */
export function chipDiagram(circuit: Circuit): Diagram | undefined {
  const columns = columnsOf(circuit);
  return columns && drawn(columns, arranged(columns));
}

interface Pen {
  readonly symbols: Symbol[];
  readonly wires: Line[];
  readonly chips: ChipBox[];
  /** Every place where a net is reached, for its trunk and its dots. */
  readonly reached: Map<string, { x: number; y: number }[]>;
}

function drawn(columns: Columns, arrangement: Arrangement): Diagram {
  const { supply, chips, stacks, plus, minus } = columns;
  const { order, levels, depth } = arrangement;
  const height = (depth + 1) * LEVEL + 0.3;
  const yOf = (net: string) => (net === plus ? 0 : net === minus ? height : levels[net]! * LEVEL + 0.1);
  const pen: Pen = { symbols: [], wires: [], chips: [], reached: new Map() };
  let x = LEFT;
  const rails = { plus: 0, minus: 0 };
  for (const column of order) {
    const chip = chips[column];
    const width = chip ? CHIP_WIDTH : STACK_WIDTH;
    const middle = x + width / 2;
    if (chip) drawChip(chip, middle, height, { columns, arrangement, yOf, pen, rails });
    else drawStack(stacks[column - chips.length]!, middle, { columns, yOf, pen, rails });
    x += width;
  }
  pen.symbols.push({ part: supply, x: 0, top: 0, foot: height, upright: true });
  pen.wires.push({ x1: 0, y1: 0, x2: rails.plus, y2: 0 }, { x1: 0, y1: height, x2: rails.minus, y2: height });
  const dots: { x: number; y: number }[] = [];
  for (const [net, places] of pen.reached) {
    const y = yOf(net);
    const xs = places.map((place) => place.x);
    const [from, to] = [Math.min(...xs), Math.max(...xs)];
    if (to > from) pen.wires.push({ x1: from, y1: y, x2: to, y2: y });
    for (const place of places) {
      const through = place.x > from + 1e-9 && place.x < to - 1e-9;
      if (through) dots.push({ x: place.x, y });
    }
  }
  return {
    supply,
    symbols: pen.symbols,
    wires: pen.wires,
    chips: pen.chips,
    dots: once(dots),
    width: x,
    height,
  };
}

interface Ground {
  readonly columns: Columns;
  readonly pen: Pen;
  readonly rails: { plus: number; minus: number };
  yOf(net: string): number;
}

function reach({ columns: { plus, minus }, pen, rails }: Ground, net: string, x: number, y: number): void {
  if (net === plus) rails.plus = Math.max(rails.plus, x);
  else if (net === minus) rails.minus = Math.max(rails.minus, x);
  else pen.reached.set(net, [...(pen.reached.get(net) ?? []), { x, y }]);
}

function drawStack(stack: Columns['stacks'][number], x: number, ground: Ground): void {
  const { pen, yOf } = ground;
  stack.parts.forEach((part, i) => {
    const [a, b] = [stack.nets[i]!, stack.nets[i + 1]!];
    const [top, foot] = yOf(a) < yOf(b) ? [a, b] : [b, a];
    const upright = Object.values(part.pins)[0] === top;
    const own = ground.columns.taps.find((one) => one.part === part.id);
    const middle = (yOf(top) + yOf(foot)) / 2;
    const tap = own && { x: x - TAP, y: middle };
    pen.symbols.push({ part, x, top: yOf(top), foot: yOf(foot), upright, ...(tap ? { tap } : {}) });
    if (!tap) return;
    // The base's wire turns beside the symbol, from the level of its net to the middle of the transistor.
    const turn = x - TURN;
    const y = yOf(own.net);
    pen.wires.push(
      { x1: tap.x, y1: middle, x2: turn, y2: middle },
      { x1: turn, y1: middle, x2: turn, y2: y },
    );
    reach(ground, own.net, turn, y);
  });
  for (const net of stack.nets) reach(ground, net, x, yOf(net));
}

function drawChip(
  chip: PartOf<'timer'>,
  x: number,
  height: number,
  ground: Ground & { readonly arrangement: Arrangement },
): void {
  const { columns, arrangement, yOf, pen } = ground;
  const [top, foot] = [0.5, height - 0.45];
  const pins: ChipBox['pins'][number][] = [];
  const onRail = (rail: string) => Object.entries(chip.pins).filter(([, net]) => net === rail);
  const alongRail = (rail: string, edge: number, y: number) => {
    const own = onRail(rail);
    own.forEach(([pin], i) => {
      const at = x + (i - (own.length - 1) / 2) * 0.62;
      pins.push({ pin, x: at, y: edge, side: edge === top ? 'top' : 'foot' });
      pen.wires.push({ x1: at, y1: edge, x2: at, y2: y });
      reach(ground, rail, at, y);
    });
  };
  alongRail(columns.plus, top, 0);
  alongRail(columns.minus, foot, height);
  const seen = new Map<string, number>();
  for (const [pin, net] of Object.entries(chip.pins)) {
    if (net === columns.plus || net === columns.minus) continue;
    const side = arrangement.sides[`${chip.id} ${pin}`]!;
    const edge = x + (side === 'left' ? -CHIP_HALF : CHIP_HALF);
    const key = `${side} ${net}`;
    const before = seen.get(key) ?? 0;
    seen.set(key, before + 1);
    const y = yOf(net) + before * SECOND;
    pins.push({ pin, x: edge, y, side });
    if (before === 0) {
      reach(ground, net, edge, y);
      continue;
    }
    // A second pin of the net joins the first just outside of the chip.
    const outside = edge + (side === 'left' ? -STUB : STUB);
    pen.wires.push(
      { x1: edge, y1: y, x2: outside, y2: y },
      { x1: outside, y1: y, x2: outside, y2: yOf(net) },
    );
    reach(ground, net, outside, yOf(net));
  }
  pen.chips.push({ part: chip, x: x - CHIP_HALF, y: top, width: 2 * CHIP_HALF, height: foot - top, pins });
}

function once(dots: readonly { x: number; y: number }[]): { x: number; y: number }[] {
  const known = new Set<string>();
  return dots.filter(({ x, y }) => {
    const key = `${x.toFixed(4)} ${y.toFixed(4)}`;
    if (known.has(key)) return false;
    known.add(key);
    return true;
  });
}

import type { Circuit } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { chipDiagram } from './chips';
import type { Diagram, Line, Symbol } from './shapes';
import { seriesParallel, type Tree } from './tree';

/** Branches that stand side by side before the drawing goes on underneath. */
const SHELF = 8;
/** Room beside the supply, and between two shelves. */
const LEFT = 1.2;
const GAP = 0.7;

interface Pen {
  readonly symbols: Symbol[];
  readonly wires: Line[];
  readonly dots: { x: number; y: number }[];
}

/**
 * Places a circuit's symbols: the supply at the left, plus along the top, minus along the foot, branches between
 * them in the order of the lesson; long rows of branches go on in shelves below.
 *
 * A circuit with chips or transistors is drawn around them.
 *
 * @returns undefined when the circuit is neither
 */
export function diagramOf(circuit: Circuit): Diagram | undefined {
  const supply = sourceOf(circuit);
  const tree = seriesParallel(circuit);
  if (!tree) return chipDiagram(circuit);
  if (!supply) return undefined;
  const branches = tree.form === 'parallel' ? tree.parts : [tree];
  const shelves = Array.from({ length: Math.ceil(branches.length / SHELF) }, (_, i) =>
    branches.slice(i * SHELF, (i + 1) * SHELF),
  );
  const pen: Pen = { symbols: [], wires: [], dots: [] };
  let y = 0;
  let width = 0;
  const tops: number[] = [];
  const feet: number[] = [];
  for (const shelf of shelves) {
    const height = Math.max(...shelf.map(heightOf), 1.6);
    let x = LEFT;
    let last = LEFT;
    for (const branch of shelf) {
      const own = widthOf(branch);
      last = x + own / 2;
      draw(branch, last, y, y + height, pen);
      x += own;
    }
    pen.wires.push({ x1: 0, y1: y, x2: last, y2: y }, { x1: 0, y1: y + height, x2: last, y2: y + height });
    tops.push(y);
    feet.push(y + height);
    width = Math.max(width, x);
    y += height + GAP;
  }
  // The left margin joins the shelves: plus outside, minus inside of it.
  if (shelves.length > 1) joinShelves(tops, feet, pen);
  pen.symbols.push({ part: supply, x: 0, top: tops[0]!, foot: feet[0]!, upright: true });
  return { supply, ...pen, chips: [], width, height: y - GAP };
}

function joinShelves(tops: readonly number[], feet: readonly number[], pen: Pen): void {
  const [outside, inside] = [-0.5, -0.25];
  for (const y of tops) pen.wires.push({ x1: outside, y1: y, x2: 0, y2: y });
  for (const y of feet) pen.wires.push({ x1: inside, y1: y, x2: 0, y2: y });
  pen.wires.push(
    { x1: outside, y1: tops[0]!, x2: outside, y2: tops[tops.length - 1]! },
    { x1: inside, y1: feet[0]!, x2: inside, y2: feet[feet.length - 1]! },
  );
}

function widthOf(tree: Tree): number {
  if (tree.form === 'part') return 1.35;
  const widths = tree.parts.map(widthOf);
  return tree.form === 'series' ? Math.max(...widths) : widths.reduce((sum, width) => sum + width, 0);
}

function heightOf(tree: Tree): number {
  if (tree.form === 'part') return 1;
  const heights = tree.parts.map(heightOf);
  if (tree.form === 'series') return heights.reduce((sum, height) => sum + height, 0);
  return Math.max(...heights) + 0.5;
}

function draw(tree: Tree, x: number, top: number, foot: number, pen: Pen): void {
  if (tree.form === 'part') {
    pen.symbols.push({
      part: tree.part,
      x,
      top,
      foot,
      upright: Object.values(tree.part.pins)[0] === tree.from,
    });
    return;
  }
  if (tree.form === 'series') {
    const heights = tree.parts.map(heightOf);
    const stretch = (foot - top) / heights.reduce((sum, height) => sum + height, 0);
    let y = top;
    tree.parts.forEach((part, i) => {
      const next = y + heights[i]! * stretch;
      draw(part, x, y, next, pen);
      y = next;
    });
    return;
  }
  const widths = tree.parts.map(widthOf);
  const whole = widths.reduce((sum, width) => sum + width, 0);
  const [high, low] = [top + 0.25, foot - 0.25];
  let left = x - whole / 2;
  const middles = tree.parts.map((part, i) => {
    const middle = left + widths[i]! / 2;
    left += widths[i]!;
    draw(part, middle, high, low, pen);
    return middle;
  });
  const [first, last] = [middles[0]!, middles[middles.length - 1]!];
  pen.wires.push(
    { x1: x, y1: top, x2: x, y2: high },
    { x1: x, y1: low, x2: x, y2: foot },
    { x1: first, y1: high, x2: last, y2: high },
    { x1: first, y1: low, x2: last, y2: low },
  );
  pen.dots.push({ x, y: high }, { x, y: low });
}

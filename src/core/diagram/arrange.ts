import { keyOf, uniform } from '../numerics/random';
import type { Columns } from './stacks';

/** Looked up once: these stand in the innermost loops. */
const { abs, exp, floor, max, min, sign } = Math;
const ENDLESS = Infinity;

/** Where the columns stand, on which level each net runs, and on which side of its chip each pin is. */
export interface Arrangement {
  /** Chips and stacks from left to right; chips come first in the numbering. */
  readonly order: readonly number[];
  /** Level of each net between the rails, from 1 down. */
  readonly levels: Readonly<Record<string, number>>;
  /** By `U1 output`; pins on the rails are not here. */
  readonly sides: Readonly<Record<string, 'left' | 'right'>>;
  readonly depth: number;
}

/** What is wrong with an arrangement weighs so much: unreadable, ugly, or only long. */
const WEIGHTS = {
  touching: 900,
  throughBox: 250,
  deeper: 3,
  throughSymbol: 60,
  crossing: 12,
  stretched: 2,
  side: 3,
  length: 0.4,
};
const TRIES = 9;
/** Steps for each column and net. */
const STEPS = 190;
const WARM = 150;

export const LEFT_PINS = ['discharge', 'threshold', 'trigger', 'reset'] as const;
const KEY = keyOf('diagram');

/**
 * Looks for the order of columns and levels with the fewest crossings, by annealing from a few fixed seeds.
 * Source: Kirkpatrick, Gelatt & Vecchi, Science 220, 1983.
 */
export function arranged(columns: Columns): Arrangement {
  let best: { cost: number; state: Arrangement } | undefined;
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const found = annealed(columns, attempt);
    if (!best || found.cost < best.cost) best = found;
  }
  return best!.state;
}

/** Nets that run between the rails. */
export function innerNets({ chips, stacks, taps, plus, minus }: Columns): string[] {
  const all = [
    ...chips.flatMap(({ pins }) => Object.values(pins)),
    ...stacks.flatMap(({ nets }) => nets),
    ...taps.map(({ net }) => net),
  ];
  return [...new Set(all)].filter((net) => net !== plus && net !== minus);
}

/** The columns by numbers: nets from 0, the rails below. */
interface Problem {
  readonly chips: number;
  readonly nets: readonly string[];
  readonly stacks: readonly (readonly number[])[];
  readonly pins: readonly {
    readonly key: string;
    readonly chip: number;
    readonly net: number;
    readonly left: boolean;
  }[];
  /** Nets that reach a column from beside it. */
  readonly taps: readonly { readonly stack: number; readonly net: number }[];
  readonly depth: number;
  readonly more: number;
}
const [PLUS, MINUS] = [-1, -2];

interface State {
  readonly order: readonly number[];
  readonly levels: readonly number[];
  /** Of each pin, whether it is on the left. */
  readonly lefts: readonly boolean[];
}

function annealed(columns: Columns, attempt: number): { cost: number; state: Arrangement } {
  let draw = 0;
  const random = () => uniform(attempt + 1, draw++, KEY);
  const pick = (count: number) => min(count - 1, floor(random() * count));
  // Some attempts have a level or two more to spread out over.
  const problem = problemOf(columns, attempt % 3);
  const pricing = new Pricing(problem);
  const steps = STEPS * (problem.chips + problem.stacks.length + problem.nets.length);
  let state = firstOf(problem, random);
  let cost = pricing.of(state);
  let best = { cost, state };
  for (let step = 0; step < steps; step++) {
    const heat = WARM * (1 - step / steps) ** 4 + 1e-3;
    const next = moved(state, problem, pick);
    const price = pricing.of(next);
    if (price <= cost || random() < exp((cost - price) / heat)) {
      state = next;
      cost = price;
      if (cost < best.cost) best = { cost, state };
    }
  }
  const { order, levels, lefts } = best.state;
  return {
    cost: best.cost,
    state: {
      order,
      levels: Object.fromEntries(problem.nets.map((net, i) => [net, levels[i]!])),
      sides: Object.fromEntries(problem.pins.map(({ key }, i) => [key, lefts[i] ? 'left' : 'right'])),
      depth: problem.depth,
    },
  };
}

function problemOf(columns: Columns, more: number): Problem {
  const { chips, stacks, plus, minus } = columns;
  const nets = innerNets(columns);
  const numbers = new Map(nets.map((net, i) => [net, i]));
  const numberOf = (net: string) => (net === plus ? PLUS : net === minus ? MINUS : numbers.get(net)!);
  return {
    chips: chips.length,
    nets,
    stacks: stacks.map((stack) => stack.nets.map(numberOf)),
    pins: chips.flatMap((chip, c) =>
      Object.entries(chip.pins)
        .filter(([, net]) => net !== plus && net !== minus)
        .map(([pin, net]) => ({
          key: `${chip.id} ${pin}`,
          chip: c,
          net: numbers.get(net)!,
          left: usualSide(pin) === 'left',
        })),
    ),
    taps: columns.taps.map(({ part, net }) => ({
      stack: stacks.findIndex(({ parts }) => parts.some(({ id }) => id === part)),
      net: numberOf(net),
    })),
    depth: depthOf(columns) + more,
    more,
  };
}

/** Levels between the rails: as many as the longest stack wants, or a chip with pins of that many nets. */
function depthOf({ stacks, chips, plus, minus }: Columns): number {
  const inner = (nets: readonly string[]) => nets.filter((net) => net !== plus && net !== minus);
  const pins = chips.map((chip) => min(4, new Set(inner(Object.values(chip.pins))).size));
  return max(2, ...stacks.map(({ nets }) => inner(nets).length), ...pins);
}

function firstOf({ chips, stacks, nets, pins, depth }: Problem, random: () => number): State {
  const order = Array.from({ length: chips + stacks.length }, (_, i) => ({ i, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ i }) => i);
  return {
    order,
    levels: nets.map(() => 1 + floor(random() * depth)),
    lefts: pins.map(({ left }) => left),
  };
}

export function usualSide(pin: string): 'left' | 'right' {
  return (LEFT_PINS as readonly string[]).includes(pin) ? 'left' : 'right';
}

function moved(state: State, { nets, pins, depth }: Problem, pick: (count: number) => number): State {
  const kind = pick(5);
  if (kind <= 1) {
    const order = [...state.order];
    const [taken] = order.splice(pick(order.length), 1);
    order.splice(pick(order.length + 1), 0, taken!);
    return { ...state, order };
  }
  if (kind <= 3 || pins.length === 0) {
    const levels = [...state.levels];
    levels[pick(nets.length)] = 1 + pick(depth);
    return { ...state, levels };
  }
  const lefts = [...state.lefts];
  const at = pick(pins.length);
  lefts[at] = !lefts[at];
  return { ...state, lefts };
}

/** How far beside its column a transistor's base is reached. */
const BESIDE = 0.4;
/** Half of a chip's width, in columns. */
const HALF = 0.38;

/** Prices arrangements; what it needs for that is made once. */
class Pricing {
  private readonly place: Float64Array;
  private readonly from: Float64Array;
  private readonly to: Float64Array;

  constructor(private readonly problem: Problem) {
    const { chips, stacks, nets } = problem;
    this.place = new Float64Array(chips + stacks.length);
    this.from = new Float64Array(nets.length);
    this.to = new Float64Array(nets.length);
  }

  of({ order, levels, lefts }: State): number {
    const { chips, stacks, more } = this.problem;
    const { place } = this;
    for (let i = 0; i < order.length; i++) place[order[i]!] = i;
    this.from.fill(ENDLESS);
    this.to.fill(-ENDLESS);
    let cost = WEIGHTS.deeper * more + this.pins(levels, lefts);
    for (let s = 0; s < stacks.length; s++) {
      for (const net of stacks[s]!) if (net >= 0) this.note(net, place[chips + s]!);
    }
    for (const { stack, net } of this.problem.taps)
      if (net >= 0) this.note(net, place[chips + stack]! - BESIDE);
    cost += this.runs(levels);
    for (let s = 0; s < stacks.length; s++) cost += this.stack(stacks[s]!, place[chips + s]!, levels);
    return cost;
  }

  /** Pins on the side where nobody looks for them, and two nets on one side of a chip at one level. */
  private pins(levels: readonly number[], lefts: readonly boolean[]): number {
    const { pins } = this.problem;
    let cost = 0;
    for (let i = 0; i < pins.length; i++) {
      const { chip, net, left } = pins[i]!;
      if (lefts[i] !== left) cost += WEIGHTS.side;
      this.note(net, this.place[chip]! + (lefts[i] ? -HALF : HALF));
      for (let j = 0; j < i; j++) {
        const other = pins[j]!;
        const meet = other.chip === chip && lefts[j] === lefts[i] && other.net !== net;
        if (meet && levels[other.net] === levels[net]) cost += WEIGHTS.touching;
      }
    }
    return cost;
  }

  /** Trunks of nets: how long they are, which lie over one another, and which would pass through a chip. */
  private runs(levels: readonly number[]): number {
    const { from, to, place } = this;
    let cost = 0;
    for (let i = 0; i < levels.length; i++) {
      cost += WEIGHTS.length * (to[i]! - from[i]!);
      for (let j = i + 1; j < levels.length; j++) {
        if (levels[i] === levels[j] && from[i]! <= to[j]! && from[j]! <= to[i]!) cost += WEIGHTS.touching;
      }
      for (let c = 0; c < this.problem.chips; c++) {
        if (from[i]! < place[c]! && to[i]! > place[c]!) cost += WEIGHTS.throughBox;
      }
    }
    return cost;
  }

  private note(net: number, x: number): void {
    this.from[net] = min(this.from[net]!, x);
    this.to[net] = max(this.to[net]!, x);
  }

  /** A column runs one way from level to level, and what it passes on its way it crosses. */
  private stack(nets: readonly number[], x: number, levels: readonly number[]): number {
    const levelOf = (net: number) =>
      net === PLUS ? 0 : net === MINUS ? this.problem.depth + 1 : levels[net]!;
    const way = sign(levelOf(nets[nets.length - 1]!) - levelOf(nets[0]!));
    let cost = 0;
    for (let k = 1; k < nets.length; k++) {
      const [a, b] = [levelOf(nets[k - 1]!), levelOf(nets[k]!)];
      if (sign(b - a) !== way || a === b) cost += WEIGHTS.touching;
      const [top, foot] = [min(a, b), max(a, b)];
      cost += WEIGHTS.stretched * max(0, foot - top - 1);
      for (let i = 0; i < levels.length; i++) {
        const level = levels[i]!;
        if (level <= top || level >= foot || this.from[i]! > x || this.to[i]! < x) continue;
        cost += abs(level - (top + foot) / 2) < 0.5 ? WEIGHTS.throughSymbol : WEIGHTS.crossing;
      }
    }
    return cost;
  }
}

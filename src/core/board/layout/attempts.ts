import { uniform } from '../../numerics/random';
import type { Thing } from '../../parts/thing';
import type { Spacing } from './prices';
import type { Wiring } from './wiring';

/** How a plan was found: in the order of the lesson, along the current, or by trying orders. */
export type Method = 'lesson' | 'current' | 'most joined' | 'tried';

/** Further orders that are tried, fewer for circuits with many parts: their work together stays about the same. */
const TRIES = (bodies: number) => Math.max(2, Math.min(10, Math.round(120 / Math.max(bodies, 1))));

/** Orders that are tried for a plan without a wire over a leg. */
const LATE_TRIES = 24;

export interface Try {
  readonly method: Method;
  readonly order: readonly Thing[];
  readonly spacing: Spacing;
  /** Only where every plan so far has a wire over a leg. */
  readonly late?: boolean;
}

/** The orders in which things are placed; close spacing comes last, for when nothing else fits. */
export function* attempts(
  wiring: Wiring,
  { spacing, seed = 1 }: { readonly spacing: Spacing; readonly seed?: number | undefined },
  anyWillDo: boolean,
): Generator<Try> {
  const { bodies } = wiring;
  const simple = bodies.every((body) => Object.keys(body.legs).length === 2);
  yield { method: 'lesson', order: bodies, spacing };
  yield { method: 'current', order: alongTheCurrent(wiring), spacing };
  const joined = mostJoined(wiring);
  yield { method: 'most joined', order: joined, spacing };
  let drawn = 0;
  const random = () => uniform(seed, drawn++, 1);
  const tries = simple || anyWillDo ? 0 : TRIES(bodies.length);
  for (let i = 0; i < tries; i++) {
    yield { method: 'tried', order: shuffledABit(i % 2 ? bodies : joined, random), spacing };
  }
  if (spacing === 'clear') {
    yield { method: 'lesson', order: bodies, spacing: 'compact' };
    yield { method: 'most joined', order: joined, spacing: 'compact' };
  }
  for (let i = 0; i < LATE_TRIES; i++) {
    const order = shuffledABit(i % 2 ? bodies : joined, random);
    yield { method: 'tried', order, spacing: i % 3 ? spacing : 'compact', late: true };
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

import { formatQuantity, type Run } from '@/core';

/** Below this a current is leakage or rounding, and no figure to show. */
const NOTHING = 1e-11;

export function shownFigure(value: number, unit: 'A' | 'W'): string {
  return formatQuantity(Math.abs(value) < NOTHING ? 0 : value, unit);
}

/** The nodes that tell most: the outputs of timers, else those that swing furthest, else the first. */
export function tellingNodes(run: Run, nodes: readonly string[], count: number): string[] {
  const outputs = Object.keys(run.cycles).filter((name) => nodes.includes(name));
  if (outputs.length > 0) return outputs.slice(0, count);
  const swing = new Map(nodes.map((name) => [name, swingOf(run.nodes[name]!)]));
  return [...nodes].sort((a, b) => swing.get(b)! - swing.get(a)!).slice(0, count);
}

function swingOf(volts: Float64Array): number {
  let [low, high] = [Infinity, -Infinity];
  for (const v of volts) {
    low = Math.min(low, v);
    high = Math.max(high, v);
  }
  return high - low;
}

/** Lamps of different currents, else parts: those in one string carry the same, and one line is enough. */
export function tellingParts(
  run: Run,
  lamps: readonly string[],
  parts: readonly string[],
  count: number,
): string[] {
  const seen = new Set<string>();
  const different = (lamps.length > 0 ? lamps : parts).filter((id) => {
    const mean = run.means[id]!.toPrecision(6);
    if (seen.has(mean)) return false;
    seen.add(mean);
    return true;
  });
  return different.slice(0, count);
}

/** As many as a sentence of figures holds before nobody reads it. */
const IN_A_SENTENCE = 40;

/** Figures of one after another; of a long row the first, how many there are besides, and where those stand. */
export function firstOf(
  names: readonly string[],
  figureOf: (name: string) => string,
  between: string,
  rest: string,
): string {
  const told = names.slice(0, IN_A_SENTENCE).map(figureOf).join(between);
  const left = names.length - IN_A_SENTENCE;
  return left > 0 ? `${told}${between}and ${left} more: ${rest}` : told;
}

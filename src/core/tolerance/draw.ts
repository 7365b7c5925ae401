import type { Compiled } from '../circuit/compile';
import type { Spread } from '../devices/device';
import { uniform } from '../numerics/random';

/** Looked up once: these stand in the innermost loops. */
const { sqrt } = Math;

/** The value of a spread at u in 0..1, by the inverse of its distribution. */
export function drawn(spread: Spread, u: number): number {
  const { low, mode, high } = spread;
  if (spread.shape === 'rectangular') return low + u * (high - low);
  if (spread.shape === 'log-uniform') return low * (high / low) ** u;
  const split = (mode - low) / (high - low);
  return u < split
    ? low + sqrt(u * (high - low) * (mode - low))
    : high - sqrt((1 - u) * (high - low) * (high - mode));
}

/** Sets every spread of a circuit to its figure of draw number `draw`. */
export function setDraw(compiled: Compiled, seed: number, draw: number): void {
  for (const placed of compiled.placed) {
    for (let i = 0; i < placed.spreads.length; i++) {
      const spread = placed.spreads[i]!;
      placed.instance.set(i, drawn(spread, uniform(seed, draw, spread.key)));
    }
  }
}

/** Sets every spread to its nominal value. */
export function setNominal(compiled: Compiled): void {
  for (const placed of compiled.placed) {
    placed.spreads.forEach((spread, i) => placed.instance.set(i, spread.mode));
  }
}

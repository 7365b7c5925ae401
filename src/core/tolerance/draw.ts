import type { Compiled } from '../circuit/compile';
import type { Spread } from '../devices/device';
import { uniform } from '../numerics/random';
import type { Prepared } from '../solver/prepare';

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
      placed.instance.knobs[spread.field]!(drawn(spread, uniform(seed, draw, spread.key)));
    }
  }
}

/** Sets every spread to its nominal value. */
export function setNominal(compiled: Compiled): void {
  for (const placed of compiled.placed) {
    for (const spread of placed.spreads) placed.instance.knobs[spread.field]!(spread.mode);
  }
}

/**
 * Remembers the state a bench stands in.
 *
 * @returns puts the bench back into it: what is solved next then depends on nothing that was solved before
 */
export function remember({ compiled }: Prepared): () => void {
  const { x } = compiled.equations;
  const kept = x.slice();
  const latches = compiled.placed.flatMap(({ instance }) => (instance.latch ? [instance.latch] : []));
  const states = latches.map((latch) => latch.state);
  return () => {
    x.set(kept);
    for (let i = 0; i < latches.length; i++) latches[i]!.state = states[i]!;
  };
}

import type { Compiled, Placed } from '../circuit/compile';
import { stagesInLoops } from '../circuit/gainLoops';
import type { Settling } from './newton';
import type { OperatingPoint } from './operatingPoint';
import type { Prepared } from './prepare';

/** Volts between two states that make them two. */
const APART = 1e-4;
/** Siemens of the grip on a gain stage, from firm to none. */
const GRIPS = [0.1, 1e-3, 1e-5, 1e-7];

/** Where a circuit rests: the state stands in its equations. */
export interface Rest {
  readonly settling: Settling;
  /** A second state that it rests in as well, with what brings it there. */
  readonly also?: { readonly x: Float64Array; readonly by: 'light' | 'latch' };
}

/**
 * Finds the state of rest from power-up, and a second one where there is one: the lamp that lights its own sensor, or
 * the latch the other way. Gain stages that feed one another may balance between two states like a pencil on its tip;
 * no build stays there, so each stage is held on, held off and let go again, and what it falls into counts.
 */
export function restOf({ compiled, point }: Prepared): Rest {
  const settling = point.solve();
  if (!settling.converged) return { settling };
  const stages = loopedStages(compiled);
  const rest = stages.length > 1 ? latched(compiled, point, settling, stages) : { settling };
  if (rest.also || !point.lit) return rest;
  const dark = compiled.equations.x.slice();
  const again = point.solve(true, 'lit');
  const lit = compiled.equations.x.slice();
  const two = again.converged && differ(compiled, lit, dark);
  compiled.equations.x.set(dark);
  return { ...rest, ...(two ? { also: { x: lit, by: 'light' } } : {}) };
}

/** Gain stages that feed one another in a ring: only those can hold one another. */
function loopedStages({ placed, circuit, equations }: Compiled): readonly Placed[] {
  const stages = placed.filter(({ instance }) => instance.hold);
  if (stages.length < 2) return [];
  const looped = stagesInLoops(circuit, equations.regime === 'steady' ? 'steady' : 'moving');
  return stages.filter(({ part }) => looped.has(part.id));
}

function latched(
  compiled: Compiled,
  point: OperatingPoint,
  settling: Settling,
  stages: readonly Placed[],
): Rest {
  const { x } = compiled.equations;
  const first = x.slice();
  const found: { x: Float64Array; settling: Settling }[] = [];
  for (const { instance } of stages) {
    for (const side of ['on', 'off'] as const) {
      x.set(first);
      const let_ = released(point, (siemens) => instance.hold!(side, siemens));
      if (let_ && !found.some((one) => !differ(compiled, one.x, x)))
        found.push({ x: x.slice(), settling: let_ });
    }
  }
  const stays = found.length < 2 || found.some((one) => !differ(compiled, one.x, first));
  const state = stays ? { x: first, settling } : found[0]!;
  const other = found.find((one) => differ(compiled, one.x, state.x));
  x.set(state.x);
  return { settling: state.settling, ...(other ? { also: { x: other.x, by: 'latch' } } : {}) };
}

/** Follows the state from a firm grip to none. @returns how it settled at the end, or nothing where it got lost */
function released(point: OperatingPoint, grip: (siemens: number) => void): Settling | undefined {
  for (const siemens of GRIPS) {
    grip(siemens);
    if (!point.solve().converged) break;
  }
  grip(0);
  const settling = point.solve();
  return settling.converged ? settling : undefined;
}

function differ({ nodeCount }: Compiled, a: Float64Array, b: Float64Array): boolean {
  return a.subarray(0, nodeCount).some((volts, i) => Math.abs(volts - b[i]!) > APART);
}

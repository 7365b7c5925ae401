import type { Prepared } from '../solver/prepare';
import { remember, setDraw, setNominal } from './draw';
import type { Probe } from './probe';

/** Figures of some draws of a circuit. */
export interface Slice {
  /** Draws made. */
  readonly samples: number;
  /** Draws that did not settle and are left out. */
  readonly unsettled: number;
  /** Figures of each check in the order of the draws, so that draw k of two circuits shares its parts. */
  readonly values: readonly Float64Array[];
}

/**
 * Solves draws `from` to `to` (without the last) of a bench that stands in its typical state; each starts from there.
 *
 * @param whole a draw that does not settle ends the work: who asks has no use for the others without it
 */
export function sample(
  bench: Prepared,
  probes: readonly Probe[],
  seed: number,
  from: number,
  to: number,
  whole = false,
): Slice {
  const { compiled, point } = bench;
  const restore = remember(bench);
  const values = probes.map(() => new Float64Array(to - from));
  let kept = 0;
  for (let draw = from; draw < to; draw++) {
    setDraw(compiled, seed, draw);
    restore();
    if (!point.solve().converged) {
      if (whole) break;
      continue;
    }
    for (let i = 0; i < probes.length; i++) values[i]![kept] = probes[i]!();
    kept++;
  }
  setNominal(compiled);
  restore();
  return { samples: to - from, unsettled: to - from - kept, values: values.map((v) => v.slice(0, kept)) };
}

import { ohmsOfRange } from '../catalogue/meter';
import type { Circuit } from '../circuit/circuit';
import { withoutWires } from '../circuit/wires';
import type { Amps, Ohms } from '../quantities/units';
import type { Gapped } from './checkpoint';
import { setByHand, withHeld } from './held';
import type { MeterUse } from './meter';
import { currentWith } from './responses';

/**
 * What a build reads at a gap on each of some ranges of the meter, as shares of what it reads through `own` ohms: every
 * range has ohms of its own. Where its current overflows a range nobody reads it there: that share is 1.
 *
 * @param alone the build's current while no meter is in it
 */
export function rangeShares(
  circuit: Circuit,
  point: Gapped,
  use: MeterUse,
  { ranges, alone, own }: { readonly ranges: readonly Amps[]; readonly alone: Amps; readonly own: Ohms },
): number[] {
  const isOwn = (range: Amps) => ohmsOfRange(range) === own || Math.abs(alone) > range;
  if (ranges.every(isOwn)) return ranges.map(() => 1);
  const held = withoutWires(setByHand(withHeld(circuit, point.held)));
  const through = (ohms: Ohms) => currentWith(held, point, use, ohms) ?? 0;
  const usual = through(own);
  if (usual === 0) return ranges.map(() => 1);
  return ranges.map((range) => (isOwn(range) ? 1 : through(ohmsOfRange(range)) / usual || 1));
}

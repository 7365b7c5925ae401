import { supplySpent } from '../catalogue/discharge';
import type { SupplyChoice } from '../catalogue/supplies';
import type { Ohms, Volts } from '../quantities/units';

/** A battery as two readings show it. */
export interface MeasuredBattery {
  readonly volts: Volts;
  readonly ohms: Ohms;
  /** Share of its charge that is spent, by its open volts on the discharge curve; undefined for what does not run down. */
  readonly spent?: number;
}

/**
 * A battery's own volts and ohms from its open volts and its volts across a known load: R·(V0 − V1)/V1.
 *
 * @param load ohms that it was loaded with
 */
export function measuredBattery(
  choice: SupplyChoice,
  open: Volts,
  loaded: Volts,
  load: Ohms,
): MeasuredBattery {
  const ohms = Math.max(0, (load * (open - loaded)) / loaded);
  const spent = spentAt(choice, open);
  return { volts: open, ohms, ...(spent === undefined ? {} : { spent }) };
}

/** Share of a battery's charge that is spent when it stands at some open volts; undefined for what does not run down. */
export function spentAt(choice: SupplyChoice, open: Volts): number | undefined {
  if (!supplySpent(choice, 0)) return undefined;
  let [low, high] = [0, 1];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (supplySpent(choice, middle)!.volts > open) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

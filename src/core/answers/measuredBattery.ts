import { spentAt } from '../catalogue/discharge';
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

import { LIMITS } from '../numerics/limits';
import type { Amps, Volts } from '../quantities/units';
import type { Equations } from './device';

/** Looked up once: these stand in the innermost loops. */
const { abs, log, SQRT2 } = Math;

/**
 * Keeps Newton's steps up a junction's curve short: a jump far up is taken as the logarithm of itself.
 * Source: Nagel, SPICE2, memorandum ERL-M520, University of California, 1975, appendix 4.
 */
export class StepLimit {
  private before = 0;
  private readonly critical: Volts;

  /**
   * @param unit n·VT of the junction, in volts
   * @param saturation its saturation current
   */
  constructor(
    private readonly unit: Volts,
    saturation: Amps,
  ) {
    this.critical = unit * log(unit / (SQRT2 * saturation));
  }

  /** The volts at which the curve is to be read for `volts`; says in `equations` when they are not the same. */
  near(volts: Volts, eq: Equations): Volts {
    if (!eq.limiting) return volts;
    const near = eq.fresh ? volts : this.shortened(volts);
    this.before = near;
    if (abs(volts - near) > LIMITS.stepVolts) eq.limited = true;
    return near;
  }

  private shortened(volts: Volts): Volts {
    const { before, critical, unit } = this;
    if (volts <= critical || abs(volts - before) <= 2 * unit) return volts;
    if (before <= 0) return critical;
    const ratio = 1 + (volts - before) / unit;
    return ratio > 0 ? before + unit * log(ratio) : critical;
  }
}

import { LIMITS } from '../numerics/limits';
import type { Amps, Volts } from '../quantities/units';
import { apply, at, either, less, num, over, size, sum, times, type Value } from '../numerics/code';
import { log as written } from '../numerics/functions';
import type { Equations, Writing } from './device';

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

  /**
   * `near` as code.
   *
   * @returns the volts to read the curve at, in a local, and the place of those that it was read at before, if any
   */
  write({ code, remember, readElsewhere }: Writing, volts: Value) {
    const { critical, unit } = this;
    const place = remember(NaN);
    const near = code.keep(volts);
    const up = apply(
      'and',
      apply('more', volts, num(critical)),
      apply('more', size(less(volts, at(place))), num(2 * unit)),
    );
    code.when(up, () => {
      const ratio = sum(num(1), over(less(volts, at(place)), num(unit)));
      const logged = sum(at(place), times(num(unit), written(ratio)));
      const usable = apply('and', apply('more', at(place), num(0)), apply('more', ratio, num(0)));
      code.set(near, either(usable, logged, num(critical)));
      code.when(apply('more', size(less(volts, near.value)), num(LIMITS.stepVolts)), readElsewhere);
    });
    return { near, place };
  }

  private shortened(volts: Volts): Volts {
    const { before, critical, unit } = this;
    if (volts <= critical || abs(volts - before) <= 2 * unit) return volts;
    if (before <= 0) return critical;
    const ratio = 1 + (volts - before) / unit;
    return ratio > 0 ? before + unit * log(ratio) : critical;
  }
}

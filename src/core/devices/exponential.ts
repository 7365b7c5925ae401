import { THERMAL_VOLTS } from '../quantities/constants';
import type { Amps, Volts } from '../quantities/units';
import { apply, at, less, num, size, sum, times, type Value } from '../numerics/code';
import { exp as written } from '../numerics/functions';
import type { Equations, Writing } from './device';
import { StepLimit } from './limiting';

/** Looked up once: these stand in the innermost loops. */
const { exp, log } = Math;

/** Beyond this current the curve goes on as a straight line, so that nothing overflows. */
const STRAIGHT_FROM: Amps = 1e4;

/** A junction without series ohms: is·(exp(v/VT) − 1). */
export class Exponential {
  amps = 0;
  siemens = 0;
  private readonly limit: StepLimit;
  private readonly straight: Volts;

  constructor(private readonly saturation: Amps) {
    this.limit = new StepLimit(THERMAL_VOLTS, saturation);
    this.straight = THERMAL_VOLTS * log(STRAIGHT_FROM / saturation);
  }

  /** Leaves current and slope at `volts` in `amps` and `siemens`; in Newton's steps those of a tangent nearer by. */
  evaluate(volts: Volts, eq?: Equations): void {
    const near = eq ? this.limit.near(volts, eq) : volts;
    const within = near < this.straight ? near : this.straight;
    const grown = this.saturation * exp(within / THERMAL_VOLTS);
    this.siemens = grown / THERMAL_VOLTS;
    this.amps = grown - this.saturation + this.siemens * (volts - within);
  }

  /** `evaluate` as code: locals with current and slope. */
  write(writing: Writing, volts: Value): { readonly amps: Value; readonly siemens: Value } {
    const { code } = writing;
    const { near, place } = this.limit.write(writing, volts);
    const siemens = writing.remember(0);
    code.unless(apply('less', size(less(near.value, at(place))), num(writing.tangent)), () => {
      code.store(place, near.value);
      const within = apply('min', near.value, num(this.straight));
      const grown = written(times(within, num(1 / THERMAL_VOLTS)));
      code.store(siemens, times(num(this.saturation / THERMAL_VOLTS), grown));
    });
    const slope = code.keep(at(siemens)).value;
    const read = apply('min', at(place), num(this.straight));
    const amps = sum(num(-this.saturation), times(slope, sum(num(THERMAL_VOLTS), less(volts, read))));
    return { siemens: slope, amps: code.keep(amps).value };
  }
}

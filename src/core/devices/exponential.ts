import { THERMAL_VOLTS } from '../quantities/constants';
import type { Amps, Volts } from '../quantities/units';
import type { Equations } from './device';
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
}

import { LIMITS } from '../numerics/limits';
import { apply, at as place, less, num, over, size, sum, times, type Value } from '../numerics/code';
import { log as writtenLog, omegaFrom } from '../numerics/functions';
import { wrightOmega } from '../numerics/omega';
import { THERMAL_VOLTS } from '../quantities/constants';
import type { Amps, Ohms, Volts } from '../quantities/units';
import type { Instance, Seat, Writing } from './device';
import { quantityField, shareField } from './fields';
import { StepLimit } from './limiting';
import { ConductanceStamp } from './stamps';

/** Looked up once: these stand in the innermost loops. */
const { max, log, expm1, log1p } = Math;

/** Of n·VT: how far down a step of Newton's method goes before the current is looked at instead of the volts. */
const FALL = 0.3;

/** A junction's curve: it passes through (vf, at), with emission coefficient n and series ohms rs. */
export interface JunctionFigures {
  readonly vf: Volts;
  readonly at: Amps;
  readonly n: number;
  readonly rs: Ohms;
}

export const junctionFields = {
  vf: quantityField('V', 0.01, 100).optional(),
  at: quantityField('A', 1e-6, 10).optional(),
  n: shareField(0.5, 20).optional(),
  rs: quantityField('Ω', 0, 1e4).optional(),
};

/** The figures given, the rest from the row of the part table; or the first one that is missing. */
export function mergeJunction(
  given: { [F in keyof JunctionFigures]?: number | undefined },
  row: JunctionFigures | undefined,
): JunctionFigures | { field: string; problem: string } {
  const merged = {
    vf: given.vf ?? row?.vf,
    at: given.at ?? row?.at ?? 0.02,
    n: given.n ?? row?.n,
    rs: given.rs ?? row?.rs,
  };
  const { vf, at, n, rs } = merged;
  if (vf === undefined) return { field: 'vf', problem: 'is missing, and no type is named' };
  if (n === undefined) return { field: 'n', problem: 'is missing, and no type is named' };
  if (rs === undefined) return { field: 'rs', problem: 'is missing, and no type is named' };
  if (vf <= rs * at) return { field: 'vf', problem: 'must be more than rs times at' };
  return { vf, at, n, rs };
}

/** A junction's curve as code: current and slope in locals, and the volts at a forward current above zero. */
interface WrittenJunction {
  read(volts: Value): { readonly amps: Value; readonly siemens: Value };
  voltsAt(amps: Value): Value;
}

/**
 * Current and slope of a junction with series ohms, in closed form:
 * I = Is·(exp(Vj/(n·VT)) − 1), V = Vj + rs·I, so I + Is = (n·VT/rs)·ω((V + rs·Is)/(n·VT) + ln(rs·Is/(n·VT))).
 * Far out the curve is a straight line of slope 1/rs, so hundreds of volts do not overflow.
 * Source: Banwell & Jayakumar, Electronics Letters 36(4), 2000.
 */
export class Junction {
  amps = 0;
  siemens = 0;
  readonly unit: number;
  private readonly rs: number;
  saturation = 0;
  private offset = 0;

  constructor(private readonly figures: JunctionFigures) {
    this.unit = figures.n * THERMAL_VOLTS;
    this.rs = max(figures.rs, LIMITS.junctionOhms);
    this.setVf(figures.vf);
  }

  /** Moves the curve to pass through (vf, at). */
  setVf(vf: Volts): void {
    const { at } = this.figures;
    this.saturation = at / expm1((vf - this.rs * at) / this.unit);
    this.offset = (this.rs * this.saturation) / this.unit + log((this.rs * this.saturation) / this.unit);
  }

  /** Leaves current and slope at `volts` in `amps` and `siemens`. */
  evaluate(volts: Volts): void {
    const y = wrightOmega(volts / this.unit + this.offset);
    this.amps = (this.unit * y) / this.rs - this.saturation + LIMITS.junctionSiemens * volts;
    this.siemens = y / (this.rs * (1 + y)) + LIMITS.junctionSiemens;
  }

  /** Its curve as code. */
  written(writing: Writing): WrittenJunction {
    const { unit, rs } = this;
    const { code } = writing;
    const saturation = writing.figure(() => this.saturation);
    const offset = writing.figure(() => this.offset);
    const [z, y] = [writing.remember(NaN), writing.remember(0)];
    const leak = num(LIMITS.junctionSiemens);
    return {
      read(volts) {
        const here = code.keep(sum(times(volts, num(1 / unit)), offset)).value;
        const omega = omegaFrom(code, here, place(y), less(here, place(z)));
        code.store(z, here).store(y, omega);
        const amps = less(sum(times(omega, num(unit / rs)), times(volts, leak)), saturation);
        const siemens = sum(over(omega, times(num(rs), sum(num(1), omega))), leak);
        return { amps: code.keep(amps).value, siemens: code.keep(siemens).value };
      },
      voltsAt: (amps) =>
        sum(times(num(rs), amps), times(num(unit), writtenLog(sum(num(1), over(amps, saturation))))),
    };
  }

  /** Volts across junction and series ohms at a forward current above zero. */
  voltsAt(amps: Amps): Volts {
    return this.rs * amps + this.unit * log1p(amps / this.saturation);
  }
}

/**
 * Series ohms from two measured points of one lamp, not below zero.
 *
 * @param n emission coefficient of its sort
 */
export function fitSeriesOhms(
  first: { volts: Volts; amps: Amps },
  second: { volts: Volts; amps: Amps },
  n: number,
): Ohms {
  const curved = n * THERMAL_VOLTS * log(second.amps / first.amps);
  return max(0, (second.volts - first.volts - curved) / (second.amps - first.amps));
}

/**
 * A two-pin part that is one junction, anode first.
 *
 * @param inside ohms in series that are built into the part, beside the junction's own
 */
export function junctionInstance(figures: JunctionFigures, at: Seat, inside: Ohms = 0): Instance {
  const drop = inside * figures.at;
  const junction = new Junction({ ...figures, rs: figures.rs + inside, vf: figures.vf + drop });
  const [anode, cathode] = [at.nodes[0]!, at.nodes[1]!];
  const stamp = new ConductanceStamp(at, anode, cathode);
  const limit = new StepLimit(junction.unit, junction.saturation);
  return {
    stamp(eq) {
      const volts = eq.x[anode]! - eq.x[cathode]!;
      const near = limit.near(volts, eq);
      junction.evaluate(near);
      stamp.add(eq, junction.amps + junction.siemens * (volts - near), junction.siemens);
    },
    write(writing) {
      const { code, x, tangent, mayFall, remember, readElsewhere } = writing;
      const volts = code.keep(less(x(anode), x(cathode))).value;
      const { near, place: before } = limit.write(writing, volts);
      const [amps, siemens] = [remember(0), remember(0)];
      const curve = junction.written(writing);
      // Down a curve Newton's method goes n·VT at a time; where it is a current that falls, the volts at what is left of it
      // are near.
      const falls = apply('less', volts, less(place(before), num(FALL * junction.unit)));
      code.when(apply('and', mayFall, falls), () => {
        const falling = sum(place(amps), times(place(siemens), less(volts, place(before))));
        const left = code.keep(falling).value;
        code.when(apply('more', left, num(0)), () => {
          code.set(near, curve.voltsAt(left));
          readElsewhere();
        });
      });
      code.unless(apply('less', size(less(near.value, place(before))), num(tangent)), () => {
        const read = curve.read(near.value);
        code.store(before, near.value).store(amps, read.amps).store(siemens, read.siemens);
      });
      const slope = code.keep(place(siemens)).value;
      stamp.write(writing, sum(place(amps), times(slope, less(volts, place(before)))), slope);
    },
    currents(x, out) {
      junction.evaluate(x[anode]! - x[cathode]!);
      out[0] = junction.amps;
      out[1] = -junction.amps;
    },
    knobs: {
      vf(value) {
        junction.setVf(value + drop);
      },
    },
  };
}

import { apply, num, type Value } from '../numerics/code';
import type { Equations, Seat, Writing } from './device';

const ZERO = num(0);

/** A current from one node to another through a part, with its slope by the volts between them. */
export class ConductanceStamp {
  private readonly aa: number;
  private readonly ab: number;
  private readonly ba: number;
  private readonly bb: number;

  constructor(
    at: Seat,
    private readonly a: number,
    private readonly b: number,
  ) {
    this.aa = at.entry(a, a);
    this.ab = at.entry(a, b);
    this.ba = at.entry(b, a);
    this.bb = at.entry(b, b);
  }

  /** A linear conductance. */
  linear(eq: Equations, siemens: number): void {
    this.add(eq, siemens * (eq.x[this.a]! - eq.x[this.b]!), siemens);
  }

  add(eq: Equations, amps: number, siemens: number): void {
    const { residual, values } = eq;
    residual[this.a]! += amps;
    residual[this.b]! -= amps;
    values[this.aa]! += siemens;
    values[this.ab]! -= siemens;
    values[this.ba]! -= siemens;
    values[this.bb]! += siemens;
  }

  /** `add` as code; both values stand in locals or constants. */
  write({ code, flow, slope }: Writing, amps: Value, siemens: Value): void {
    const passing = code.keep(amps).value;
    const against = apply('subtract', ZERO, siemens);
    flow(this.a, passing);
    flow(this.b, apply('subtract', ZERO, passing));
    slope(this.aa, siemens);
    slope(this.ab, against);
    slope(this.ba, against);
    slope(this.bb, siemens);
  }
}

/** A branch current that is an unknown of its own, with one equation weight·(va − vb) − ohms·i − offset = 0. */
export class BranchStamp {
  private readonly aI: number;
  private readonly bI: number;
  private readonly iA: number;
  private readonly iB: number;
  private readonly iI: number;

  constructor(
    at: Seat,
    private readonly a: number,
    private readonly b: number,
    private readonly branch: number,
  ) {
    this.aI = at.entry(a, branch);
    this.bI = at.entry(b, branch);
    this.iA = at.entry(branch, a);
    this.iB = at.entry(branch, b);
    this.iI = at.entry(branch, branch);
  }

  /** The branch current's place in the node equations. */
  flow(eq: Equations): void {
    const { residual, values, x } = eq;
    const amps = x[this.branch]!;
    residual[this.a]! += amps;
    residual[this.b]! -= amps;
    values[this.aI]! += 1;
    values[this.bI]! -= 1;
  }

  /** The branch equation. */
  equation(eq: Equations, weight: number, ohms: number, offset: number): void {
    const { residual, values, x } = eq;
    residual[this.branch]! += weight * (x[this.a]! - x[this.b]!) - ohms * x[this.branch]! - offset;
    values[this.iA]! += weight;
    values[this.iB]! -= weight;
    values[this.iI]! -= ohms;
  }

  /** Flow and equation of ohms with an electromotive force. */
  ohmic(eq: Equations, ohms: number, emf: number): void {
    this.flow(eq);
    this.equation(eq, 1, ohms, emf);
  }
}

/** How a current from one node to another follows the volts between two others. */
export class ControlledStamp {
  private readonly fromPlus: number;
  private readonly fromMinus: number;
  private readonly toPlus: number;
  private readonly toMinus: number;

  constructor(at: Seat, from: number, to: number, plus: number, minus: number) {
    this.fromPlus = at.entry(from, plus);
    this.fromMinus = at.entry(from, minus);
    this.toPlus = at.entry(to, plus);
    this.toMinus = at.entry(to, minus);
  }

  /** Adds the slope only; the current itself is stamped where it flows. */
  add({ values }: Equations, siemens: number): void {
    values[this.fromPlus]! += siemens;
    values[this.fromMinus]! -= siemens;
    values[this.toPlus]! -= siemens;
    values[this.toMinus]! += siemens;
  }
}

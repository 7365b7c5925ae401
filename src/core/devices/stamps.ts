import type { Equations } from './device';

/** A linear conductance between two nodes. */
export function stampConductance(eq: Equations, a: number, b: number, siemens: number): void {
  const { matrix, residual, stride, x } = eq;
  const amps = siemens * (x[a]! - x[b]!);
  residual[a]! += amps;
  residual[b]! -= amps;
  addDerivative(matrix, stride, a, b, siemens);
}

/** A current `amps` into the part at `a` and out at `b`, with slope `siemens` by the volts from a to b. */
export function stampCurrent(eq: Equations, a: number, b: number, amps: number, siemens: number): void {
  eq.residual[a]! += amps;
  eq.residual[b]! -= amps;
  addDerivative(eq.matrix, eq.stride, a, b, siemens);
}

function addDerivative(matrix: Float64Array, stride: number, a: number, b: number, siemens: number): void {
  matrix[a * stride + a]! += siemens;
  matrix[b * stride + b]! += siemens;
  matrix[a * stride + b]! -= siemens;
  matrix[b * stride + a]! -= siemens;
}

/** A branch current flowing in at `a` and out at `b`: its place in the node equations. */
export function stampBranchCurrent(eq: Equations, a: number, b: number, branch: number): void {
  const { matrix, residual, stride, x } = eq;
  const amps = x[branch]!;
  residual[a]! += amps;
  residual[b]! -= amps;
  matrix[a * stride + branch]! += 1;
  matrix[b * stride + branch]! -= 1;
}

/** Branch equation of ohms with an electromotive force: (va − vb) − emf − ohms·i = 0. */
export function stampOhmsBranch(
  eq: Equations,
  a: number,
  b: number,
  branch: number,
  ohms: number,
  emf: number,
): void {
  const { matrix, residual, stride, x } = eq;
  stampBranchCurrent(eq, a, b, branch);
  residual[branch]! += x[a]! - x[b]! - emf - ohms * x[branch]!;
  matrix[branch * stride + a]! += 1;
  matrix[branch * stride + b]! -= 1;
  matrix[branch * stride + branch]! -= ohms;
}

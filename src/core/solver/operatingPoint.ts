import type { Compiled } from '../circuit/compile';
import { LIMITS } from '../numerics/limits';
import { Newton, type Settling } from './newton';

/** Solves one compiled circuit again and again, each time starting from where it stands. */
export class OperatingPoint {
  private readonly newton: Newton;

  constructor(private readonly compiled: Compiled) {
    this.newton = new Newton(compiled);
  }

  /**
   * Finds the steady state from the x in the equations: plain Newton, then damped, then conductance
   * steps, then source steps.
   *
   * @param cold forget where the last solve ended
   */
  solve(cold = false): Settling {
    const { equations } = this.compiled;
    this.newton.iterations = 0;
    equations.source = 1;
    if (cold) equations.x.fill(0);
    if (this.newton.settle()) return this.outcome(true, 'newton');
    equations.x.fill(0);
    if (this.newton.settle(0, true)) return this.outcome(true, 'damped');
    if (this.conductanceSteps()) return this.outcome(true, 'conductance steps');
    return this.outcome(this.sourceSteps(), 'source steps');
  }

  private conductanceSteps(): boolean {
    this.compiled.equations.x.fill(0);
    for (let shunt: number = LIMITS.shuntStart; shunt > LIMITS.shuntEnd; shunt /= 10) {
      if (!this.newton.settle(shunt, true)) return false;
    }
    return this.newton.settle(0, true);
  }

  private sourceSteps(): boolean {
    const { equations } = this.compiled;
    equations.x.fill(0);
    let reached = 0;
    let step = 0.1;
    const held = new Float64Array(equations.x.length);
    while (reached < 1 && step > 1e-4) {
      equations.source = Math.min(1, reached + step);
      held.set(equations.x);
      if (this.newton.settle(0, true)) {
        reached = equations.source;
        step *= 1.5;
      } else {
        equations.x.set(held);
        step /= 4;
      }
    }
    equations.source = 1;
    return reached >= 1;
  }

  private outcome(converged: boolean, method: Settling['method']): Settling {
    return {
      converged,
      iterations: this.newton.iterations,
      residual: this.newton.residual,
      worstNode: this.compiled.nodes[this.newton.worst] ?? this.compiled.circuit.ground,
      method,
    };
  }
}

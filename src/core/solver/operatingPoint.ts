import type { Compiled } from '../circuit/compile';
import type { Latch } from '../devices/dynamics';
import { LIMITS } from '../numerics/limits';
import { relaxLight, type LightStart } from './light';
import { Newton, type Settling } from './newton';

/** Solves one compiled circuit again and again, each time starting from where it stands. */
export class OperatingPoint {
  readonly newton: Newton;
  private readonly latches: readonly Latch[];
  private readonly kept: Float64Array;
  private method: Settling['method'] = 'newton';
  /** The last solve found no latch state that agrees with its own volts. */
  oscillates = false;

  constructor(private readonly compiled: Compiled) {
    this.newton = new Newton(compiled);
    this.latches = compiled.placed.flatMap(({ instance }) => (instance.latch ? [instance.latch] : []));
    this.kept = new Float64Array(compiled.size + 1);
  }

  /** Whether more than one state may be stable. */
  get lit(): boolean {
    return this.compiled.sensed.size > 0;
  }

  /**
   * Finds the steady state from the x in the equations.
   *
   * @param cold forget where the last solve ended
   * @param light where lamps that shine on sensors start from
   */
  solve(cold = false, light: LightStart = 'dark'): Settling {
    const { equations } = this.compiled;
    this.newton.iterations = 0;
    this.oscillates = false;
    equations.source = 1;
    if (cold) {
      equations.x.fill(0);
      for (const latch of this.latches) latch.powerUp();
    }
    return this.outcome(this.latches.length ? this.settleLatches(light) : this.settle(light));
  }

  /** Before very many solves, with other figures each. */
  hasten(): void {
    if (!this.lit) this.newton.hasten();
  }

  /** Latches take the state that their volts call for, until they agree. */
  private settleLatches(light: LightStart): boolean {
    const { x } = this.compiled.equations;
    const met = new Set<string>();
    for (let round = 0; round < LIMITS.switchings; round++) {
      if (!this.settle(light)) return false;
      const next = this.latches.map((latch) => latch.next(x));
      if (next.every((state, i) => state === this.latches[i]!.state)) return true;
      const key = next.join();
      this.latches.forEach((latch, i) => (latch.state = next[i]!));
      if (met.has(key)) break;
      met.add(key);
    }
    this.oscillates = true;
    return false;
  }

  /** Newton for the coupled circuit, from the state that light relaxes to where lamps shine on sensors. */
  settle(light: LightStart): boolean {
    if (!this.lit) return this.circuit();
    if (!relaxLight(this.compiled, light, () => this.circuit())) return false;
    const { x } = this.compiled.equations;
    this.kept.set(x);
    const coupled = this.newton.settle();
    if (coupled && this.near()) return true;
    x.set(this.kept);
    return false;
  }

  /** The last Newton steps must not have left the state that light relaxed to. */
  private near(): boolean {
    const { x } = this.compiled.equations;
    for (let i = 0; i < this.compiled.nodeCount; i++) {
      if (Math.abs(x[i]! - this.kept[i]!) > 1e-3) return false;
    }
    return true;
  }

  /** Plain Newton, then damped, then conductance steps, then source steps. */
  private circuit(): boolean {
    const { equations } = this.compiled;
    this.method = 'newton';
    if (this.newton.settle()) return true;
    equations.x.fill(0);
    this.method = 'damped';
    if (this.newton.settleDamped()) return true;
    this.method = 'conductance steps';
    if (this.conductanceSteps()) return true;
    this.method = 'source steps';
    return this.sourceSteps();
  }

  private conductanceSteps(): boolean {
    this.compiled.equations.x.fill(0);
    for (let shunt: number = LIMITS.shuntStart; shunt > LIMITS.shuntEnd; shunt /= 10) {
      if (!this.newton.settleDamped(shunt)) return false;
    }
    return this.newton.settleDamped();
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
      if (this.newton.settleDamped()) {
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

  private outcome(converged: boolean): Settling {
    return {
      converged,
      iterations: this.newton.iterations,
      residual: this.newton.residual,
      worstNode: this.compiled.nodes[this.newton.worst] ?? this.compiled.circuit.ground,
      method: this.method,
    };
  }
}

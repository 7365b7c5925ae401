import type { Circuit } from '../../circuit/circuit';
import { compile, type Compiled } from '../../circuit/compile';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import { LIMITS } from '../../numerics/limits';
import { OperatingPoint } from '../operatingPoint';
import { unsettled } from '../prepare';
import { restOf } from '../resting';
import { Passage, type Run } from './passage';
import { RUN_DEFAULTS, type Enough, type RunPlan } from './plan';
import { DRIVEN, OWN_PACE, type StepControl } from './trBdf2';

export interface RunOptions extends Enough {
  /** How finely it is stepped; else as the circuit needs it. */
  readonly control?: StepControl;
  /** Told the share of the time that is done, at most a hundred times. */
  readonly onProgress?: ((share: number) => void) | undefined;
}

/**
 * Follows a circuit over time, from the operating point with each capacitor held at its own volts.
 *
 * @returns samples, cycles of every timer and true means; or why a figure cannot be given
 * @example run(blinker, { seconds: 5, settle: 1, samples: 500 }) // value.cycles.out.period → 0.7234
 */
export function run(
  circuit: Circuit,
  plan: Pick<RunPlan, 'seconds'> & Partial<RunPlan>,
  { control, onProgress, enough, most }: RunOptions = {},
): Outcome<Run> {
  const made = compile(circuit, 'moving');
  if (!made.ok) return made;
  const compiled = made.value;
  const point = new OperatingPoint(compiled);
  for (const { instance } of compiled.placed) instance.wave?.enter(0);
  compiled.equations.regime = 'start';
  compiled.equations.time = 0;
  const { settling } = restOf({ compiled, point });
  if (!settling.converged) return refused(unsettled({ compiled, point }, settling));
  const pace = paceOf(compiled);
  if (pace === DRIVEN) point.newton.expectMany();
  const passage = new Passage(compiled, point, { ...RUN_DEFAULTS, ...plan }, control ?? pace, {
    enough,
    most,
  });
  const ended = passage.follow(onProgress);
  if (ended === 'done') return accepted(passage.report());
  if (ended === 'too long') {
    return refused(finding('run-too-long', { seconds: passage.time, steps: LIMITS.timeSteps }));
  }
  const nodes = compiled.nodes[point.newton.worst] ?? circuit.ground;
  return refused(finding('did-not-settle', { nodes, residual: point.newton.residual }));
}

function paceOf({ placed }: Compiled): StepControl {
  const latched = placed.some(({ instance }) => instance.latch);
  const sung = placed.some(({ instance }) => instance.wave && instance.wave.longest < Infinity);
  return sung && !latched ? DRIVEN : OWN_PACE;
}

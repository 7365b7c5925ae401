import type { Plan } from '../../board/plan';
import type { Checkpoint, Held, Shows } from '../../observe/checkpoint';
import type { MeterUse } from '../../observe/meter';
import type { FaultCode, Mistake } from '../../parts/mistake';
import type { Surroundings } from '../../parts/part';

/** One way in which a build, or the measuring of it, may differ from the plan; or the right build itself. */
export interface Candidate extends Mistake {
  readonly use: MeterUse;
}

/** What the mistakes of a lesson are computed from. */
export interface FaultContext extends Surroundings {
  readonly plan: Plan;
  /** Where it is measured, for slips that touch one reading only. */
  readonly points: readonly Checkpoint[];
  /** In what each lamp is looked at: at its own tone, or with what is held while volts are read. */
  readonly shows?: Shows | undefined;
  /** What starts it, where it waits for a hand. */
  readonly started?: Held | undefined;
}

/** States in which a right build may stand: knob, button and pack are as they are. */
export const RIGHT_STATES: ReadonlySet<FaultCode> = new Set(['right', 'knob-elsewhere', 'supply-used']);
/** What is asked for before anything is called wrong. */
export const ASKED_STATES: ReadonlySet<FaultCode> = new Set([...RIGHT_STATES, 'button-open', 'switch-off']);

/** How the meter is used at a checkpoint under a candidate. */
export function meterUseAt({ use, data }: Candidate): (point: Checkpoint) => MeterUse {
  return ({ id }) => (data.point === undefined || data.point === id ? use : 'right');
}

import type { AsBuilt } from '../board/asBuilt';
import { buildType } from '../board/boards';
import { boardOf } from '../board/copper';
import type { Plan } from '../board/plan';
import { isKind, type Circuit } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import type { Held, Shows } from '../observe/checkpoint';
import { running } from '../program/measuring';
import type { ProgramTable } from '../program/table';
import type { WalkRow } from '../patterns/steady/rows';
import type { Ohms } from '../quantities/units';
import { AGE_FACTORS, PACE, SOLDER_PER_JOINT, type AgeGroup } from './pace';
import { pluggedSteps } from './plugged';
import { solderedSteps } from './soldered';
import { tapedSteps } from './taped';
import type { Step } from './step';

/** Things that are fitted once the circuit works. */
interface Fitting {
  readonly name: string;
  readonly each: number;
  readonly use: string;
}

export interface CardWishes {
  readonly age: AgeGroup;
  /** Lamps soldered together before a test. */
  readonly batch?: number;
  /** Resistors that take R1's place one after another once it works. */
  readonly walk?: readonly WalkRow[] | undefined;
  readonly extras?: readonly Fitting[];
  /** What is held or turned while the build is tested. */
  readonly held?: Held | undefined;
  /** In what the newest lamps are looked at instead, where each has its own. */
  readonly shows?: Shows | undefined;
  /** Of a resistor that parks an open end, for a test of one half alone. */
  readonly parkOhms?: Ohms | undefined;
  /** For a first look: its readings are typical ones. */
  readonly brief?: boolean | undefined;
  /** What a controller runs while the build is tested, where it is not the lesson's own program. */
  readonly measuring?: ProgramTable | undefined;
}

/**
 * The card of a plan, as it is built: plugged, soldered or taped.
 *
 * @param built the plan as read back and solved, for which end of a part is the more positive
 */
export function buildSteps(plan: Plan, circuit: Circuit, built: AsBuilt, wishes: CardWishes): Step[] {
  const { age, batch = 1, walk = [], extras = [], held = {}, shows, parkOhms, brief, measuring } = wishes;
  const tested = measuring ? running(measuring, circuit) : circuit;
  const ground = { plan, circuit: tested, held, shows, parkOhms, brief };
  const factor = AGE_FACTORS[age];
  const kind = buildType(boardOf(plan));
  const steps =
    kind === 'plugged'
      ? pluggedSteps(ground, built)
      : kind === 'soldered'
        ? solderedSteps(ground, batch)
        : tapedSteps(ground, built);
  const changes = walk.slice(1).map(({ part, ohms, amps, brightness, beyond }): Step => ({
    id: `walk-${ohms}`,
    action: 'change-part',
    part,
    ohms,
    amps,
    brightness,
    beyond,
    minutes: beyond ? 0.5 : PACE['change-part'],
  }));
  const fitted = extras
    .filter(({ use }) => use !== '')
    .map(({ name, each, use }): Step => ({
      id: `extra-${name}`,
      action: 'fit-extra',
      extra: name,
      each,
      use,
      minutes: PACE['fit-extra'],
    }));
  // A program is sent before the first test: alone, so that no pin drives what is half built.
  const first = programStep(circuit, measuring ? 'measuring' : 'lesson');
  const last = measuring ? programStep(circuit, 'lesson') : [];
  return [...first, ...steps, ...last, ...changes, ...fitted].map((step) => ({
    ...step,
    minutes: step.minutes * factor,
  }));
}

function programStep(circuit: Circuit, program: 'measuring' | 'lesson'): Step[] {
  const board = sourceOf(circuit);
  const driven = circuit.parts.some((part) => isKind(part, 'pin'));
  const id = `program-${program}`;
  return board && driven
    ? [{ id, action: 'send-program', part: board.id, program, minutes: PACE['send-program'] }]
    : [];
}

export function totalMinutes(steps: readonly Step[]): number {
  return steps.reduce((sum, step) => sum + step.minutes, 0);
}

/** Joints of a soldered plan, and the solder they take in millimetres; none on other boards. */
export function soldering(plan: Plan): { joints: number; solder: number } {
  const soldered = buildType(boardOf(plan)) === 'soldered';
  const joints = soldered ? plan.placements.reduce((sum, p) => sum + Object.keys(p.legs).length, 0) : 0;
  return { joints, solder: joints * SOLDER_PER_JOINT };
}

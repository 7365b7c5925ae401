import { lessonTime, type LessonTime } from '../assembly/lessonTime';
import { buildSteps, soldering, totalMinutes } from '../assembly/steps';
import type { Step } from '../assembly/step';
import type { AsBuilt } from '../board/asBuilt';
import { buildType } from '../board/boards';
import { boardOf } from '../board/copper';
import type { Method } from '../board/layout/layOut';
import type { Quality } from '../board/layout/score';
import type { Plan } from '../board/plan';
import type { SupplyChoice } from '../catalogue/supplies';
import { expectedReadings, type Expectation } from '../checking/expected';
import { isKind, type Circuit } from '../circuit/circuit';
import { accepted, type Finding, type Outcome } from '../findings/finding';
import { kitFor, type Kit } from '../kits/kit';
import { stockKey } from '../kits/stock';
import { substitutesFor, type Substitute } from '../kits/substitutes';
import { PATTERNS, type PatternId } from '../patterns/index';
import type { Checkpoint, Design, Means } from '../patterns/pattern';
import type { SingleSums } from '../patterns/single/sums';
import { steadySums, type SteadySums } from '../patterns/steady/figures';
import type { LampSorts } from '../patterns/steady/parts';
import { cautionsFor, type Caution } from './cautions';
import { DEFAULT_BUILD, type Build, type PatternChoice } from './choice';
import { goalsOf, type Goal } from './goals';
import { planFor } from './planFor';
import type { SheetRequest } from './request';

/** One lesson, worked out: every stage hangs on the same circuit. */
export interface Sheet {
  readonly pattern: PatternId;
  readonly build: Build;
  readonly circuit: Circuit;
  readonly supply: SupplyChoice;
  /** The sort of each LED. */
  readonly sorts: LampSorts;
  /** The working of one lamp, line by line; only the one-lamp lesson has it. */
  readonly sums?: SingleSums;
  readonly steady: SteadySums;
  /** The aim as conditions, checked on the solved circuit. */
  readonly goals: readonly Goal[];
  readonly plan: Plan;
  readonly quality: Quality;
  readonly method: Method | 'kept';
  /** What the layout hung on besides the circuit; while it is the same, the plan may serve again. */
  readonly layoutKey: string;
  /** Whether the plan was arranged by hand and still makes the circuit that is wanted. */
  readonly planKept: boolean;
  readonly built: AsBuilt;
  readonly steps: readonly Step[];
  readonly minutes: number;
  /** The whole lesson: talk, building, checking, clearing up. */
  readonly time: LessonTime;
  readonly soldering: { readonly joints: number; readonly solder: number };
  readonly checkpoints: readonly Checkpoint[];
  readonly expected: Expectation;
  readonly kit: Kit;
  /** What could stand in for parts that the store is short of. */
  readonly substitutes: readonly Substitute[];
  readonly cautions: readonly Caution[];
  readonly findings: readonly Finding[];
}

/** Parts up to which all draws are made; larger circuits are drawn less, in about the same time. */
const SMALL_CIRCUIT = 12;

/**
 * Works a lesson out from its wishes: sums, plan, read-back, steps, checks, kit and cautions.
 *
 * @returns the whole sheet, or the refusals that keep its circuit from existing
 */
export function makeSheet(request: SheetRequest): Outcome<Sheet> {
  const { choice, style } = request;
  const worked = workOut(request);
  if (!worked.ok) return worked;
  const { design, steady, sums } = worked.value;
  const { circuit, checkpoints, findings, supply, sorts } = design;
  const build = choice.build ?? DEFAULT_BUILD;
  const planned = planFor(circuit, sorts, request, build);
  if (!planned.ok) return planned;
  const { plan, built } = planned.value;
  const share = Math.min(1, SMALL_CIRCUIT / circuit.parts.length);
  const draws = { ...request.draws, samples: Math.max(1, Math.round(request.draws.samples * share)) };
  const expected = expectedReadings(circuit, checkpoints, request.meter, draws);
  if (!expected.ok) return expected;
  const { ageGroup: age, extras = [] } = request;
  const steps = buildSteps(plan, circuit, built, { age, batch: batchOf(choice), walk: steady.walk, extras });
  const minutes = totalMinutes(steps);
  const { students, stock } = request;
  const kit = kitFor({
    circuit,
    plan,
    supply,
    lamps: sorts,
    spareValues: (steady.walk ?? [])
      .filter((row) => !row.beyond)
      .slice(1)
      .map(({ ohms }) => ohms),
    extras,
    students,
    spareRisk: style.spareRisk,
    stock,
  });
  return accepted({
    pattern: choice.pattern,
    build,
    circuit,
    supply,
    sorts,
    ...(sums ? { sums } : {}),
    steady,
    goals: goalsOf(choice.pattern, steady, built.asWanted),
    ...planned.value,
    steps,
    minutes,
    time: lessonTime(minutes, checkpoints.length, age),
    soldering: soldering(plan),
    checkpoints,
    expected: expected.value,
    kit,
    substitutes: substitutesFor(kit, circuit, stock, request.shelf.lamps),
    cautions: cautionsFor({
      supply,
      lamps: steady.design.lamps,
      hottestWatts: steady.hottest.hottest?.watts ?? 0,
      // Drawers hold ¼ W parts; the sums say when a larger one is wanted.
      rating: 0.25,
      ratingShare: style.ratingShare,
      pattern: choice.pattern,
      build: buildType(boardOf(plan)),
      resistors: circuit.parts.filter((part) => isKind(part, 'resistor')).length,
    }),
    findings,
  });
}

interface Worked {
  readonly design: Design<SingleSums | SteadySums>;
  readonly steady: SteadySums;
  readonly sums?: SingleSums;
}

/** The circuit and its figures alone, without plan, draws and kit. */
export function workOut(
  request: Pick<SheetRequest, 'choice' | 'style' | 'shelf' | 'stock'>,
  brief = false,
): Outcome<Worked> {
  const { choice, style, shelf, stock } = request;
  const cents = Object.fromEntries(
    stock.map(({ spec, packCents, packSize }) => [stockKey(spec), packCents / packSize]),
  );
  const means: Means = { shelf, style, cents, brief };
  if (choice.pattern !== 'single') {
    const design = designOf(choice, means);
    return design.ok ? accepted({ design: design.value, steady: design.value.sums }) : design;
  }
  const design = PATTERNS.single.design(choice.params, means);
  if (!design.ok) return design;
  const { circuit, supply, sorts, sums } = design.value;
  const steady = steadySums({ circuit, supply, sorts, strings: [], ratingShare: style.ratingShare });
  return steady.ok ? accepted({ design: design.value, steady: steady.value, sums }) : steady;
}

function designOf(
  choice: Exclude<PatternChoice, { pattern: 'single' }>,
  means: Means,
): Outcome<Design<SteadySums>> {
  // Each choice carries the parameters of its own pattern; TypeScript cannot see that through the union.
  const pattern = PATTERNS[choice.pattern] as {
    design(params: unknown, means: Means): Outcome<Design<SteadySums>>;
  };
  return pattern.design(choice.params, means);
}

/** Lamps soldered before a test: what the panel says, all others one string at a time. */
function batchOf(choice: PatternChoice): number {
  return choice.pattern === 'panel' ? choice.params.batch : choice.pattern === 'lamp-cover' ? 6 : 1;
}

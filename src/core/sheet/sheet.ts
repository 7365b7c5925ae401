import { lessonTime, type LessonTime } from '../assembly/lessonTime';
import type { GateGround } from '../assembly/gates';
import { isolationsOf } from '../assembly/isolate';
import { buildSteps, soldering, totalMinutes } from '../assembly/steps';
import type { Isolation, Step } from '../assembly/step';
import type { AsBuilt } from '../board/asBuilt';
import { buildType } from '../board/boards';
import { boardOf } from '../board/copper';
import type { Method } from '../board/layout/attempts';
import type { Quality } from '../board/layout/score';
import type { Plan } from '../board/plan';
import { neighbours } from '../catalogue/preferred';
import { valuesOf } from '../catalogue/shelf';
import type { SourceChoice } from '../catalogue/supplies';
import { atOdds } from '../checking/atOdds';
import { expectedReadings, type Expectation } from '../checking/expected';
import { isKind, type Circuit } from '../circuit/circuit';
import { accepted, type Finding, type Outcome } from '../findings/finding';
import { apparatusOf } from '../kits/apparatus';
import { kitFor, type Kit } from '../kits/kit';
import { stockKey } from '../kits/stock';
import { substitutesFor, type Substitute } from '../kits/substitutes';
import type { Checkpoint, Held, Shows } from '../observe/checkpoint';
import type { Goal } from '../patterns/goal';
import { patternOf, type PatternId } from '../patterns/index';
import type { Design, Means } from '../patterns/pattern';
import { measuringTable } from '../program/measuring';
import type { ProgramTable } from '../program/table';
import type { LessonSums } from '../patterns/steady/figures';
import type { LampSorts } from '../patterns/steady/parts';
import { lightened, readingsOf, type StandingReading } from './asItStands';
import { cautionsFor, type Caution } from './cautions';
import { DEFAULT_BUILD, type Build } from './choice';
import { goalsOf, servesAs } from './goals';
import { planFor, type Planned } from './planFor';
import { asChecked, spreadAs } from './lastGate';
import { sumsIn } from '../patterns/family';
import type { SheetRequest } from './request';

/** One lesson, worked out: every stage hangs on the same circuit. */
export interface Sheet {
  readonly pattern: PatternId;
  readonly build: Build;
  readonly circuit: Circuit;
  readonly supply: SourceChoice;
  /** The sort of each LED. */
  readonly sorts: LampSorts;
  readonly sums: LessonSums;
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
  /** What a meter reads on the plan as it is. */
  readonly readings: readonly StandingReading[];
  readonly steps: readonly Step[];
  /** Each half of a lesson of two chips by itself, with the other chip pulled out of the finished board. */
  readonly isolations: readonly Isolation[];
  readonly minutes: number;
  /** The whole lesson: talk, building, checking, clearing up. */
  readonly time: LessonTime;
  readonly soldering: { readonly joints: number; readonly solder: number };
  readonly checkpoints: readonly Checkpoint[];
  /** What is pressed and turned while the build is tested. */
  readonly held: Held;
  /** In what each lamp is looked at, where that is not the same for all. */
  readonly shows?: Shows;
  /** What starts a build that moves, where it waits for a hand. */
  readonly started?: Held;
  /** What a controller runs while the build is measured; then it gets the lesson's own program. */
  readonly measuring?: ProgramTable;
  readonly expected: Expectation;
  readonly kit: Kit;
  /** What could stand in for parts that the store is short of. */
  readonly substitutes: readonly Substitute[];
  readonly cautions: readonly Caution[];
  readonly findings: readonly Finding[];
  /** A first look: bands, readings, hours and the other ages of the supply are still being worked out. */
  readonly outline?: true;
}

/** Parts up to which all draws are made; larger circuits are drawn less, in about the same time. */
const SMALL_CIRCUIT = 12;

/**
 * Works a lesson out from its wishes: sums, plan, read-back, steps, checks, kit and cautions.
 *
 * @returns the whole sheet, or the refusals that keep its circuit from existing
 */
export function makeSheet(request: SheetRequest): Outcome<Sheet> {
  const { choice } = request;
  const { outline } = request;
  const design = workOut(request, outline);
  if (!design.ok) return design;
  const { circuit, checkpoints, findings, supply, sorts, held, started, shows, sums } = design.value;
  const build = choice.build ?? DEFAULT_BUILD;
  const pattern = patternOf(choice.pattern);
  const planned = planFor({ circuit, sorts, shows }, request, build);
  if (!planned.ok) return planned;
  const { plan, built } = planned.value;
  const expected = outline ? accepted(NOT_YET) : expectationOf(design.value, request);
  if (!expected.ok) return expected;
  const { ageGroup: age, extras = [] } = request;
  const batch = pattern.batch?.(choice.params) ?? 1;
  const parkOhms = parkingOhms(circuit, request);
  const measuring = forMeasuring(sums, checkpoints);
  const wishes = {
    age,
    batch,
    walk: sumsIn(sums, 'walk')?.walk,
    extras,
    held,
    shows,
    parkOhms,
    brief: outline,
    measuring,
  };
  const steps = asChecked(buildSteps(plan, circuit, built, wishes), expected.value);
  const halves = outline ? [] : halvesOf({ plan, circuit, held, parkOhms }, built.asWanted);
  const isolations = halves.map((half) => spreadAs(half, expected.value));
  const minutes = totalMinutes(steps);
  const sheet: Uncounted = {
    pattern: choice.pattern,
    build,
    circuit,
    supply,
    sorts,
    sums,
    goals: goalsOf(choice.pattern, sums, built.asWanted),
    ...planned.value,
    built: lightened(built),
    readings: outline ? [] : readingsOf(built, checkpoints, request.meter),
    steps,
    isolations,
    minutes,
    time: lessonTime(minutes, checkpoints.length, age),
    soldering: soldering(plan),
    checkpoints,
    held,
    ...(shows ? { shows } : {}),
    ...(started ? { started } : {}),
    ...(measuring ? { measuring } : {}),
    expected: expected.value,
    cautions: guarding(design.value, planned.value, request),
    findings: [...findings, ...atOdds(expected.value)],
    ...(outline ? { outline } : {}),
  };
  return accepted(counted(sheet, request));
}

/** The cautions of a lesson on the board that it has been laid out on. */
function guarding(
  { supply, circuit, sums }: Design,
  { plan, built }: Planned,
  { choice, style }: SheetRequest,
) {
  return cautionsFor({
    supply,
    circuit,
    lamps: sums.design.lamps,
    hottest: sums.hottest.hottest,
    // Drawers hold ¼ W parts; the sums say when a larger one is wanted.
    rating: 0.25,
    ratingShare: style.ratingShare,
    standsInFor: patternOf(choice.pattern).standsInFor,
    onLimit: isOnLimit(sums),
    ...(built.seen ? { seen: built.seen } : {}),
    build: buildType(boardOf(plan)),
  });
}

/** What a controller runs while it is measured; nothing where none is set by a table. */
function forMeasuring({ own }: LessonSums, checkpoints: readonly Checkpoint[]) {
  if (own.family === 'program') return measuringTable(own.program.table, checkpoints);
  return own.family === 'mix' ? measuringTable(own.mix.table, checkpoints) : undefined;
}

/** A supply this near to its limit is held by it. */
const HELD_SHARE = 0.98;

function isOnLimit({ design, supplyFigures: { limitAmps } }: LessonSums): boolean {
  return limitAmps !== undefined && design.amps > HELD_SHARE * limitAmps;
}

/** What is expected of a lesson of which no build has been drawn yet. */
const NOT_YET: Expectation = { points: [], samples: 0, seed: 0, unsettled: 0 };

function expectationOf(
  { circuit, checkpoints }: Design,
  { draws, meter }: SheetRequest,
): Outcome<Expectation> {
  const share = Math.min(1, SMALL_CIRCUIT / circuit.parts.length);
  const samples = Math.max(1, Math.round(draws.samples * share));
  return expectedReadings(circuit, checkpoints, meter, { ...draws, samples });
}

/** A sheet without what is counted for it. */
export type Uncounted = Omit<Sheet, 'kit' | 'substitutes'>;

/** A sheet with its kit counted for so many students, out of the store as it is now; nothing else of it hangs on these. */
export function counted(sheet: Uncounted, request: SheetRequest): Sheet {
  const { circuit, plan, supply, sorts, sums, checkpoints, steps, isolations } = sheet;
  const { style, students, stock, shelf, extras = [] } = request;
  const parked = isolations.length > 0 || steps.some(({ action }) => action === 'isolate');
  const kit = kitFor({
    circuit,
    plan,
    supply,
    lamps: sorts,
    spareValues: (sumsIn(sums, 'walk')?.walk ?? [])
      .filter((row) => !row.beyond)
      .slice(1)
      .map(({ ohms }) => ohms),
    parkOhms: parked ? parkingOhms(circuit, request) : undefined,
    extras: [...apparatusOf(sums.own), ...extras],
    checkpoints,
    students,
    spareRisk: style.spareRisk,
    stock,
  });
  const substitutes = substitutesFor(kit, circuit, stock, shelf.lamps, (fitted, lamps) =>
    servesAs(sheet.pattern, fitted, supply, lamps),
  );
  return { ...sheet, kit, substitutes };
}

/** Ohms that park an open end: small beside a lamp's own resistor, and no harm to an output or a rail. */
const PARKING_OHMS = 470;

/** The resistor of the drawer that halves are parked on, where a lesson has two of them. */
function parkingOhms({ parts }: Circuit, { shelf, style }: SheetRequest): number | undefined {
  if (parts.filter((part) => isKind(part, 'timer')).length < 2) return undefined;
  return neighbours(valuesOf(shelf, style.values), PARKING_OHMS).nearest;
}

/** Each half by itself; a board that makes another circuit than is wanted is no measure of what is right. */
function halvesOf(ground: GateGround, asWanted: boolean): Isolation[] {
  return ground.parkOhms !== undefined && asWanted ? isolationsOf(ground, ground.parkOhms) : [];
}

/** The circuit and its figures alone, without plan, draws and kit. */
export function workOut(
  request: Pick<SheetRequest, 'choice' | 'style' | 'shelf' | 'stock'>,
  brief = false,
): Outcome<Design> {
  const { choice, style, shelf, stock } = request;
  const cents = Object.fromEntries(
    stock.map(({ spec, packCents, packSize }) => [stockKey(spec), packCents / packSize]),
  );
  const means: Means = { shelf, style, cents, brief };
  return patternOf(choice.pattern).design(choice.params, means);
}

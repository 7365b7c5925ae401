import { buildSteps, soldering, totalMinutes } from '../assembly/steps';
import type { Step } from '../assembly/step';
import { asBuilt, type AsBuilt } from '../board/asBuilt';
import { buildType, choiceOf } from '../board/boards';
import { boardOf } from '../board/copper';
import { layOut, type Method } from '../board/layout/layOut';
import { qualityOf, type Quality } from '../board/layout/score';
import { placementProblems, planCovers, type JumperColour, type Plan } from '../board/plan';
import type { LampType } from '../catalogue/lamps';
import type { SupplyChoice } from '../catalogue/supplies';
import { expectedReadings, type Expectation } from '../checking/expected';
import { isKind, type Circuit } from '../circuit/circuit';
import { accepted, type Finding, type Outcome } from '../findings/finding';
import { kitFor, type Kit } from '../kits/kit';
import { stockKey } from '../kits/stock';
import { PATTERNS, type PatternId } from '../patterns/index';
import type { Checkpoint, Design, Given } from '../patterns/pattern';
import type { SingleSums } from '../patterns/single/sums';
import { steadySums, type SteadySums } from '../patterns/steady/figures';
import type { LampSorts } from '../patterns/steady/parts';
import { cautionsFor, type Caution } from './cautions';
import { DEFAULT_BUILD, type Build, type PatternChoice } from './choice';
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
  readonly plan: Plan;
  readonly quality: Quality;
  readonly method: Method | 'kept';
  /** Whether the plan was arranged by hand and still makes the circuit that is wanted. */
  readonly planKept: boolean;
  readonly built: AsBuilt;
  readonly steps: readonly Step[];
  readonly minutes: number;
  readonly soldering: { readonly joints: number; readonly solder: number };
  readonly checkpoints: readonly Checkpoint[];
  readonly expected: Expectation;
  readonly kit: Kit;
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
  const steps = buildSteps(plan, circuit, built, request.ageGroup, batchOf(choice));
  const { students, stock } = request;
  return accepted({
    pattern: choice.pattern,
    build,
    circuit,
    supply,
    sorts,
    ...(sums ? { sums } : {}),
    steady,
    ...planned.value,
    steps,
    minutes: totalMinutes(steps),
    soldering: soldering(plan),
    checkpoints,
    expected: expected.value,
    kit: kitFor({
      circuit,
      plan,
      supply,
      lamps: sorts,
      spareValues: (steady.walk ?? [])
        .filter((row) => !row.beyond)
        .slice(1)
        .map(({ ohms }) => ohms),
      students,
      spareRisk: style.spareRisk,
      stock,
    }),
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
): Outcome<Worked> {
  const { choice, style, shelf, stock } = request;
  const cents = Object.fromEntries(
    stock.map(({ spec, packCents, packSize }) => [stockKey(spec), packCents / packSize]),
  );
  const given: Given = { shelf, style, cents };
  if (choice.pattern !== 'single') {
    const design = designOf(choice, given);
    return design.ok ? accepted({ design: design.value, steady: design.value.sums }) : design;
  }
  const design = PATTERNS.single.design(choice.params, given);
  if (!design.ok) return design;
  const { circuit, supply, sorts, sums } = design.value;
  const steady = steadySums({ circuit, supply, sorts, strings: [], ratingShare: style.ratingShare });
  return steady.ok ? accepted({ design: design.value, steady: steady.value, sums }) : steady;
}

function designOf(
  choice: Exclude<PatternChoice, { pattern: 'single' }>,
  given: Given,
): Outcome<Design<SteadySums>> {
  // Each choice carries the parameters of its own pattern; TypeScript cannot see that through the union.
  const pattern = PATTERNS[choice.pattern] as {
    design(params: unknown, given: Given): Outcome<Design<SteadySums>>;
  };
  return pattern.design(choice.params, given);
}

/** Lamps soldered before a test: what the panel says, all others one string at a time. */
function batchOf(choice: PatternChoice): number {
  return choice.pattern === 'panel' ? choice.params.batch : choice.pattern === 'lamp-cover' ? 6 : 1;
}

/** The jumper that goes with each lamp, among the colours that jumpers come in. */
const LAMP_WIRES: Readonly<Record<LampType, JumperColour>> = {
  infrared: 'black',
  red: 'red',
  orange: 'yellow',
  yellow: 'yellow',
  'yellow-green': 'green',
  green: 'green',
  blue: 'blue',
  white: 'green',
  violet: 'blue',
};

type Planned = Pick<Sheet, 'plan' | 'built' | 'planKept' | 'quality' | 'method'>;

/** The plan kept by hand while it makes the wanted circuit, else one laid out anew around what was fixed by hand. */
function planFor(circuit: Circuit, sorts: LampSorts, request: SheetRequest, build: Build): Outcome<Planned> {
  const { plan: kept } = request;
  const sameBoard = kept !== undefined && choiceOf(kept.board) === build.board;
  if (kept && sameBoard && planCovers(kept, circuit) && placementProblems(kept).length === 0) {
    const built = asBuilt(kept, circuit);
    if (built.asWanted) {
      return accepted({ plan: kept, built, planKept: true, quality: qualityOf(kept), method: 'kept' });
    }
  }
  const keep = sameBoard ? kept.placements.filter((p) => p.fixed && !p.standIn) : [];
  const wish = {
    circuit,
    board: build.board,
    wires: request.style.wires,
    lampWires: Object.fromEntries(Object.entries(sorts).map(([id, type]) => [id, LAMP_WIRES[type]])),
    spacing: build.spacing,
    perBand: request.choice.pattern === 'panel' ? request.choice.params.columns : undefined,
  };
  const around = layOut({ ...wish, keep });
  // Where what was fixed leaves no room for the rest, all of it is laid out anew.
  const outcome = around.ok || keep.length === 0 ? around : layOut(wish);
  if (!outcome.ok) return outcome;
  const { plan, quality, method } = outcome.value;
  return accepted({ plan, built: asBuilt(plan, circuit), planKept: false, quality, method });
}

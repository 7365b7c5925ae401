import { buildSteps, totalMinutes, type Step } from '../assembly/steps';
import { asBuilt, type AsBuilt } from '../board/asBuilt';
import { layoutChain, type WireHabit } from '../board/layout/chain';
import { placementProblems, planCovers, type Plan } from '../board/plan';
import { expectedReadings, type Expectation } from '../checking/expected';
import type { Circuit } from '../circuit/circuit';
import { accepted, type Finding, type Outcome } from '../findings/finding';
import { kitFor, type Kit } from '../kits/kit';
import { PATTERNS } from '../patterns/index';
import type { Checkpoint } from '../patterns/pattern';
import type { SingleSums } from '../patterns/single/sums';
import { cautionsFor, type Caution } from './cautions';
import type { SheetRequest } from './request';

/** One lesson, worked out: every stage hangs on the same circuit. */
export interface Sheet {
  readonly circuit: Circuit;
  readonly sums: SingleSums;
  readonly plan: Plan;
  /** Whether the plan was arranged by hand and still makes the circuit that is wanted. */
  readonly planKept: boolean;
  readonly built: AsBuilt;
  readonly steps: readonly Step[];
  readonly minutes: number;
  readonly checkpoints: readonly Checkpoint[];
  readonly expected: Expectation;
  readonly kit: Kit;
  readonly cautions: readonly Caution[];
  readonly findings: readonly Finding[];
}

/**
 * Works a lesson out from its wishes: sums, plan, read-back, steps, checks, kit and cautions.
 *
 * @returns the whole sheet, or the refusals that keep its circuit from existing
 */
export function makeSheet(request: SheetRequest): Outcome<Sheet> {
  const { choice, style, shelf } = request;
  const designed = PATTERNS[choice.pattern].design(choice.params, { shelf, style });
  if (!designed.ok) return designed;
  const { circuit, checkpoints, sums, findings } = designed.value;
  const planned = planFor(circuit, request.plan, style.wires);
  if (!planned.ok) return planned;
  const { plan, built, kept } = planned.value;
  const expected = expectedReadings(circuit, checkpoints, request.meter, request.draws);
  if (!expected.ok) return expected;
  const steps = buildSteps(plan, circuit, built, request.ageGroup);
  return accepted({
    circuit,
    sums,
    plan,
    planKept: kept,
    built,
    steps,
    minutes: totalMinutes(steps),
    checkpoints,
    expected: expected.value,
    kit: kitFor({
      circuit,
      plan,
      supply: choice.params.supply,
      lamps: { D1: choice.params.lamp },
      students: request.students,
      spareRisk: style.spareRisk,
      stock: request.stock,
    }),
    cautions: cautionsFor({
      supply: choice.params.supply,
      lamp: choice.params.lamp,
      amps: sums.design.amps,
      hottestWatts: sums.hottest.resistorWatts,
      rating: 0.25,
      ratingShare: style.ratingShare,
    }),
    findings,
  });
}

/** The plan kept by hand while it makes the wanted circuit, else one laid out anew. */
function planFor(
  circuit: Circuit,
  kept: Plan | undefined,
  wires: WireHabit,
): Outcome<{ plan: Plan; built: AsBuilt; kept: boolean }> {
  if (kept && planCovers(kept, circuit) && placementProblems(kept).length === 0) {
    const built = asBuilt(kept, circuit);
    if (built.asWanted) return accepted({ plan: kept, built, kept: true });
  }
  const plan = layoutChain(circuit, wires);
  if (!plan.ok) return plan;
  return accepted({ plan: plan.value, built: asBuilt(plan.value, circuit), kept: false });
}

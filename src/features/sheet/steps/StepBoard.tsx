import { idsOf, PARKED, parkedPlan, type Isolation, type Plan, type Sheet, type Step } from '@/core';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { capital } from '@/messages/grammar';
import type { Ref } from 'react';

/** What of a sheet the board of a step is drawn from. */
export type StepSheet = Pick<Sheet, 'plan' | 'circuit' | 'sorts' | 'supply' | 'build' | 'steps'>;

interface Props {
  readonly sheet: StepSheet;
  /** Place of the step in the card. */
  readonly at: number;
  readonly svgRef?: Ref<SVGSVGElement> | undefined;
}

/** The board as it is by a step: what stands, what comes now with its holes ringed, and the rest ghosted. */
export function StepBoard({ sheet, at, svgRef }: Props) {
  const { plan, supply, build } = sheet;
  const step = sheet.steps[at]!;
  const far = farSideOf(plan, supply);
  if (far && fromBehind(step)) {
    return (
      <figure className="step-board">
        <FarSide plan={plan} supply={supply} held={build.held} svgRef={svgRef} />
        <figcaption className="small-print">{capital(far)}.</figcaption>
      </figure>
    );
  }
  return (
    <BoardSoFar
      sheet={sheet}
      done={at + 1}
      now={step.action === 'isolate' ? [PARKED] : idsOf(step)}
      ringed
      plan={step.action === 'isolate' ? standingFor(step.isolation, plan) : withLeads(sheet, at)}
      holes={step.action === 'connect-supply' ? new Set(step.legs.map(({ hole }) => hole)) : undefined}
      title={`The board at step ${at + 1}`}
      svgRef={svgRef}
    />
  );
}

/** The plan with as many leads of its supply as are in by a step that puts one in. */
function withLeads({ plan, steps }: StepSheet, at: number): Plan {
  const step = steps[at]!;
  if (step.action !== 'connect-supply') return plan;
  const there = new Set(
    steps
      .slice(0, at + 1)
      .flatMap((one) => (one.action === 'connect-supply' && one.part === step.part ? [one.pin] : [])),
  );
  return {
    ...plan,
    placements: plan.placements.map((placement) =>
      placement.part === step.part
        ? {
            ...placement,
            legs: Object.fromEntries(Object.entries(placement.legs).filter(([pin]) => there.has(pin))),
          }
        : placement,
    ),
  };
}

interface SectionProps {
  readonly sheet: StepSheet;
  readonly steps: readonly Step[];
  /** Place of its first step in the card. */
  readonly first: number;
}

/** The board as it is when a section of the card is done. */
export function SectionBoard({ sheet, steps, first }: SectionProps) {
  const done = first + steps.length;
  return (
    <BoardSoFar
      sheet={sheet}
      plan={sheet.plan}
      done={done}
      now={steps.flatMap(idsOf)}
      title={`The board after step ${done}`}
    />
  );
}

interface SoFarProps {
  readonly sheet: StepSheet;
  readonly plan: Plan;
  /** Steps that are done. */
  readonly done: number;
  /** Pieces that it is about. */
  readonly now: readonly string[];
  readonly ringed?: boolean;
  /** Only these of their holes are ringed. */
  readonly holes?: ReadonlySet<string> | undefined;
  readonly title: string;
  readonly svgRef?: Ref<SVGSVGElement> | undefined;
}

function BoardSoFar({ sheet, plan, done, now, ringed = false, holes, title, svgRef }: SoFarProps) {
  return (
    <BoardDrawing
      plan={plan}
      circuit={sheet.circuit}
      sorts={sheet.sorts}
      supply={sheet.supply}
      orientation={sheet.build.held}
      svgRef={svgRef}
      title={title}
      placed={new Set([...sheet.steps.slice(0, done).flatMap(idsOf), ...now])}
      ringed={new Set(ringed ? now : [])}
      ringedHoles={holes}
      around={now}
    />
  );
}

/** The plan with the resistor at the first of its two places. */
function standingFor({ parkings, ohms }: Isolation, plan: Plan): Plan {
  return parkedPlan(plan, parkings[0]!.legs, ohms);
}

/** Steps that are done with the board turned over, or between the faces of a cell. */
export function fromBehind(step: Step): boolean {
  return (
    ['cut', 'inspect', 'fold-cell'].includes(step.action) ||
    (step.action === 'place-jumper' && step.onTheBack === true)
  );
}

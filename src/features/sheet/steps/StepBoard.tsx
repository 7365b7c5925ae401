import { idsOf, type Sheet, type Step } from '@/core';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { capital } from '@/messages/grammar';
import type { Ref } from 'react';

interface Props {
  readonly sheet: Sheet;
  /** Place of the step in the card. */
  readonly at: number;
  readonly svgRef?: Ref<SVGSVGElement>;
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
    <BoardDrawing
      plan={plan}
      circuit={sheet.circuit}
      sorts={sheet.sorts}
      supply={supply}
      orientation={build.held}
      svgRef={svgRef}
      title={`The board at step ${at + 1}`}
      placed={new Set(sheet.steps.slice(0, at + 1).flatMap(idsOf))}
      ringed={new Set(idsOf(step))}
    />
  );
}

/** Steps that are done with the board turned over, or between the faces of a cell. */
export function fromBehind(step: Step): boolean {
  return (
    ['cut', 'inspect', 'fold-cell'].includes(step.action) ||
    (step.action === 'place-jumper' && step.onTheBack === true)
  );
}

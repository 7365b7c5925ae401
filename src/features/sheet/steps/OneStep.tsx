import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { cautionsAt, type Sheet, type Step } from '@/core';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { saveSvg } from '@/features/plan/saveSvg';
import { CAUTION_WORDS } from '@/messages/cautions';
import { capital } from '@/messages/names';
import { stepWords } from '@/messages/steps';
import { slug } from '@/ui/download';

/** One step a screen, for the bench: what to do now, on the board as it is by then, all else ghosted. */
export function OneStep({ sheet, title }: { sheet: Sheet; title: string }) {
  const picture = useRef<SVGSVGElement>(null);
  const [at, setAt] = useState(0);
  const last = sheet.steps.length - 1;
  const index = Math.min(at, last);
  const step = sheet.steps[index]!;
  const words = stepWords(step, sheet);
  const far = farSideOf(sheet.plan, sheet.supply);
  const now = new Set(partsOf(step));
  const placed = new Set(sheet.steps.slice(0, index + 1).flatMap(partsOf));
  return (
    <div
      className="one-step"
      onKeyDown={(event) => {
        if (event.key === 'ArrowRight') setAt(Math.min(last, index + 1));
        if (event.key === 'ArrowLeft') setAt(Math.max(0, index - 1));
      }}
    >
      <div role="status">
        <p className="small-print">
          step {index + 1} of {sheet.steps.length}
        </p>
        <p className="one-title">{words.title}</p>
        {words.cue && <p className="cue">{words.cue}</p>}
        <p>{words.detail}</p>
        <p className="small-print">Why: {words.why}</p>
        {cautionsAt(step, sheet.cautions, sheet.steps).map(({ code }) => (
          <p key={code} className="caution-line">
            {CAUTION_WORDS[code]}
          </p>
        ))}
        <div className="button-row">
          <Button variant="quiet" disabled={index === 0} onClick={() => setAt(index - 1)}>
            Back
          </Button>
          <Button disabled={index === last} onClick={() => setAt(index + 1)}>
            Next step
          </Button>
          <Button
            variant="quiet"
            size="sm"
            onClick={() => saveSvg(picture.current, `${slug(title)}-step-${index + 1}`)}
          >
            Save the picture as SVG
          </Button>
        </div>
      </div>
      {far && fromBehind(step) ? (
        <figure>
          <FarSide plan={sheet.plan} supply={sheet.supply} held={sheet.build.held} svgRef={picture} />
          <figcaption className="small-print">{capital(far)}.</figcaption>
        </figure>
      ) : (
        <BoardDrawing
          plan={sheet.plan}
          circuit={sheet.circuit}
          sorts={sheet.sorts}
          supply={sheet.supply}
          held={sheet.build.held}
          svgRef={picture}
          title={`The board after step ${index + 1}`}
          placed={placed}
          ringed={now}
        />
      )}
    </div>
  );
}

/** The pieces that a step puts on the board. */
function partsOf(step: Step): readonly string[] {
  switch (step.action) {
    case 'place-jumper':
    case 'place-part':
    case 'connect-supply':
    case 'fold-cell':
      return [step.part];
    case 'repeat':
    case 'solder-batch':
      return step.pieces.map(({ part }) => part);
    case 'lay-tape':
      return step.tape.startsWith('W') ? [step.tape] : [];
    default:
      return [];
  }
}

/** Steps that are done with the board turned over, or between the faces of a cell. */
function fromBehind(step: Step): boolean {
  return (
    ['cut', 'inspect', 'fold-cell'].includes(step.action) ||
    (step.action === 'place-jumper' && step.onTheBack === true)
  );
}

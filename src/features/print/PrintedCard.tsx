import { cautionsAt, type Sheet } from '@/core';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { lessonLine } from '@/messages/lessonLine';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';
import { PrintButton } from './PrintButton';
import './print.css';

/** The build card on one page: the board, the steps with boxes to tick, cautions at their steps. */
export function PrintedCard({
  title,
  story,
  sheet,
  notes = '',
  large = false,
}: {
  title: string;
  story: string;
  sheet: Sheet;
  /** What helpers should know. */
  notes?: string;
  /** For those who read from a distance, or badly. */
  large?: boolean;
}) {
  const far = farSideOf(sheet.plan, sheet.supply);
  const start = sheet.cautions.filter(({ place }) => place === 'start' || place === 'kit');
  return (
    <article className={large ? 'printed large' : 'printed'}>
      <header className="ruled-head">
        <h1>{title}</h1>
        <PrintButton />
      </header>
      <p className="soft">
        {lessonLine(sheet)} · {Math.round(sheet.minutes)} minutes
      </p>
      {story && <p>{story}</p>}
      {notes && (
        <p className="small-print">
          <strong>For helpers:</strong> {notes}
        </p>
      )}
      <div className="printed-columns">
        <ol className="printed-steps">
          {sheet.steps.map((step) => {
            const words = stepWords(step, sheet);
            return (
              <li key={step.id} className={step.action === 'gate' ? 'gate' : undefined}>
                <strong>{words.title}</strong>
                {words.cue && <p className="cue">{words.cue}</p>}
                <p>{words.detail}</p>
                {cautionsAt(step, sheet.cautions, sheet.steps).map(({ code }) => (
                  <p key={code} className="caution-line">
                    {CAUTION_WORDS[code]}
                  </p>
                ))}
              </li>
            );
          })}
        </ol>
        <div>
          <BoardDrawing
            plan={sheet.plan}
            circuit={sheet.circuit}
            sorts={sheet.sorts}
            supply={sheet.supply}
            orientation={sheet.build.held}
            title={`Plan of ${title}`}
          />
          {far && (
            <figure>
              <figcaption className="small-print">Above: the side of the parts. Below: {far}.</figcaption>
              <FarSide plan={sheet.plan} supply={sheet.supply} held={sheet.build.held} />
            </figure>
          )}
          {start.map(({ code }) => (
            <p key={code} className="caution-line">
              {CAUTION_WORDS[code]}
            </p>
          ))}
        </div>
      </div>
    </article>
  );
}

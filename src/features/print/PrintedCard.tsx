import { cardSections, cautionsAt, isStop, type Sheet, type Step } from '@/core';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { SectionBoard } from '@/features/sheet/steps/StepBoard';
import { lessonLine } from '@/messages/families';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';
import { PrintButton } from './PrintButton';
import './print.css';

interface Props {
  readonly title: string;
  readonly story: string;
  readonly sheet: Sheet;
  /** What helpers should know. */
  readonly notes?: string;
  /** For those who read from a distance, or badly. */
  readonly large?: boolean;
}

/** The build card on paper: cautions first, then section by section the board as it is by then, and its steps. */
export function PrintedCard({ title, story, sheet, notes = '', large = false }: Props) {
  const start = sheet.cautions.filter(({ place }) => place === 'start' || place === 'kit');
  const sections = cardSections(sheet.steps);
  const firsts = sections.map((_, i) => sections.slice(0, i).flat().length);
  return (
    <article className={large ? 'printed large' : 'printed'}>
      <header className="ruled-head">
        <h1>{title}</h1>
        <PrintButton />
      </header>
      <p className="soft">
        {lessonLine(sheet)} · {Math.round(sheet.minutes)} minutes
      </p>
      {start.map(({ code }) => (
        <p key={code} className="caution-line">
          {CAUTION_WORDS[code]}
        </p>
      ))}
      {story && <p>{story}</p>}
      {notes && (
        <p className="small-print">
          <strong>For helpers:</strong> {notes}
        </p>
      )}
      <div className="card-sections">
        {sections.map((steps, i) => (
          <section key={steps[0]!.id} className="card-section">
            <div className="card-picture">
              <SectionBoard sheet={sheet} steps={steps} first={firsts[i]!} />
              {i === 0 && <Behind sheet={sheet} />}
            </div>
            <ol className="printed-steps" start={firsts[i]! + 1}>
              {steps.map((step) => (
                <PrintedStep key={step.id} step={step} sheet={sheet} known={knownBefore(sheet, step)} />
              ))}
            </ol>
          </section>
        ))}
      </div>
    </article>
  );
}

/** Whether a step before this one says the very same besides its title: on paper once is enough. */
function knownBefore(sheet: Sheet, step: Step): boolean {
  const { detail } = stepWords(step, sheet);
  const before = sheet.steps.slice(0, sheet.steps.indexOf(step));
  return !isStop(step) && before.some((one) => stepWords(one, sheet).detail === detail);
}

function PrintedStep({ step, sheet, known }: { step: Step; sheet: Sheet; known: boolean }) {
  const words = stepWords(step, sheet);
  return (
    <li className={isStop(step) ? 'gate' : undefined}>
      <strong>{words.title}</strong>
      {words.cue && <p className="cue">{words.cue}</p>}
      {!known && <p>{words.detail}</p>}
      {cautionsAt(step, sheet.cautions, sheet.steps).map(({ code }) => (
        <p key={code} className="caution-line">
          {CAUTION_WORDS[code]}
        </p>
      ))}
    </li>
  );
}

/** The copper side of a soldered board, or the faces of a cell. */
function Behind({ sheet }: { sheet: Sheet }) {
  const far = farSideOf(sheet.plan, sheet.supply);
  return far ? (
    <figure>
      <figcaption className="small-print">Above: the side of the parts. Below: {far}.</figcaption>
      <FarSide plan={sheet.plan} supply={sheet.supply} held={sheet.build.held} />
    </figure>
  ) : null;
}

import { cautionsAt, isStop, type Sheet } from '@/core';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';

interface Props {
  readonly sheet: Sheet;
  readonly at: number;
  onAt(at: number): void;
}

/** The card in order: what is done already, the step that comes now in full, and the tests where they fall. */
export function StepList({ sheet, at, onAt }: Props) {
  return (
    <ol className="steps">
      {sheet.steps.map((step, i) => {
        const words = stepWords(step, sheet);
        const gate = isStop(step) || step.action === 'inspect';
        const now = i === at;
        return (
          <li
            key={step.id}
            className={
              [gate && 'gate', now && 'now', i < at && 'done'].filter(Boolean).join(' ') || undefined
            }
          >
            <button
              type="button"
              className="step-line"
              aria-current={now ? 'step' : undefined}
              aria-expanded={now}
              onClick={() => onAt(i)}
            >
              <span className="step-number">{i < at ? '✓' : i + 1}</span> {words.title}
            </button>
            {(now || gate) && (
              <div className="step-words">
                {words.cue && now && <p className="cue">{words.cue}</p>}
                <p>{words.detail}</p>
                {now && <p className="small-print">Why: {words.why}</p>}
              </div>
            )}
            {cautionsAt(step, sheet.cautions, sheet.steps).map(({ code }) => (
              <p key={code} className="caution-line">
                {CAUTION_WORDS[code]}
              </p>
            ))}
          </li>
        );
      })}
    </ol>
  );
}

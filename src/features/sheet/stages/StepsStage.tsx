import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { cautionsAt, type Sheet } from '@/core';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';

/** The build card in order; ticking is for whoever builds the sample, and is not kept. */
export function StepsStage({
  sheet,
  printHref,
  onRing,
}: {
  sheet: Sheet;
  printHref: string;
  onRing: (part: string) => void;
}) {
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const tick = (id: string) => {
    const next = new Set(done);
    if (!next.delete(id)) next.add(id);
    setDone(next);
  };
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>Build card: {Math.round(sheet.minutes)} minutes</h2>
        <a className="btn btn-quiet btn-sm no-print" href={printHref} target="_blank" rel="noreferrer">
          Print the card
        </a>
      </div>
      <ol className="steps">
        {sheet.steps.map((step) => {
          const words = stepWords(step, sheet);
          return (
            <li key={step.id} className={step.action === 'gate' ? 'gate' : undefined}>
              <Form.Check
                id={`step-${step.id}`}
                checked={done.has(step.id)}
                onChange={() => tick(step.id)}
                onFocus={() => 'part' in step && onRing(step.part)}
                label={<strong>{words.title}</strong>}
              />
              {words.cue && <p className="cue">{words.cue}</p>}
              <p>{words.detail}</p>
              <p className="small-print">Why: {words.why}</p>
              {cautionsAt(step, sheet.cautions, sheet.steps).map(({ code }) => (
                <p key={code} className="caution-line">
                  {CAUTION_WORDS[code]}
                </p>
              ))}
            </li>
          );
        })}
      </ol>
    </section>
  );
}

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { cautionsAt, type Sheet } from '@/core';
import { CAUTION_WORDS } from '@/messages/cautions';
import { stepWords } from '@/messages/steps';

/** The card in order; ticking is for whoever builds the sample, and is not kept. */
export function StepList({ sheet, onRing }: { sheet: Sheet; onRing: (part: string) => void }) {
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  const tick = (id: string) => {
    const next = new Set(done);
    if (!next.delete(id)) next.add(id);
    setDone(next);
  };
  return (
    <ol className="steps">
      {sheet.steps.map((step) => {
        const words = stepWords(step, sheet);
        const gate = step.action === 'gate' || step.action === 'block-gate' || step.action === 'inspect';
        return (
          <li key={step.id} className={gate ? 'gate' : undefined}>
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
  );
}

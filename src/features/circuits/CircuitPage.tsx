'use client';

import Button from 'react-bootstrap/Button';
import { circuitFile, type Circuit } from '@/core';
import { HARBOUR_CIRCUITS } from '@/demo/circuits';
import { sentence } from '@/messages/findings';
import { saveAs, slug } from '@/ui/download';
import { StayButton } from '@/ui/StayButton';
import { Note } from '@/ui/Note';
import { AtRest } from './AtRest';
import { DrawnCircuit } from './DrawnCircuit';
import { OneVaried } from './OneVaried';
import { OverTime } from './OverTime';
import { PartToPart } from './PartToPart';
import { Questions } from './Questions';
import { harbourCircuit, useCircuit } from './useCircuit';
import './circuits.css';

/** Any circuit worked out from end to end: at rest, over time, varied, and from part to part. */
export function CircuitPage() {
  const { opened, refusals, show, openText, undo } = useCircuit();
  const { circuit, seconds, opening } = opened;
  const change = (next: Circuit) => show({ ...opened, circuit: next });
  return (
    <div className="page">
      <div className="page-head">
        <div>
          <p className="soft mb-0">Circuit</p>
          <h1>{circuit.title || 'untitled'}</h1>
        </div>
        <div className="button-row no-print">
          <label>
            <span className="form-label">From the harbour</span>
            <select
              className="form-select form-select-sm"
              value={HARBOUR_CIRCUITS.some((c) => c.title === circuit.title) ? circuit.title : ''}
              onChange={(event) => show(harbourCircuit(event.target.value))}
            >
              <option value="" disabled>
                – of a file –
              </option>
              {HARBOUR_CIRCUITS.map(({ title }) => (
                <option key={title}>{title}</option>
              ))}
            </select>
          </label>
          <label>
            <span className="form-label">From a circuit file</span>
            <input
              type="file"
              className="form-control form-control-sm"
              accept=".json,application/json"
              onChange={(event) => {
                const file = event.target.files?.[0];
                event.target.value = '';
                void file?.text().then(openText);
              }}
            />
          </label>
          <StayButton size="sm" act={undo}>
            Undo
          </StayButton>
          <Button
            variant="quiet"
            size="sm"
            onClick={() =>
              saveAs(
                `${slug(circuit.title)}.json`,
                'application/json',
                JSON.stringify(circuitFile(circuit), null, 2),
              )
            }
          >
            Save as a file
          </Button>
        </div>
      </div>
      {refusals.map((finding, i) => (
        <Note key={i} kind="refusal" live>
          {sentence(finding)} The circuit below stays as it was.
        </Note>
      ))}
      <DrawnCircuit key={`${opening} drawn`} circuit={circuit} />
      <div className="circuit-columns">
        <div>
          <AtRest key={`${opening} at rest`} circuit={circuit} onChange={change} />
          <OneVaried key={`${opening} varied`} circuit={circuit} />
        </div>
        <div>
          <OverTime key={`${opening} over time`} circuit={circuit} seconds={seconds} />
          <PartToPart key={`${opening} part to part`} circuit={circuit} />
        </div>
      </div>
      <Questions key={`${opening} questions`} circuit={circuit} />
    </div>
  );
}

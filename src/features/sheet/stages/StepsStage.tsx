import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { type Sheet } from '@/core';
import { cardJson, cardMarkdown } from '@/messages/card';
import { solderWords } from '@/messages/soldering';
import { saveAs, slug } from '@/ui/download';
import { OneStep } from '../steps/OneStep';
import { StepList } from '../steps/StepList';

interface Props {
  readonly sheet: Sheet;
  readonly title: string;
  readonly printHref: string;
  onRing(part: string): void;
}

/** The build card: all of it in order, or one step at a time for the bench; printed, large, or as a file. */
export function StepsStage({ sheet, title, printHref, onRing }: Props) {
  const [single, setSingle] = useState(false);
  const name =
    sheet.soldering.joints > 0
      ? 'Solder card'
      : sheet.steps.some((s) => s.action === 'lay-tape')
        ? 'Craft card'
        : 'Build card';
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>
          {name}: {Math.round(sheet.minutes)} minutes
        </h2>
        <Button variant="quiet" size="sm" className="no-print" onClick={() => setSingle(!single)}>
          {single ? 'All steps' : 'One step at a time'}
        </Button>
      </div>
      {sheet.soldering.joints > 0 && <p className="small-print pt-2">{solderWords(sheet.soldering)}.</p>}
      {single ? <OneStep sheet={sheet} title={title} /> : <StepList sheet={sheet} onRing={onRing} />}
      <div className="button-row no-print">
        <a className="btn btn-quiet btn-sm" href={printHref} target="_blank" rel="noreferrer">
          Print the card
        </a>
        <a className="btn btn-quiet btn-sm" href={`${printHref}?size=large`} target="_blank" rel="noreferrer">
          In large print
        </a>
        <Button
          variant="quiet"
          size="sm"
          onClick={() => saveAs(`${slug(title)}-card.md`, 'text/markdown', cardMarkdown(title, sheet))}
        >
          Save as Markdown
        </Button>
        <Button
          variant="quiet"
          size="sm"
          onClick={() => saveAs(`${slug(title)}-card.json`, 'application/json', cardJson(title, sheet))}
        >
          Save as JSON
        </Button>
      </div>
    </section>
  );
}

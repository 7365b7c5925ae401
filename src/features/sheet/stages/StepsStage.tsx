import Button from 'react-bootstrap/Button';
import { type Sheet } from '@/core';
import { cardJson, cardMarkdown } from '@/messages/card';
import { solderWords } from '@/messages/soldering';
import { saveAs, slug } from '@/ui/download';
import { StepList } from '../steps/StepList';

interface Props {
  readonly sheet: Sheet;
  readonly title: string;
  readonly printHref: string;
  readonly at: number;
  onAt(at: number): void;
  onSingle(): void;
}

/** The build card beside its board: all of it in order, one step at a time for the bench; printed, or as a file. */
export function StepsStage({ sheet, title, printHref, at, onAt, onSingle }: Props) {
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
        <Button variant="quiet" size="sm" className="no-print" onClick={onSingle}>
          One step at a time
        </Button>
      </div>
      {sheet.soldering.joints > 0 && <p className="small-print pt-2">{solderWords(sheet.soldering)}.</p>}
      <StepList sheet={sheet} at={at} onAt={onAt} />
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

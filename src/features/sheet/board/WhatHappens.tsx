import Button from 'react-bootstrap/Button';
import { formatQuantity, type AsBuilt, type Sheet } from '@/core';
import { sentence } from '@/messages/findings';
import { goalWords } from '@/messages/goals';
import { namesIn, type Naming } from '@/messages/names';
import { StatusMark } from '@/ui/StatusMark';
import type { Trial } from '../useTrial';
import { Moved } from './Moved';

interface Props {
  readonly sheet: Sheet;
  readonly trial: Trial;
}

/** What the board as it stands would do, and the way back to the one that works. */
export function WhatHappens({ sheet, trial }: Props) {
  const built = trial.standing?.built;
  return (
    <>
      <Moved plan={trial.plan} said={built ? verdictOn(built, sheet).said : ''} />
      {built ? <Verdict {...{ sheet, trial, built }} /> : <p className="small-print">Reading the board…</p>}
    </>
  );
}

function Verdict({ sheet, trial, built }: Props & { built: AsBuilt }) {
  const { refusal, isTrial } = trial;
  const name = namesIn(sheet.circuit, trial.plan);
  const { status, said, missed } = verdictOn(built, sheet);
  return (
    <div className="what-happens">
      {refusal && (
        <p className="off-text" role="alert">
          {sentence(refusal, name)}
        </p>
      )}
      <div className="verdict-line">
        <StatusMark status={status} size={13} />
        <div>
          <strong>{said}</strong> {sheet.shows ? 'Each lamp at its own tone: ' : ''}
          {happening(built, name)}
          {missed.length > 0 && ` Not met: ${missed.map((goal) => goalWords(goal, sheet.supply)).join(' ')}`}
          {!isTrial && <span className="small-print"> Pick up a part to see what a mistake would do.</span>}
          {isTrial && status !== 'right' && (
            <span className="small-print"> Steps and checks stay with the plan that works.</span>
          )}
        </div>
      </div>
      {isTrial && (
        <Button variant="quiet" size="sm" onClick={trial.putBack}>
          Put it back
        </Button>
      )}
    </div>
  );
}

/** What is said of a board first: as planned, and whether that is right. */
function verdictOn(built: AsBuilt, { goals }: Sheet) {
  if (!built.asWanted) return { status: 'off', said: 'Not as planned.', missed: [] } as const;
  // The right circuit for a wish that it cannot meet is not right.
  const missed = goals.filter(({ met, code }) => !met && code !== 'board-makes-it');
  // A lesson may want what is warned of: lamps that stay dark are the point of some.
  const warned = built.findings.some((found) => found.severity !== 'note');
  return warned || missed.length > 0
    ? ({ status: 'close', said: 'As planned, but look:', missed } as const)
    : ({ status: 'right', said: 'Right.', missed } as const);
}

/** So many lamps are told of one by one. */
const TOLD_MOST = 3;

/** What happens, in sentences; lamps that all do well are told of together. */
function happening({ findings, lamps }: AsBuilt, name: Naming): string {
  const glowing = findings.filter(({ code }) => code === 'lamp-glow');
  const told = glowing.length > TOLD_MOST ? findings.filter((f) => !glowing.includes(f)) : findings;
  const amps = lamps
    .filter(({ part }) => glowing.some((f) => 'part' in f.data && f.data.part === part))
    .map((l) => l.amps);
  const together =
    told === findings
      ? []
      : [
          `${glowing.length === lamps.length ? `All ${lamps.length}` : glowing.length} lamps are lit, with ${rangeWords(amps)} each.`,
        ];
  return [...told.map((f) => sentence(f, name)), ...together].join(' ');
}

function rangeWords(amps: readonly number[]): string {
  const [low, high] = [formatQuantity(Math.min(...amps), 'A'), formatQuantity(Math.max(...amps), 'A')];
  return low === high ? low : `${low} to ${high}`;
}

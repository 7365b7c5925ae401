'use client';

import { useState, type KeyboardEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  accepted,
  bodiesOf,
  formatQuantity,
  choiceOf,
  moveLeg,
  shifted as shiftedHole,
  shiftPart,
  standInFor,
  swapParts,
  takeAway,
  turnPart,
  type AsBuilt,
  type Finding,
  type Sheet,
} from '@/core';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { viewOf, type View } from '@/features/plan/geometry';
import { useBoardDrag } from '@/features/plan/useBoardDrag';
import { sentence } from '@/messages/findings';
import { BOARD_SHORT, capital, checkpointName, partName } from '@/messages/names';
import { StatusMark } from '@/ui/StatusMark';
import type { Trial } from './useTrial';

interface Props {
  readonly sheet: Sheet;
  readonly trial: Trial;
  readonly picked: string | undefined;
  onPick(part: string | undefined): void;
}

/** The board as it stands, in view at every stage: parts can be picked up, moved, turned and replaced. */
export function BoardPanel({ sheet, trial, picked, onPick }: Props) {
  const plan = trial.plan ?? sheet.plan;
  const view = viewOf(plan, sheet.build.held);
  const svg = useBoardDrag({
    plan,
    view,
    onPick,
    onHover: (moved) => trial.edit(moved, true),
    onDrop: trial.drop,
  });
  const [turned, setTurned] = useState(false);
  const far = farSideOf(plan, sheet.supply);
  const act = actionsFor(trial, plan);
  const key = (part: string, event: KeyboardEvent) => {
    const leg = event.shiftKey;
    const step = stepFor(event.key, view);
    if (step && leg) act.nudgeLeg(part, step[0]!, step[1]!);
    else if (step) trial.edit(shiftPart(plan, part, step[0]!, step[1]!));
    else if (event.key === 't') act.turn(part);
    else if (event.key === 'w') act.wire(part);
    else if (event.key === 'Delete') trial.edit(accepted(takeAway(plan, part)));
    else if (event.key === 'Escape') trial.putBack();
    else return;
    event.preventDefault();
  };
  return (
    <aside className="board-panel" aria-label="As it stands on the board">
      <div className="ruled-head">
        <h2>As it stands on the board</h2>
        <span className="tag">{BOARD_SHORT[choiceOf(plan.board)]}</span>
      </div>
      {far && (
        <div className="turn-over">
          <span className="small-print">
            {turned ? `${capital(far)}.` : 'Seen from the side of the parts.'}
          </span>
          <Button variant="quiet" size="sm" aria-pressed={turned} onClick={() => setTurned(!turned)}>
            Turn it over
          </Button>
        </div>
      )}
      {far && turned ? (
        <FarSide plan={plan} supply={sheet.supply} held={sheet.build.held} />
      ) : (
        <BoardDrawing
          plan={plan}
          circuit={sheet.circuit}
          sorts={sheet.sorts}
          supply={sheet.supply}
          held={sheet.build.held}
          title="The plan on the board"
          picked={picked}
          onPick={onPick}
          onKey={key}
          svgRef={svg}
        />
      )}
      {picked && (
        <PickedTools
          part={picked}
          act={act}
          isWire={isWire(plan, picked)}
          alike={likePieces(plan, sheet, picked)}
          onSwap={(other) => trial.edit(swapParts(plan, picked, other))}
        />
      )}
      <WhatHappens built={trial.built} refusal={trial.refusal} isTrial={trial.isTrial} />
      {trial.isTrial && (
        <Button variant="quiet" size="sm" onClick={trial.putBack}>
          Put it back
        </Button>
      )}
      <ReadingsNow sheet={sheet} built={trial.built} />
    </aside>
  );
}

/** Which way an arrow key moves a part: the board may be held flat. */
function stepFor(key: string, view: View): readonly [number, number] | undefined {
  const steps = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] } as const;
  const step = key in steps ? steps[key as keyof typeof steps] : undefined;
  if (!step || view === 'plain') return step;
  return view === 'flat' ? [step[1], -step[0]] : [step[1], step[0]];
}

function isWire(plan: Sheet['plan'], part: string): boolean {
  return plan.placements.find((p) => p.part === part)?.standIn?.kind === 'wire';
}

/** Pieces of the same kind, that may change places with one. */
function likePieces(plan: Sheet['plan'], sheet: Sheet, part: string): string[] {
  const kindOf = (id: string) => bodiesOf(sheet.circuit).find((body) => body.id === id)?.kind;
  const kind = kindOf(part);
  return plan.placements.flatMap((p) => (kind && p.part !== part && kindOf(p.part) === kind ? [p.part] : []));
}

function actionsFor(trial: Trial, plan: Sheet['plan']) {
  return {
    turn: (part: string) => trial.edit(turnPart(plan, part)),
    shift: (part: string, rows: number, columns: number) => trial.edit(shiftPart(plan, part, rows, columns)),
    nudgeLeg: (part: string, rows: number, columns = 0) => {
      const legs = plan.placements.find((p) => p.part === part)?.legs ?? {};
      const [pin, hole] = Object.entries(legs).slice(-1)[0] ?? [];
      if (pin && hole) trial.edit(moveLeg(plan, part, pin, shiftedHole(plan, hole, rows, columns)));
    },
    wire: (part: string) =>
      trial.edit(accepted(standInFor(plan, part, isWire(plan, part) ? undefined : { kind: 'wire' }))),
  };
}

function PickedTools({
  part,
  act,
  isWire: wired,
  alike,
  onSwap,
}: {
  part: string;
  act: ReturnType<typeof actionsFor>;
  isWire: boolean;
  alike: readonly string[];
  onSwap: (other: string) => void;
}) {
  const canReplace = /^[RD]/u.test(part);
  return (
    <div className="picked-tools" role="group" aria-label={`With ${partName(part)}`}>
      <span className="small-print">{capital(partName(part))}:</span>
      <Button variant="quiet" size="sm" onClick={() => act.shift(part, -1, 0)}>
        row up
      </Button>
      <Button variant="quiet" size="sm" onClick={() => act.shift(part, 1, 0)}>
        row down
      </Button>
      <Button variant="quiet" size="sm" onClick={() => act.turn(part)}>
        turn round
      </Button>
      <Button variant="quiet" size="sm" onClick={() => act.nudgeLeg(part, 1)}>
        second leg a row on
      </Button>
      {canReplace && (
        <Button variant="quiet" size="sm" onClick={() => act.wire(part)}>
          {wired ? 'part back in' : 'wire instead'}
        </Button>
      )}
      {alike.length > 0 && (
        <Form.Select
          size="sm"
          className="w-auto"
          aria-label={`Swap ${part} with`}
          value=""
          onChange={(event) => onSwap(event.target.value)}
        >
          <option value="">swap with…</option>
          {alike.map((other) => (
            <option key={other}>{other}</option>
          ))}
        </Form.Select>
      )}
    </div>
  );
}

function WhatHappens({
  built,
  refusal,
  isTrial,
}: {
  built: AsBuilt | undefined;
  refusal: Finding | undefined;
  isTrial: boolean;
}) {
  if (!built) return <p className="small-print">Reading the board…</p>;
  const warned = built.findings.some((f) => f.severity !== 'note');
  const bad = warned || !built.asWanted;
  // A lesson may want what is warned of: lamps that stay dark are the point of some.
  const said = !built.asWanted ? 'Not as planned.' : warned ? 'As planned, but look:' : 'Right.';
  return (
    <div className="what-happens" role="status">
      {refusal && <p className="off-text">{sentence(refusal)}</p>}
      <div className="verdict-line">
        <StatusMark status={!built.asWanted ? 'off' : warned ? 'close' : 'right'} size={13} />
        <div>
          <strong>{said}</strong> {happening(built)}
          {!isTrial && <span className="small-print"> Pick up a part to see what a mistake would do.</span>}
          {isTrial && bad && (
            <span className="small-print"> Steps and checks stay with the plan that works.</span>
          )}
        </div>
      </div>
    </div>
  );
}

/** So many lamps are told of one by one. */
const TOLD_MOST = 3;

/** What happens, in sentences; lamps that all do well are told of together. */
function happening({ findings, lamps }: AsBuilt): string {
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
  return [...told.map(sentence).map(capital), ...together].join(' ');
}

function rangeWords(amps: readonly number[]): string {
  const [low, high] = [formatQuantity(Math.min(...amps), 'A'), formatQuantity(Math.max(...amps), 'A')];
  return low === high ? low : `${low} to ${high}`;
}

/** What a meter would show at each checkpoint of the board as it stands, beside the band of a right build. */
function ReadingsNow({ sheet, built }: { sheet: Sheet; built: AsBuilt | undefined }) {
  const solved = built?.solved;
  return (
    <table className="table readings-now">
      <caption className="visually-hidden">What the meter would read</caption>
      <tbody>
        {sheet.expected.points.map((point) => {
          const checkpoint = sheet.checkpoints.find((c) => c.id === point.id)!;
          const part = solved?.parts[checkpoint.part];
          const figure = part && (checkpoint.measure === 'volts' ? part.volts : Math.abs(part.amps));
          return (
            <tr key={point.id}>
              <th scope="row">{point.unit === 'A' ? 'current, no meter in' : checkpointName(point.id)}</th>
              <td className="amount">
                {figure === undefined ? '–' : formatQuantity(settled(figure), point.unit)}
              </td>
              <td className="amount soft">
                {point.unit === 'V' &&
                  `${formatQuantity(point.low, 'V')} – ${formatQuantity(point.high, 'V')}`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Below what any meter shows, a figure is nothing. */
function settled(figure: number): number {
  return Math.abs(figure) < 1e-7 ? 0 : figure;
}

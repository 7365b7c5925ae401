'use client';

import { useState, type KeyboardEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  accepted,
  moveLeg,
  shifted as shiftedHole,
  shiftPart,
  standInFor,
  swapParts,
  takeAway,
  turnPart,
  type Instant,
  type Plan,
  type Sheet,
} from '@/core';
import { BoardDrawing } from '@/features/plan/BoardDrawing';
import { FarSide, farSideOf } from '@/features/plan/FarSide';
import { viewOf, type View } from '@/features/plan/geometry';
import { useBoardDrag } from '@/features/plan/useBoardDrag';
import { capital } from '@/messages/grammar';
import { kindIn, thingName } from '@/messages/names';
import type { Trial } from '../useTrial';

export interface BoardProps {
  readonly sheet: Sheet;
  /** Its bands are of few draws. */
  readonly rough: boolean;
  readonly trial: Trial;
  readonly picked: string | undefined;
  /** Lamps shine as they do at this instant of a lesson that moves. */
  readonly instant?: Instant | undefined;
  onPick(part: string | undefined): void;
}

/** The board as it stands: parts can be picked up, moved, turned and replaced; soldered ones turn over. */
export function BoardWork({ sheet, trial, picked, instant, onPick }: BoardProps) {
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
    if (step && leg) act.nudgeLeg(part, step[0], step[1]);
    else if (step) trial.edit(shiftPart(plan, part, step[0], step[1]));
    else if (event.key === 't') act.turn(part);
    else if (event.key === 'w') act.wire(part);
    else if (event.key === 'Delete') trial.edit(accepted(takeAway(plan, part)));
    else if (event.key === 'Escape') trial.putBack();
    else return;
    event.preventDefault();
  };
  return (
    <>
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
          orientation={sheet.build.held}
          title="The plan on the board"
          glowing={glowingAt(instant)}
          picked={picked}
          onPick={onPick}
          onKey={key}
          svgRef={svg}
        />
      )}
      {picked && plan.placements.some(({ part }) => part === picked) && (
        <PickedTools
          part={picked}
          plan={plan}
          sheet={sheet}
          act={act}
          onSwap={(other) => trial.edit(swapParts(plan, picked, other))}
        />
      )}
    </>
  );
}

/** Lamps that shine at an instant. */
function glowingAt(instant: Instant | undefined): ReadonlySet<string> | undefined {
  return instant && new Set(instant.lamps.filter(({ look }) => look !== 'dark').map(({ part }) => part));
}

/** Which way an arrow key moves a part: the board may be held flat. */
function stepFor(key: string, view: View): readonly [number, number] | undefined {
  const steps = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] } as const;
  const step = key in steps ? steps[key as keyof typeof steps] : undefined;
  if (!step || view === 'plain') return step;
  return view === 'flat' ? [step[1], -step[0]] : [step[1], step[0]];
}

function isWire(plan: Plan, part: string): boolean {
  return plan.placements.find((p) => p.part === part)?.standIn?.kind === 'wire';
}

function actionsFor(trial: Trial, plan: Plan) {
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
  plan,
  sheet,
  act,
  onSwap,
}: {
  part: string;
  plan: Plan;
  sheet: Sheet;
  act: ReturnType<typeof actionsFor>;
  onSwap: (other: string) => void;
}) {
  const kindOf = (id: string) => kindIn(sheet.circuit, id, plan);
  const kind = kindOf(part);
  const name = thingName(kind, part);
  const alike = plan.placements.flatMap((p) => (p.part !== part && kindOf(p.part) === kind ? [p.part] : []));
  return (
    <div className="picked-tools" role="group" aria-label={`With ${name}`}>
      <span className="small-print">{capital(name)}:</span>
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
      {(kind === 'resistor' || kind === 'led') && (
        <Button variant="quiet" size="sm" onClick={() => act.wire(part)}>
          {isWire(plan, part) ? 'part back in' : 'wire instead'}
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

import Button from 'react-bootstrap/Button';
import {
  accepted,
  choiceOf,
  moveLeg,
  recolour,
  partOf,
  standInFor,
  takeAway,
  turnPart,
  valuesOf,
  JUMPER_COLOURS,
  type HouseStyle,
  type JumperColour,
  type PatternChoice,
  type Placement,
  type Plan,
  type Shelf,
  type Sheet,
  type ThingKind,
} from '@/core';
import Form from 'react-bootstrap/Form';
import { capital } from '@/messages/grammar';
import { BOARD_SHORT, kindIn, legName, namesIn, thingName } from '@/messages/names';
import { saveSvg } from '@/features/plan/saveSvg';
import { slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import { AddPiece } from '../plan/AddPiece';
import { BoardWords } from '../plan/BoardWords';
import { HoleField } from '../plan/HoleField';
import { Missing } from '../plan/Missing';
import { StandInChoice } from '../plan/StandInChoice';
import type { Trial } from '../useTrial';

interface Props {
  readonly sheet: Sheet;
  readonly trial: Trial;
  readonly shelf: Shelf;
  readonly style: HouseStyle;
  readonly title: string;
  /** The plan that was arranged by hand, on whichever board. */
  readonly kept: Plan | null;
  readonly choice: PatternChoice;
  onPick(part: string): void;
  onLayOut(): void;
  onChoice(choice: PatternChoice): void;
}

/** Which board, the wiring list with every leg's hole to be typed over, and the circuit diagram. */
export function PlanStage(props: Props) {
  const { sheet, trial, shelf, style, title, kept, choice, onPick, onLayOut, onChoice } = props;
  const plan = trial.plan ?? sheet.plan;
  const values = valuesOf(shelf, style.values);
  return (
    <>
      <BoardWords {...{ sheet, choice, style, onChoice }} />
      {kept && choiceOf(kept.board) !== sheet.build.board && (
        <Note>
          What was arranged by hand on the {BOARD_SHORT[choiceOf(kept.board)]} is laid aside. Choose that
          board again, or undo, to have it back.
        </Note>
      )}
      <section className="ruled">
        <h2>Wiring list</h2>
        <table className="table">
          <thead>
            <tr>
              <th scope="col">piece</th>
              <th scope="col">legs and holes</th>
              <th scope="col">try instead</th>
              <th scope="col">
                <span className="visually-hidden">turn</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.placements.map((placement) => (
              <PieceRow
                key={placement.part}
                placement={placement}
                plan={plan}
                trial={trial}
                sheet={sheet}
                values={values}
                onPick={onPick}
              />
            ))}
          </tbody>
        </table>
        <Missing plan={plan} sheet={sheet} trial={trial} />
        <AddPiece plan={plan} trial={trial} values={values} />
        <p className="small-print mt-2">
          Type another hole (c8, L+3 for the left + rail) or pick the piece up on the board: arrow keys move
          it, Shift with an arrow moves its second leg, t turns it, w puts a wire in its place, Delete takes a
          piece away, Escape puts it back. A plan that still makes this circuit is kept, and what was moved by
          hand stays where it is when the rest is laid out again; one that does not only shows what would
          happen.
        </p>
      </section>
      <div className="button-row">
        <Button variant="quiet" onClick={() => savePlan(title)}>
          Save the plan as SVG
        </Button>
        <Button variant="quiet" disabled={!sheet.planKept && !trial.isTrial} onClick={onLayOut}>
          Lay it out again
        </Button>
      </div>
    </>
  );
}

function savePlan(title: string): void {
  saveSvg(document.querySelector<SVGSVGElement>('.big-board svg.board'), `${slug(title)}-plan`);
}

interface RowProps {
  readonly placement: Placement;
  readonly plan: Plan;
  readonly trial: Trial;
  readonly sheet: Sheet;
  readonly values: readonly number[];
  onPick(part: string): void;
}

/** Legs of one name are told apart by number, for those who hear it. */
function legNamed(
  kind: ThingKind | undefined,
  pin: string,
  i: number,
  legs: Readonly<Record<string, string>>,
): string {
  const name = legName(kind, pin);
  const alike = Object.keys(legs).filter((other) => legName(kind, other) === name);
  return alike.length > 1 ? `${name} ${i + 1}` : name;
}

function PieceRow({ placement, plan, trial, sheet, values, onPick }: RowProps) {
  const { part } = placement;
  const kind = kindIn(sheet.circuit, part, plan);
  const own = partOf(sheet.circuit, part);
  const name = own?.kind === 'switch' ? namesIn(sheet.circuit)(part) : thingName(kind, part);
  return (
    <tr onFocus={() => onPick(part)}>
      <th scope="row">{capital(name.replace(/^the /u, ''))}</th>
      <td>
        <div className="leg-list">
          {Object.entries(placement.legs).map(([pin, hole], i) => (
            <HoleField
              key={pin}
              label={`${part} ${legNamed(kind, pin, i, placement.legs)}`}
              leg={legName(kind, pin)}
              hole={hole}
              onHole={(to) => trial.edit(moveLeg(plan, part, pin, to))}
            />
          ))}
        </div>
      </td>
      <td>
        {placement.kind === 'part' ? (
          <StandInChoice
            placement={placement}
            sheet={sheet}
            values={values}
            onChoose={(standIn) => trial.edit(accepted(standInFor(plan, part, standIn)))}
          />
        ) : (
          <Form.Select
            size="sm"
            aria-label={`Colour of ${part}`}
            value={placement.colour ?? 'green'}
            onChange={(event) =>
              trial.edit(accepted(recolour(plan, part, event.target.value as JumperColour)))
            }
          >
            {JUMPER_COLOURS.map((colour) => (
              <option key={colour}>{colour}</option>
            ))}
          </Form.Select>
        )}
      </td>
      <td className="amount">
        {placement.kind === 'part' && (
          <Button variant="text" className="btn-text" onClick={() => trial.edit(turnPart(plan, part))}>
            turn round
          </Button>
        )}{' '}
        <Button
          variant="text"
          className="btn-text"
          aria-label={`Take ${part} away`}
          onClick={({ currentTarget }) => {
            // Whoever goes by keys goes on at the next row.
            const row = currentTarget.closest('tr');
            const next = row?.nextElementSibling ?? row?.previousElementSibling;
            next?.querySelector<HTMLElement>('td:last-child button:last-child')?.focus();
            trial.edit(accepted(takeAway(plan, part)));
          }}
        >
          take away
        </Button>
      </td>
    </tr>
  );
}

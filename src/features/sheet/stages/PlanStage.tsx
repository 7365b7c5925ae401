import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  accepted,
  moveLeg,
  standInFor,
  turnPart,
  valuesOf,
  neighbours,
  LAMP_TYPES,
  type HouseStyle,
  type LampType,
  type Placement,
  type Plan,
  type Shelf,
  type Sheet,
  formatOhms,
} from '@/core';
import { LoopDiagram } from '@/features/plan/LoopDiagram';
import { holeName } from '@/messages/findings';
import { capital, lampName, legName, partName } from '@/messages/names';
import { saveAs, slug } from '@/ui/download';
import type { Trial } from '../useTrial';

interface Props {
  readonly sheet: Sheet;
  readonly trial: Trial;
  readonly shelf: Shelf;
  readonly style: HouseStyle;
  readonly title: string;
  readonly kept: boolean;
  onPick(part: string): void;
  onLayOut(): void;
}

/** The wiring list: every leg with its hole, to be typed over; what could stand in a part's place; the plan as a file. */
export function PlanStage({ sheet, trial, shelf, style, title, kept, onPick, onLayOut }: Props) {
  const plan = trial.plan ?? sheet.plan;
  const values = valuesOf(shelf, style.values);
  return (
    <>
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
        <p className="small-print mt-2">
          Type another hole (c8, L+3 for the left + rail) or pick the piece up on the board: arrow keys move
          it, Shift with an arrow moves its second leg, t turns it, w puts a wire in its place, Escape puts it
          back. A plan that still makes this circuit is kept; one that does not only shows what would happen.
        </p>
      </section>
      <section className="ruled">
        <h2>Circuit diagram</h2>
        <LoopDiagram sheet={sheet} />
      </section>
      <div className="button-row">
        <Button variant="quiet" onClick={() => savePlan(title)}>
          Save the plan as SVG
        </Button>
        <Button variant="quiet" disabled={!kept && !trial.isTrial} onClick={onLayOut}>
          Lay it out again
        </Button>
      </div>
    </>
  );
}

function savePlan(title: string): void {
  const svg = document.querySelector('.board-panel svg.board');
  if (!svg) return;
  const copy = svg.cloneNode(true) as SVGSVGElement;
  for (const node of copy.querySelectorAll('[tabindex]')) {
    node.removeAttribute('tabindex');
    node.removeAttribute('role');
  }
  saveAs(`${slug(title)}-plan.svg`, 'image/svg+xml', new XMLSerializer().serializeToString(copy));
}

interface RowProps {
  readonly placement: Placement;
  readonly plan: Plan;
  readonly trial: Trial;
  readonly sheet: Sheet;
  readonly values: readonly number[];
  onPick(part: string): void;
}

function PieceRow({ placement, plan, trial, sheet, values, onPick }: RowProps) {
  const { part } = placement;
  return (
    <tr onFocus={() => onPick(part)}>
      <th scope="row">{capital(partName(part)).replace(/^The /u, '')}</th>
      <td>
        <div className="leg-list">
          {Object.entries(placement.legs).map(([pin, hole]) => (
            <HoleField
              key={pin}
              label={`${part} ${legName(part, pin)}`}
              leg={legName(part, pin)}
              hole={hole}
              onHole={(to) => trial.edit(moveLeg(plan, part, pin, to))}
            />
          ))}
        </div>
      </td>
      <td>
        <StandInChoice
          placement={placement}
          sheet={sheet}
          values={values}
          onChoose={(standIn) => trial.edit(accepted(standInFor(plan, part, standIn)))}
        />
      </td>
      <td className="amount">
        {placement.kind === 'part' && (
          <Button variant="text" className="btn-text" onClick={() => trial.edit(turnPart(plan, part))}>
            turn round
          </Button>
        )}
      </td>
    </tr>
  );
}

function HoleField({
  label,
  leg,
  hole,
  onHole,
}: {
  label: string;
  leg: string;
  hole: string;
  onHole: (hole: string) => void;
}) {
  const [typed, setTyped] = useState<string | undefined>();
  const put = () => {
    const to = (typed ?? '')
      .trim()
      .replace('−', '-')
      .replace(/^[lr]/u, (c) => c.toUpperCase());
    if (typed !== undefined && to !== hole && to !== '') onHole(to);
    setTyped(undefined);
  };
  return (
    <label className="hole-field">
      <span className="soft">{leg}</span>
      <Form.Control
        size="sm"
        aria-label={`${label}: hole`}
        title={holeName(hole)}
        value={typed ?? hole}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={put}
        onKeyDown={(event) => event.key === 'Enter' && put()}
      />
    </label>
  );
}

function StandInChoice({
  placement,
  sheet,
  values,
  onChoose,
}: {
  placement: Placement;
  sheet: Sheet;
  values: readonly number[];
  onChoose: (standIn: Placement['standIn']) => void;
}) {
  const { part, standIn } = placement;
  const { chosen, lamp } = sheet.sums;
  const others = resistorsToTry(chosen, values);
  if (!/^[RD]/u.test(part)) return null;
  const options: readonly (readonly [string, string])[] = part.startsWith('R')
    ? others.map((ohms) => [String(ohms), formatOhms(ohms)])
    : LAMP_TYPES.filter((type) => type !== lamp.type).map((type) => [type, `${lampName(type)} lamp`]);
  const value = !standIn
    ? ''
    : standIn.kind === 'wire'
      ? 'wire'
      : standIn.kind === 'led'
        ? standIn.type
        : String(standIn.ohms);
  const choose = (next: string) => {
    if (next === '') return onChoose(undefined);
    if (next === 'wire') return onChoose({ kind: 'wire' });
    onChoose(
      part.startsWith('R')
        ? { kind: 'resistor', ohms: Number(next) }
        : { kind: 'led', type: next as LampType },
    );
  };
  return (
    <Form.Select
      size="sm"
      aria-label={`In place of ${part}`}
      value={value}
      onChange={(event) => choose(event.target.value)}
    >
      <option value="">as planned</option>
      <option value="wire">a wire</option>
      {options.map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </Form.Select>
  );
}

/** The neighbours in the drawer, and the slips of a factor of ten. */
function resistorsToTry(chosen: number, values: readonly number[]): number[] {
  const { down } = neighbours(values, chosen * 0.99);
  const { up } = neighbours(values, chosen * 1.01);
  const tried = [chosen / 10, down, up, chosen * 10].filter((ohms) => ohms !== undefined && ohms !== chosen);
  return [...new Set(tried as number[])].sort((a, b) => a - b);
}

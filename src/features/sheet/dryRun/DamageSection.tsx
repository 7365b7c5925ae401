import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { formatQuantity, parseQuantity, type DryRun, type Sheet, type SheetRequest } from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import { damageWords, lampOutcomeWords, ruinWords, SOUND_WORDS, whyWords } from '@/messages/dryRun';
import { capital } from '@/messages/grammar';
import { thingName } from '@/messages/names';
import { pointName } from '@/messages/points';
import { Note } from '@/ui/Note';
import { Heads } from '@/ui/Heads';
import { askedOf } from './asked';

/** What was said beforehand: about the lamp, and about the meter where somebody ventured a figure. */
interface Said {
  readonly for: string;
  readonly change: string;
  readonly volts: number | undefined;
}

interface Question {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
}

type Asking = Question | null;
type Core = Parameters<Parameters<typeof useAsked<Asking, DryRun[] | undefined>>[2]>[0];
const ask = async (core: Core, question: Asking): Promise<DryRun[] | undefined> =>
  question ? core.dryRuns(question.sheet, question.request) : undefined;

/** One mistake made on purpose: first what one expects, then what happens, why, and what a meter would read. */
export function DamageSection({ sheet, request }: Question) {
  const { reply, of, waiting, failure } = useAsked(
    'careful',
    // Mistakes are worked out once, of the whole sheet.
    sheet.outline ? null : { sheet, request },
    ask,
  );
  const [chosen, setChosen] = useState('');
  const [said, setSaid] = useState<Said | undefined>();
  const run = reply?.find((one) => keyOf(one) === chosen);
  const told = said?.for === chosen;
  // A mistake is told of the lesson that it was worked out for, never of the one that is being typed.
  const its = of?.sheet;
  return (
    <section className="ruled">
      <h2>Damage it on purpose</h2>
      {failure && <Note kind="refusal">{failure}</Note>}
      <Form.Group controlId="damage" className="pt-3">
        <Form.Label>What goes wrong</Form.Label>
        <Form.Select value={chosen} onChange={(event) => setChosen(event.target.value)}>
          <option value="">{reply ? 'choose a mistake' : 'being worked out…'}</option>
          {byPart(reply ?? []).map(([part, runs]) => (
            <optgroup key={part} label={part}>
              {runs.map((one) => (
                <option key={keyOf(one)} value={keyOf(one)}>
                  {damageWords(one)}
                  {one.alike.length > 0 &&
                    ` (${one.alike.length} more ${one.alike.length === 1 ? 'does' : 'do'} the same)`}
                </option>
              ))}
            </optgroup>
          ))}
        </Form.Select>
      </Form.Group>
      <div className={waiting ? 'stale' : undefined} aria-busy={waiting}>
        {run && its && !told && (
          <Prediction
            key={chosen}
            run={run}
            sheet={its}
            onSay={(change, volts) => setSaid({ for: chosen, change, volts })}
          />
        )}
        {run && its && told && <Outcome run={run} said={said} sheet={its} />}
      </div>
    </section>
  );
}

/** Mistakes by the part that they are made with; those of the meter last. */
function byPart(runs: readonly DryRun[]): [string, DryRun[]][] {
  const groups = new Map<string, DryRun[]>();
  for (const run of runs) {
    const part = whereWords(run);
    groups.set(part, [...(groups.get(part) ?? []), run]);
  }
  return [...groups];
}

/** The part that a mistake is made with; what lies between the parts stands together, slips of the meter last. */
function whereWords({ code, data }: DryRun): string {
  if (data.part !== undefined) return thingName(data.kind, data.part);
  return ['cut-missing', 'bridge', 'tape-torn'].includes(code) ? 'the board' : 'the meter';
}

function keyOf({ code, data }: DryRun): string {
  return JSON.stringify([code, data]);
}

/** The checkpoint in volts at which most changes: the one to venture a figure for. */
function telling({ readings }: DryRun, sheet: Sheet) {
  const volts = readings.filter(
    ({ id }) => sheet.expected.points.find((point) => point.id === id)?.unit === 'V',
  );
  const moved = (reading: DryRun['readings'][number]) => Math.abs(reading.after - reading.before);
  return volts.reduce<(typeof volts)[number] | undefined>(
    (best, next) => (!best || moved(next) > moved(best) ? next : best),
    undefined,
  );
}

function Prediction({
  run,
  sheet,
  onSay,
}: {
  run: DryRun;
  sheet: Sheet;
  onSay: (change: string, volts: number | undefined) => void;
}) {
  const [typed, setTyped] = useState('');
  const asked = askedOf(run);
  const at = telling(run, sheet);
  const volts = parseQuantity(typed, 'V');
  if (!asked) return null;
  return (
    <div className="pt-3" role="group" aria-label="Prediction">
      <p>First say it: {asked.question}</p>
      <Form.Group controlId="expected-volts" className="pb-2" hidden={!at}>
        <Form.Label>And, if you dare, what the meter reads: {at && nameOf(at.id, sheet)}</Form.Label>
        <Form.Control
          size="sm"
          className="hole-entry"
          placeholder="volts"
          value={typed}
          isInvalid={typed !== '' && !volts.ok}
          onChange={(event) => setTyped(event.target.value)}
        />
      </Form.Group>
      <div className="button-row">
        {asked.options.map(([change, words]) => (
          <Button
            key={change}
            variant="quiet"
            size="sm"
            onClick={() => onSay(change, volts.ok ? volts.value : undefined)}
          >
            it {words}
          </Button>
        ))}
      </div>
    </div>
  );
}

function Outcome({ run, said, sheet }: { run: DryRun; said: Said; sheet: Sheet }) {
  const point = telling(run, sheet);
  const { actual } = askedOf(run)!;
  const changed = run.lamps.filter(({ change }) => change !== 'as before');
  const shown = changed.length ? changed : run.lamps.slice(0, 1);
  return (
    <div role="status">
      <p className="pt-3">
        <strong>{actual === said.change ? 'As you said.' : 'Not as you said.'}</strong>{' '}
        {run.sound &&
          `${capital(thingName('speaker', run.sound.part))} ${SOUND_WORDS[run.sound.change]}${run.sound.after > 0 ? `: ${formatQuantity(run.sound.after, 'Hz', 2)}` : ''}. `}
        {shown
          .slice(0, 6)
          .map((lamp) => lampOutcomeWords(lamp, sheet.sorts[lamp.part]))
          .join(' ')}
        {shown.length > 6 && ` So do ${shown.length - 6} more.`}
        {changed.length > 0 &&
          changed.length < run.lamps.length &&
          ` The other ${run.lamps.length - changed.length} stay as they were.`}
      </p>
      <p>
        <strong>Why:</strong> {whyWords(run)}
      </p>
      {run.alike.length > 0 && (
        <p className="small-print">
          What does and reads just the same: {run.alike.map((one) => damageWords(one)).join('; ')}.
        </p>
      )}
      {said.volts !== undefined && point && (
        <p>
          You expected {formatQuantity(said.volts, 'V')} {nameOf(point.id, sheet)}; it is{' '}
          {formatQuantity(settled(point.after), 'V')}.
        </p>
      )}
      {run.ruins.map((ruin) => (
        <Note key={ruin.part}>{ruinWords(ruin)}</Note>
      ))}
      {run.warm.map(({ part, watts }) => (
        <p key={part} className="small-print">
          {part} gets hot to touch: {formatQuantity(watts, 'W', 2)}.
        </p>
      ))}
      <table className="table mt-2">
        <Heads columns={[['the meter would read'], ['in a right build', 'amount'], ['now', 'amount']]} />
        <tbody>
          {run.readings.map(({ id, before, after }) => {
            const unit = sheet.expected.points.find((point) => point.id === id)?.unit ?? 'V';
            return (
              <tr key={id}>
                <th scope="row">{nameOf(id, sheet)}</th>
                <td className="amount soft">{formatQuantity(settled(before), unit)}</td>
                <td className="amount strong">{formatQuantity(settled(after), unit)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** A checkpoint by its name. */
function nameOf(id: string, { checkpoints }: Sheet): string {
  const point = checkpoints.find((one) => one.id === id);
  return point ? pointName(point) : id;
}

/** Below what any meter shows, a figure is nothing. */
function settled(figure: number): number {
  return Math.abs(figure) < 1e-6 ? 0 : figure;
}

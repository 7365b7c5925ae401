import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  formatOhms,
  formatQuantity,
  partOf,
  valuesOf,
  withHeld,
  type Circuit,
  type HouseStyle,
  type Outcome,
  type Sheet,
  type Shelf,
  type WhatIf,
  timingIn,
} from '@/core';
import { ZoneChart } from '@/features/charts/ZoneChart';
import { useAsked } from '@/features/asking/useAsked';
import { sentences } from '@/messages/findings';
import { BRIGHTNESS_WORDS } from '@/messages/names';
import { Note } from '@/ui/Note';

interface Question {
  readonly circuit: Circuit;
  readonly resistor: string;
  readonly lamp: string;
  readonly values: readonly number[];
}

type Core = Parameters<Parameters<typeof useAsked<Question, Outcome<WhatIf>>>[2]>[0];
const ask = (core: Core, { circuit, resistor, lamp, values }: Question): Promise<Outcome<WhatIf>> =>
  core.whatIf(circuit, resistor, lamp, values);

interface Props {
  readonly sheet: Sheet;
  readonly shelf: Shelf;
  readonly style: HouseStyle;
}

/** What if the resistor were another: the curve with its zones, and a walk down it value by value to the floor. */
export function WhatIfSection({ sheet, shelf, style }: Props) {
  // Of a build that moves, those that guard a lamp: the others set its time, and are changed in its wish.
  const guards = sheet.sums.strings.map(({ resistor: id }) => id);
  const all = sheet.circuit.parts.filter(({ kind }) => kind === 'resistor').map(({ id }) => id);
  const resistors = timingIn(sheet.sums).length > 0 ? all.filter((id) => guards.includes(id)) : all;
  const [chosen, setChosen] = useState('');
  const resistor = resistors.includes(chosen) ? chosen : resistors[0];
  // Of what follows a sound nothing can be said at rest.
  if (!resistor || sheet.sums.own.family === 'sound') return null;
  const own = sheet.sums.strings.find((sum) => sum.resistor === resistor);
  const lamp = own?.lamps[0]?.part ?? sheet.sums.design.lamps[0]?.part;
  if (!lamp) return null;
  const circuit = withHeld(sheet.circuit, sheet.started);
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>What if {resistor} were another?</h2>
        {resistors.length > 1 && (
          <Form.Select
            size="sm"
            className="w-auto"
            aria-label="Resistor that is varied"
            value={resistor}
            onChange={(event) => setChosen(event.target.value)}
          >
            {resistors.map((id) => (
              <option key={id}>{id}</option>
            ))}
          </Form.Select>
        )}
      </div>
      <Curve key={resistor} question={{ circuit, resistor, lamp, values: valuesOf(shelf, style.values) }} />
    </section>
  );
}

function Curve({ question }: { question: Question }) {
  const { reply, of, waiting, failure } = useAsked('quick', question, ask);
  if (failure) return <Note kind="refusal">{failure}</Note>;
  if (!reply || !of) return <p className="soft">Being worked out…</p>;
  if (!reply.ok) return <Note>{sentences(reply.findings)}</Note>;
  const part = partOf(of.circuit, of.resistor);
  const planned = part?.kind === 'resistor' ? part.params.ohms : 0;
  return (
    <div className={waiting ? 'stale' : undefined} aria-busy={waiting}>
      <ZoneChart curve={reply.value} planned={planned} />
      <WalkDown curve={reply.value} />
    </div>
  );
}

/** From the largest value down, one at a time; it ends where the next would be too much. */
function WalkDown({ curve }: { curve: WhatIf }) {
  const [step, setStep] = useState(0);
  const walk = [...curve.stocked].reverse();
  const floor = walk.findIndex(({ zone }) => zone === 'ruin');
  const safe = floor < 0 ? walk : walk.slice(0, floor);
  const at = safe[Math.min(step, safe.length - 1)];
  if (!at) return null;
  const next = walk[safe.indexOf(at) + 1];
  const ended = next === undefined || next.zone === 'ruin';
  return (
    <div className="pt-2" role="group" aria-label="Walk down">
      <h3>Walk down by eye</h3>
      <p role="status">
        With <strong>{formatOhms(at.ohms)}</strong> {curve.lamp} carries {formatQuantity(at.amps, 'A')}: it is{' '}
        {BRIGHTNESS_WORDS[at.brightness]}.
        {ended &&
          next &&
          ` Stop here: the next value down, ${formatOhms(next.ohms)}, would be ${formatQuantity(next.amps, 'A')}, above its limit of ${formatQuantity(curve.maxAmps, 'A', 2)}.`}
      </p>
      <div className="button-row">
        <Button
          variant="quiet"
          size="sm"
          disabled={safe.indexOf(at) === 0}
          onClick={() => setStep(safe.indexOf(at) - 1)}
        >
          one value up
        </Button>
        <Button variant="quiet" size="sm" disabled={ended} onClick={() => setStep(safe.indexOf(at) + 1)}>
          one value down
        </Button>
      </div>
    </div>
  );
}

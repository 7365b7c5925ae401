'use client';

import { useState, type ReactNode } from 'react';
import type { Remote } from 'comlink';
import { formatEntered, type Circuit, type Outcome, type Part, readFigure } from '@/core';
import { LineChart, scaledUnit } from '@/features/charts/LineChart';
import { Choice, Typed } from '@/features/wish/Words';
import { screenSentence } from '@/messages/findings';
import { fieldValue, TURNED_FIELDS, type FieldWords } from '@/messages/parts';
import { Note } from '@/ui/Note';
import type { CoreApi, CurrentsVaried } from '@/workers/coreApi';
import { shownFigure } from './figures';
import { Shown } from './Shown';
import { useAsked } from '@/features/asking/useAsked';
import { Scroll } from '@/ui/Scroll';

interface Varied {
  readonly part: Part;
  readonly words: FieldWords;
}

interface Question {
  readonly circuit: Circuit;
  readonly part: string;
  readonly field: string;
  readonly from: number;
  readonly to: number;
  /** Parts whose current is drawn. */
  readonly lines: readonly string[];
}

const POINTS = 121;
const ask = (
  core: Remote<CoreApi>,
  { circuit, lines, ...plan }: Question,
): Promise<Outcome<CurrentsVaried>> => core.currentsVaried(circuit, { ...plan, steps: POINTS }, lines);

/** One figure of the circuit goes from one value to another; everything else follows. */
export function OneVaried({ circuit }: { circuit: Circuit }) {
  const choices = circuit.parts.flatMap((part) =>
    TURNED_FIELDS[part.kind].map((words): Varied => ({ part, words })),
  );
  const [chosen, choose] = useState(choices[0] ? nameOf(choices[0]) : '');
  const varied = choices.find((choice) => nameOf(choice) === chosen) ?? choices[0];
  if (!varied) return null;
  return (
    <section className="ruled" aria-label="One figure varied">
      <h2>One figure varied</h2>
      <VariedChart
        key={nameOf(varied)}
        circuit={circuit}
        varied={varied}
        choice={
          <Choice
            label="What varies"
            value={nameOf(varied)}
            names={choices.map((choice) => [nameOf(choice), nameOf(choice)])}
            onChoose={choose}
          />
        }
      />
    </section>
  );
}

function nameOf({ part, words }: Varied): string {
  return `${part.id}, ${words.words}`;
}

function VariedChart({ circuit, varied, choice }: { circuit: Circuit; varied: Varied; choice: ReactNode }) {
  const { part, words } = varied;
  const [ends, setEnds] = useState(() => firstEnds(part, words));
  const [problem, setProblem] = useState('');
  const [shown, show] = useState<readonly string[]>();
  const lamps = circuit.parts.filter(({ kind }) => kind === 'led').map(({ id }) => id);
  const ids = circuit.parts.map(({ id }) => id);
  const lit = lamps.length > 0 ? lamps : ids;
  const wanted = shown ?? lit.slice(0, 3);
  const question = {
    circuit,
    part: part.id,
    field: words.field,
    from: ends.from,
    to: ends.to,
    lines: wanted,
  };
  const { reply, waiting, failure } = useAsked('quick', question, ask);
  const swept = reply?.ok ? reply.value : undefined;
  const lines = wanted.filter((id) => swept?.parts[id]);
  const end = (which: 'from' | 'to') => (
    <Typed
      label={which === 'from' ? 'First value' : 'Last value'}
      value={words.unit ? formatEntered(ends[which], words.unit) : String(ends[which])}
      read={(typed) => readFigure(typed, words.unit)}
      onValue={(value) => setEnds({ ...ends, [which]: value })}
      onProblem={setProblem}
      width={5}
    />
  );
  const amps = (id: string) => swept!.parts[id]!.amps;
  return (
    <div aria-busy={waiting}>
      <p className="pt-2 mb-1">
        {choice} from {end('from')} to {end('to')}.
      </p>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
      {failure && <Note kind="refusal">{failure}</Note>}
      {reply && !reply.ok && <Note kind="refusal">{reply.findings.map(screenSentence).join(' ')}</Note>}
      {swept && lines.length > 0 && (
        <div className={waiting ? 'stale' : undefined}>
          <Scroll label="One figure varied">
            <LineChart
              label={`Current of ${lines.join(', ')} as ${nameOf(varied)} varies`}
              x={swept.values}
              xUnit={words.unit ? scaledUnit(words.unit, [swept.values]) : ['', 1]}
              yUnit={scaledUnit('A', lines.map(amps))}
              lines={lines.map((id) => ({ name: id, values: amps(id) }))}
            />
          </Scroll>
          <p className="small-print mb-1">
            {lines
              .map(
                (id) =>
                  `${id} from ${shownFigure(amps(id)[0]!, 'A')} to ${shownFigure(amps(id)[POINTS - 1]!, 'A')}`,
              )
              .join(', ')}
          </p>
        </div>
      )}
      <Shown chart="one part varied" legend="Current of" names={ids} shown={lines} onShow={show} />
    </div>
  );
}

/** From next to nothing to twice the value; a share goes all the way. */
function firstEnds(part: Part, { field }: FieldWords): { from: number; to: number } {
  const value = fieldValue(part, field);
  if (field === 'position' || field === 'duty') return { from: 0, to: 1 };
  if (field === 'vf' || field === 'vz') return { from: round(value * 0.8), to: round(value * 1.2) };
  if (field === 'volts' && part.kind === 'supply') return { from: 0, to: round(value * 1.5) };
  return { from: round(value / 5), to: round(value * 2) };
}

function round(value: number): number {
  return Number(value.toPrecision(3));
}

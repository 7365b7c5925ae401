'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import Table from 'react-bootstrap/Table';
import {
  brightnessAt,
  formatEntered,
  formatQuantity,
  isKind,
  isProblem,
  overloadOf,
  voltsAcross,
  withField,
  withPart,
  type Circuit,
  type Outcome,
  type Part,
  type Solved,
  readFigure,
  finding,
  refused,
} from '@/core';
import { Typed } from '@/features/wish/Words';
import { overloadWords, screenSentence } from '@/messages/findings';
import { BRIGHTNESS_WORDS } from '@/messages/names';
import { fieldValue, kindWords, TURNED_FIELDS, type FieldWords } from '@/messages/parts';
import { Note } from '@/ui/Note';
import { useFinder } from '@/ui/useFinder';
import { firstOf, shownFigure } from './figures';
import { useAsked } from '@/features/asking/useAsked';
import type { CoreApi } from '@/workers/coreApi';
import type { Remote } from 'comlink';
import { Heads } from '@/ui/Heads';
import { Scroll } from '@/ui/Scroll';

const ask = (core: Remote<CoreApi>, circuit: Circuit): Promise<Outcome<Solved>> => core.solve(circuit);

/** Every part with the figures it is at rest with; what is underlined can be typed over. */
export function AtRest({ circuit, onChange }: { circuit: Circuit; onChange: (circuit: Circuit) => void }) {
  const { reply, waiting, failure } = useAsked('quick', circuit, ask);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [other, setOther] = useState(false);
  const listed = useFinder(circuit.parts, 'parts', searchedBy);
  const solved = reply?.ok ? reply.value : undefined;
  const state = (other && solved?.also) || solved;
  const turn = (part: Part, field: string, value: number) => {
    const next = withField(part, field, value);
    if (!isProblem(next)) onChange(withPart(circuit, part.id, () => next));
  };
  return (
    <section className="ruled" aria-label="At rest" aria-busy={waiting}>
      <h2>At rest</h2>
      {failure && <Note kind="refusal">{failure}</Note>}
      {reply && !reply.ok && <Note kind="refusal">{reply.findings.map(screenSentence).join(' ')}</Note>}
      {solved?.also && <TwoStates also={solved.also} shown={other} onShow={setOther} />}
      {Object.entries(problems).map(([name, text]) => (
        <Note key={name} kind="refusal" live>
          {text} The figures keep the value from before.
        </Note>
      ))}
      {listed.head}
      <Scroll label="At rest" className={waiting ? 'scroll-x stale' : 'scroll-x'}>
        <Table>
          <Heads
            columns={[
              ['Part'],
              ['What it is'],
              ['Across it', 'amount'],
              ['Through it', 'amount'],
              ['Takes up', 'amount'],
            ]}
          />
          <tbody>
            {listed.shown.map((part) => (
              <tr key={part.id}>
                <th scope="row">{part.id}</th>
                <td>
                  {kindWords(part)}
                  {TURNED_FIELDS[part.kind].map((words) => (
                    <Turned
                      key={words.field}
                      part={part}
                      words={words}
                      onValue={(value) => turn(part, words.field, value)}
                      onProblem={(text) =>
                        setProblems((before) => kept(before, `${part.id}.${words.field}`, text))
                      }
                    />
                  ))}
                  {state && <Overloaded part={part} state={state} />}
                </td>
                <Figures part={part} state={state} />
              </tr>
            ))}
          </tbody>
        </Table>
      </Scroll>
      {listed.foot}
      {solved && (
        <p className="small-print pt-2">
          {firstOf(
            Object.keys(state!.nodes).filter((name) => name !== circuit.ground),
            (name) => `${name} at ${formatQuantity(state!.nodes[name]!, 'V')}`,
            ', ',
            'the others are in the file of “Over time”',
          )}
          . Settled in {solved.settling.iterations} steps; {leftWords(solved.settling)}.
        </p>
      )}
    </section>
  );
}

/** A part is found by its name, by what it is, and by the nodes that it joins. */
function searchedBy(part: Part): string {
  return [part.id, kindWords(part), ...Object.values(part.pins)].join(' ');
}

/** What is too much for a part, if anything is. */
function Overloaded({ part, state }: { part: Part; state: Pick<Solved, 'parts'> }) {
  const report = state.parts[part.id];
  const over = report && overloadOf(part, report);
  return over ? <span className="problem d-block">It {overloadWords(over)}</span> : null;
}

const STATE_WORDS = {
  light: ['from dark', 'once lit'],
  latch: ['one way', 'the other way'],
} as const;

interface TwoStatesProps {
  readonly also: NonNullable<Solved['also']>;
  readonly shown: boolean;
  onShow(other: boolean): void;
}

/** A circuit that rests in either of two states, and which of them the figures are of. */
function TwoStates({ also, shown, onShow }: TwoStatesProps) {
  return (
    <Note>
      This circuit has two states of rest, and stays in the one that it was put into. The figures are those{' '}
      {STATE_WORDS[also.by].map((words, i) => (
        <Form.Check
          key={words}
          inline
          type="radio"
          name="state of rest"
          id={`state-${i}`}
          label={words}
          checked={shown === (i === 1)}
          onChange={() => onShow(i === 1)}
        />
      ))}
    </Note>
  );
}

/** What Kirchhoff's law leaves over. */
function leftWords({ residual, worstNode }: Solved['settling']): string {
  if (residual < 1e-12) return 'less than a picoampere is left over anywhere';
  return `at most ${formatQuantity(residual, 'A', 1)} is left over, at ${worstNode}`;
}

function Figures({ part, state }: { part: Part; state: Pick<Solved, 'nodes' | 'parts'> | undefined }) {
  const report = state?.parts[part.id];
  if (!state || !report)
    return (
      <td colSpan={3} className="amount soft">
        –
      </td>
    );
  const lamp = isKind(part, 'led') && BRIGHTNESS_WORDS[brightnessAt(report.amps, part.params.maxAmps)];
  return (
    <>
      <td className="amount">{formatQuantity(voltsAcross(part, state), 'V')}</td>
      <td className="amount">
        {shownFigure(report.amps, 'A')}
        {lamp && <span className="small-print d-block">{lamp}</span>}
      </td>
      <td className="amount">{shownFigure(report.watts, 'W')}</td>
    </>
  );
}

interface TurnedProps {
  readonly part: Part;
  readonly words: FieldWords;
  onValue(value: number): void;
  onProblem(text: string): void;
}

/** One figure of a part, typed as the trade does. */
function Turned({ part, words, onValue, onProblem }: TurnedProps) {
  const value = fieldValue(part, words.field);
  const read = (typed: string): Outcome<number> => {
    const figure = readFigure(typed, words.unit);
    if (!figure.ok) return figure;
    const next = withField(part, words.field, figure.value);
    if (!isProblem(next)) return figure;
    return refused(finding('bad-field', { place: part.id, ...next }));
  };
  return (
    <span className="turned">
      {words.words !== 'ohms' && words.words !== 'volts' && <span className="soft">{words.words} </span>}
      <Typed
        label={`${part.id}: ${words.words}`}
        value={words.unit ? formatEntered(value, words.unit) : String(Number(value.toPrecision(6)))}
        read={read}
        onValue={onValue}
        onProblem={onProblem}
        width={5}
      />
    </span>
  );
}

function kept(before: Readonly<Record<string, string>>, name: string, text: string) {
  const { [name]: _gone, ...rest } = before;
  return text === '' ? rest : { ...rest, [name]: text };
}

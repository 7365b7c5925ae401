'use client';

import { useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  bandQuestion,
  formatOhms,
  judgeBands,
  parseQuantity,
  type BandCount,
  type BandVerdict,
} from '@/core';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { sentences } from '@/messages/findings';

const SLIPS: Readonly<Record<Exclude<BandVerdict, 'right'>, string>> = {
  'wrong multiplier': 'the digits are right, but the third band (of five, the fourth) counts the zeros',
  'read from the wrong end':
    'that is read from the wrong end: the tolerance band stands apart and comes last',
  'digits exchanged': 'the two first digits have changed places',
  wrong: 'look again, band by band, from the end where they stand closer',
};

interface Drill {
  readonly seed: number;
  readonly asked: number;
  readonly right: number;
  /** What was said about the last answer; a right or given-up one waits for the next question. */
  readonly said: string;
  readonly done: boolean;
  /** A wrong answer was given before: it does not count as read any more. */
  readonly missed: boolean;
}

/** Resistors of one's own drawer to be read, one after another. */
export function BandTrainer({ drawer, count }: { drawer: readonly number[]; count: BandCount }) {
  const [drill, setDrill] = useState<Drill | undefined>();
  const [typed, setTyped] = useState('');
  const begin = () =>
    setDrill({ seed: Date.now(), asked: 0, right: 0, said: '', done: false, missed: false });
  const question = drill && bandQuestion(drawer, count, drill.seed, drill.asked);
  if (!drill || !question) {
    return (
      <section className="ruled">
        <h2>Practise the bands</h2>
        <p className="small-print pt-2">
          Resistors of this drawer, drawn one after another: what is each? Slips are told apart.
        </p>
        <Button variant="quiet" size="sm" onClick={begin}>
          Begin
        </Button>
      </section>
    );
  }
  const answer = (event: FormEvent) => {
    event.preventDefault();
    const figure = parseQuantity(typed, 'Ω');
    if (!figure.ok) return setDrill({ ...drill, said: sentences(figure.findings) });
    const verdict = judgeBands(question, figure.value);
    if (verdict !== 'right')
      return setDrill({ ...drill, said: `${formatOhms(figure.value)}: ${SLIPS[verdict]}.`, missed: true });
    setDrill({
      ...drill,
      right: drill.right + (drill.missed ? 0 : 1),
      said: `${formatOhms(question.ohms)}: right.`,
      done: true,
    });
  };
  const next = () => {
    setTyped('');
    setDrill({ ...drill, asked: drill.asked + 1, said: '', done: false, missed: false });
  };
  return (
    <section className="ruled">
      <h2>Practise the bands</h2>
      <form className="band-reader" onSubmit={drill.done ? (e) => (e.preventDefault(), next()) : answer}>
        <ResistorDrawing bands={question.bands} width={210} title={question.bands.join(', ')} />
        <Form.Group controlId="drill-value">
          <Form.Label>What is it?</Form.Label>
          <Form.Control
            className="w-auto"
            autoComplete="off"
            readOnly={drill.done}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </Form.Group>
        <p role="status">{drill.said}</p>
        <div className="button-row">
          <Button type="submit" size="sm">
            {drill.done ? 'Next one' : 'Say it'}
          </Button>
          {!drill.done && (
            <Button
              variant="quiet"
              size="sm"
              onClick={() => setDrill({ ...drill, said: `It is ${formatOhms(question.ohms)}.`, done: true })}
            >
              Show me
            </Button>
          )}
          <span className="small-print">
            {drill.right} of {drill.asked + (drill.done ? 1 : 0)} right at once
          </span>
        </div>
      </form>
    </section>
  );
}

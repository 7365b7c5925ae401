import { useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { GLANCE } from '@/core';
import { capital } from '@/messages/grammar';
import type { Advice, BenchAdvice } from '@/server/advice';
import type { BenchPoint, OwnBench } from '@/server/ownBench';
import { TakePhoto } from '@/features/photo/TakePhoto';
import { StatusMark, type Status } from '@/ui/StatusMark';
import { ADVICE, UNIT } from './advice';
import { Lamps } from './Lamps';
import { GUESS, type OwnReadings } from './useOwnReadings';

interface Props {
  readonly own: OwnBench;
  readonly readings: OwnReadings;
  readonly advice: BenchAdvice | undefined;
}

/** What is measured at a bench: first a guess, then the lamps, then figure by figure; and how it stands. */
export function Measure({ own, readings, advice }: Props) {
  const [unguessed, setUnguessed] = useState(false);
  const guessed = readings.at(GUESS).length > 0 || unguessed;
  const seen = readings.at(GLANCE);
  return (
    <section aria-label="Measuring">
      <h1>Is it right? Measure.</h1>
      {advice && <Whole advice={advice} />}
      <Guess readings={readings} done={guessed} onSkip={() => setUnguessed(true)} />
      {guessed && (
        <>
          {own.lamps.length > 0 && (
            <Lamps
              lamps={own.lamps}
              said={seen[seen.length - 1]}
              onSay={(typed) => readings.enter(GLANCE, typed)}
            />
          )}
          {own.points.map((point) => (
            <Point key={point.id} point={point} readings={readings} advice={advice?.points[point.id]} />
          ))}
          <div className="bench-entry">
            <p className="small-print">
              A picture from above, the whole board in it, shows your educator where every leg is.
            </p>
            <TakePhoto
              sessionId={own.sessionId}
              studentId={own.studentId}
              label="A picture of your bench"
              size="lg"
            />
          </div>
        </>
      )}
    </section>
  );
}

const WHOLE: Readonly<Record<BenchAdvice['whole'], readonly [Status, string]>> = {
  none: ['none', 'Nothing measured yet.'],
  'so-far': ['right', 'Right so far.'],
  right: ['right', 'Your bench is right.'],
  close: ['close', 'Too close to say.'],
  off: ['off', 'Something is not as planned.'],
};

function Whole({ advice: { whole, hint, next } }: { advice: BenchAdvice }) {
  const [status, words] = WHOLE[whole];
  return (
    <div className="bench-whole" role="status">
      <StatusMark status={status} soFar={whole === 'so-far'} size={18} /> <strong>{words}</strong>
      {hint && <p>A hint: {hint}.</p>}
      {next && <p className="small-print">{capital(next)}.</p>}
    </div>
  );
}

function Guess({ readings, done, onSkip }: { readings: OwnReadings; done: boolean; onSkip: () => void }) {
  const guesses = readings.at(GUESS);
  if (done)
    return guesses.length > 0 ? (
      <p className="soft">You predicted {guesses[guesses.length - 1]} mA.</p>
    ) : null;
  return (
    <Entry
      id="guess"
      title="First predict: what current will flow?"
      how="In milliamperes. Nobody marks it; you will see how near you were."
      unit="mA"
      button="This is my guess"
      onEnter={(typed) => readings.enter(GUESS, typed)}
    >
      <Button variant="quiet" onClick={onSkip}>
        No idea yet
      </Button>
    </Entry>
  );
}

function Point({
  point,
  readings,
  advice,
}: {
  point: BenchPoint;
  readings: OwnReadings;
  advice: Advice | undefined;
}) {
  const entered = readings.at(point.id);
  const last = entered[entered.length - 1];
  return (
    <Entry
      id={point.id}
      title={capital(point.name)}
      how={`${capital(point.how)}.`}
      unit={UNIT[point.measured]}
      button={last === undefined ? 'Enter' : 'Enter again'}
      onEnter={(typed) => readings.enter(point.id, typed)}
    >
      {last !== undefined && (
        <p className="bench-told" role="status">
          {last} {UNIT[point.measured]}
          {advice && (
            <>
              {' '}
              <StatusMark status={ADVICE[advice][0]} /> <strong>{ADVICE[advice][1]}</strong>
            </>
          )}
        </p>
      )}
    </Entry>
  );
}

interface EntryProps {
  readonly id: string;
  readonly title: string;
  readonly how: string;
  readonly unit: string;
  readonly button: string;
  onEnter(typed: string): string | undefined;
  readonly children?: React.ReactNode;
}

/** One figure with big keys; what is not taken stays as it was typed, with the reason. */
function Entry({ id, title, how, unit, button, onEnter, children }: EntryProps) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const enter = (event: FormEvent) => {
    event.preventDefault();
    if (typed.trim() === '') return;
    const why = onEnter(typed);
    setProblem(why ?? '');
    if (!why) setTyped('');
  };
  return (
    <form className="bench-entry" onSubmit={enter}>
      <Form.Group controlId={`entry-${id}`}>
        <Form.Label>{title}</Form.Label>
        <p className="small-print">{how}</p>
        <div className="bench-keys">
          <Form.Control
            size="lg"
            inputMode="decimal"
            autoComplete="off"
            maxLength={40}
            value={typed}
            aria-invalid={problem !== ''}
            onChange={(event) => setTyped(event.target.value)}
          />
          <span>{unit}</span>
          <Button type="submit" size="lg">
            {button}
          </Button>
        </div>
      </Form.Group>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      {children}
    </form>
  );
}

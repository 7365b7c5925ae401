import Button from 'react-bootstrap/Button';
import { GLANCE } from '@/core';
import { capital } from '@/messages/grammar';
import type { Advice, BenchAdvice } from '@/server/advice';
import type { BenchPoint, OwnBench } from '@/server/ownBench';
import { TakePhoto } from '@/features/photo/TakePhoto';
import { StatusMark, type Status } from '@/ui/StatusMark';
import { ADVICE, withUnit } from './advice';
import { Entry } from './Entry';
import { Flashes } from './Flashes';
import { FoundIt } from './FoundIt';
import { Guess, GuessBeside } from './Guess';
import { Lamps } from './Lamps';
import { Stopwatch } from './Stopwatch';
import type { OwnReadings } from './useOwnReadings';

interface Props {
  readonly own: OwnBench;
  readonly readings: OwnReadings;
  readonly advice: BenchAdvice | undefined;
  /** A prediction was made, or left. */
  readonly guessed: boolean;
  onSkipGuess(): void;
  /** What was wrong has been noted: how the bench stands is asked anew. */
  onFound(): void;
}

/** What is measured at a bench: the lamps, then figure by figure; how it stands, and what was found. */
export function Measure({ own, readings, advice, guessed, onSkipGuess, onFound }: Props) {
  const seen = readings.at(GLANCE);
  if (!guessed)
    return (
      <section aria-label="Measuring">
        <h1>Is it right? Measure.</h1>
        <Guess readings={readings} onSkip={onSkipGuess} />
      </section>
    );
  return (
    <section aria-label="Measuring">
      <h1>Is it right? Measure.</h1>
      {advice && <Whole advice={advice} />}
      {advice && (advice.whole === 'off' || advice.whole === 'close') && (
        <FoundIt own={own} onFound={onFound} />
      )}
      <GuessBeside
        readings={readings}
        currents={own.points.filter(({ measured }) => measured === 'amps').map(({ id }) => id)}
      />
      {own.lamps.length > 0 && (
        <Lamps
          lamps={own.lamps}
          held={own.lampsHeld}
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

interface PointProps {
  readonly point: BenchPoint;
  readonly readings: OwnReadings;
  readonly advice: Advice | undefined;
}

/** As it is noted where nothing is heard of what should sound. */
const NO_SOUND = 'silent';

function Point({ point, readings, advice }: PointProps) {
  const { id, name, how, measured, counted } = point;
  const last = readings.at(id).at(-1);
  const field = {
    id,
    title: capital(name),
    button: last === undefined ? 'Enter' : 'Enter again',
    onEnter: (typed: string) => readings.enter(id, typed),
  };
  const stands = last !== undefined && (
    <p className="bench-told" role="status">
      {withUnit(last, measured)}
      {advice && (
        <>
          {' '}
          <StatusMark status={ADVICE[advice][0]} /> <strong>{ADVICE[advice][1]}</strong>
        </>
      )}{' '}
      <Button
        variant="quiet"
        size="sm"
        aria-label={`Take ${last} back`}
        onClick={() => readings.takeBack(id)}
      >
        take it back
      </Button>
    </p>
  );
  if (counted)
    return (
      <Flashes {...field} pauses={point.pauses}>
        {stands}
      </Flashes>
    );
  return (
    <Entry {...field} how={`${capital(how)}.`} measured={measured}>
      {measured === 'hertz' && (
        <Button variant="quiet" size="lg" onClick={() => readings.enter(id, NO_SOUND)}>
          No sound
        </Button>
      )}
      {measured === 'seconds' && <Stopwatch onStop={(typed) => readings.enter(id, typed)} />}
      {stands}
    </Entry>
  );
}

'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { GLANCE, PREDICTED } from '@/core';
import { cooledLook, isAlarm } from '@/messages/seen';
import { StepBoard } from '@/features/sheet/steps/StepBoard';
import { useKept } from '@/features/hooks/useKept';
import type { BenchAdvice } from '@/server/advice';
import type { OwnBench } from '@/server/ownBench';
import { heard } from '@/ui/heard';
import { adviceFor } from './actions';
import { LeaveBench } from './LeaveBench';
import { Guess } from './Guess';
import { Measure } from './Measure';
import { PowerOff } from './PowerOff';
import { Stop } from './Stop';
import { useOwnReadings } from './useOwnReadings';

/** A student's bench on a phone: the card step by step, then what is measured and seen there. */
export function BenchWork({ own }: { own: OwnBench }) {
  const { sessionId, studentId, sheet, steps } = own;
  const [kept, keep] = useKept(`mivvet.step.${sessionId}.${studentId}`, '0');
  const at = Math.max(0, Math.min(steps.length, Number(kept) || 0));
  const go = (to: number) => keep(String(Math.max(0, Math.min(steps.length, to))));
  const [advice, setAdvice] = useState<BenchAdvice>();
  const [unanswered, setUnanswered] = useState('');
  const asked = useRef(0);
  const ask = useCallback(async () => {
    const number = ++asked.current;
    setAdvice(undefined);
    const answer = await heard(adviceFor(studentId));
    if (number !== asked.current) return;
    setUnanswered(answer.ok ? '' : answer.message);
    if (answer.ok) setAdvice(answer.value);
  }, [studentId]);
  const readings = useOwnReadings(own, () => void ask());
  useEffect(() => {
    if (own.readings.length > 0) queueMicrotask(() => void ask());
  }, [ask, own.readings.length]);
  const [skipped, skip] = useKept(`mivvet.guess.${sessionId}.${studentId}`, '');
  const guessed = readings.at(PREDICTED).length > 0 || skipped !== '';
  /** The first step with power: a prediction comes before it. */
  const firstPower = steps.findIndex(({ stop }) => stop !== undefined);
  const looks = readings.at(GLANCE);
  if (isHot(looks, advice))
    return (
      <div className="bench-work">
        <PowerOff onCold={() => void readings.enter(GLANCE, cooledLook(looks))} />
      </div>
    );
  return (
    <div className="bench-work">
      <header className="bench-head">
        <strong>
          Bench {own.bench} · {own.nickname}
        </strong>
        <span className="soft">{own.title}</span>
      </header>
      <Progress at={at} of={steps.length} />
      {readings.problem && (
        <p role="status" className="problem">
          {readings.waiting} {readings.waiting === 1 ? 'reading waits' : 'readings wait'} in this phone.{' '}
          {readings.problem}
        </p>
      )}
      {at < steps.length && sheet ? (
        at === firstPower && !guessed ? (
          <Guess readings={readings} onSkip={() => skip('skipped')} />
        ) : (
          <OneOf key={at} own={own} at={at} />
        )
      ) : (
        <>
          <Measure
            own={own}
            readings={readings}
            advice={readings.waiting === 0 ? advice : undefined}
            guessed={guessed}
            onSkipGuess={() => skip('skipped')}
            onFound={() => void ask()}
          />
          {unanswered && (
            <p role="status" className="problem">
              How it stands is not known: {unanswered}{' '}
              <Button variant="quiet" onClick={() => void ask()}>
                Ask again
              </Button>
            </p>
          )}
        </>
      )}
      <footer className="bench-thumb">
        <Button variant="quiet" disabled={at === 0} onClick={() => go(at - 1)}>
          Back
        </Button>
        {at < steps.length ? (
          <Button variant="dark" disabled={at === firstPower && !guessed} onClick={() => go(at + 1)}>
            {at === steps.length - 1 ? 'Done, now measure' : 'Done, next step'}
          </Button>
        ) : (
          <LeaveBench waiting={readings.waiting} />
        )}
      </footer>
    </div>
  );
}

/** Said here, or by somebody at the grid. */
function isHot(looks: readonly string[], advice: BenchAdvice | undefined): boolean {
  return isAlarm(looks) || advice?.alarm === true;
}

function Progress({ at, of }: { at: number; of: number }) {
  return (
    <>
      <p className="small-print">{at < of ? `Step ${at + 1} of ${of}` : 'Measuring'}</p>
      <progress className="bench-progress" max={of} value={at} aria-label="Steps done" />
    </>
  );
}

/** One step: the action first, then its polarity cue and its picture. At a stop one looks before the card tells. */
function OneOf({ own, at }: { own: OwnBench; at: number }) {
  const step = own.steps[at]!;
  const [told, setTold] = useState(step.stop === undefined);
  return (
    <section aria-label={`Step ${at + 1}`}>
      <h1>{step.title}</h1>
      {step.cue && <p className="cue">{step.cue}</p>}
      {own.sheet && <StepBoard sheet={own.sheet} at={at} />}
      {step.stop && <Stop stop={step.stop} at={at} onTold={() => setTold(true)} />}
      {told && (
        <>
          <p>{step.detail}</p>
          {step.why && <p className="small-print">Why: {step.why}</p>}
        </>
      )}
    </section>
  );
}

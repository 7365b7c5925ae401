import { useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { capital } from '@/messages/grammar';
import type { Advice } from '@/server/advice';
import type { GateAdvice } from '@/server/gateAdvice';
import type { BenchStop } from '@/server/ownBench';
import { heard } from '@/ui/heard';
import { Problem } from '@/ui/Problem';
import { StatusMark } from '@/ui/StatusMark';
import { withKey } from '@/features/check/Keypad';
import { stopAdvice } from './actions';
import { ADVICE, UNIT } from './advice';

interface Props {
  readonly stop: BenchStop;
  readonly at: number;
  /** The card may tell now what it should be. */
  onTold(): void;
}

/** A stop of the card: one predicts, switches on, says what lights and what the meter shows, and hears whether that is right. */
export function Stop({ stop, at, onTold }: Props) {
  const { lamps, hold, readings } = stop;
  const [looking, setLooking] = useState(false);
  const [lit, setLit] = useState<ReadonlySet<string>>(new Set());
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [tries, setTries] = useState(0);
  const [advice, setAdvice] = useState<GateAdvice>();
  const [problem, setProblem] = useState('');
  const [asking, setAsking] = useState(false);
  /** Changes of what was said: an answer is of what stood there when it was asked. */
  const changes = useRef(0);
  const asked = lamps.length + readings.length > 0;
  if (!looking)
    return (
      <div className="bench-ask">
        <p>
          <strong>Before you switch on: what will you see?</strong> Say it to your neighbour, then look.
        </p>
        <Button onClick={() => (asked ? setLooking(true) : onTold())}>I have looked</Button>
      </div>
    );
  const say = async () => {
    const said = changes.current;
    setAsking(true);
    const answer = await heard(stopAdvice(at, { lit: [...lit], readings: typed, tries }));
    setAsking(false);
    setProblem(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    setTries(tries + 1);
    if (said !== changes.current) return;
    setAdvice(answer.value);
    if (answer.value.right || answer.value.lamps === 'ask') onTold();
  };
  const changed = () => {
    changes.current++;
    setAdvice(undefined);
  };
  const turn = (lamp: string) => {
    changed();
    setLit(
      (before) => new Set(before.has(lamp) ? [...before].filter((one) => one !== lamp) : [...before, lamp]),
    );
  };
  return (
    <div className="bench-ask">
      {hold && <p>{hold}</p>}
      {lamps.length > 0 && (
        <fieldset className="bench-entry">
          <legend>Which lamps light or blink?</legend>
          <div className="button-row">
            {lamps.map((lamp) => (
              <Button
                key={lamp}
                size="lg"
                variant={lit.has(lamp) ? 'primary' : 'quiet'}
                aria-pressed={lit.has(lamp)}
                onClick={() => turn(lamp)}
              >
                {lamp} {lit.has(lamp) ? 'lights' : 'dark'}
              </Button>
            ))}
          </div>
          <Told advice={advice?.lamps} again="look again" />
        </fieldset>
      )}
      {readings.map(({ id, name, measured }) => (
        <Form.Group key={id} controlId={`stop-${id}`} className="bench-entry">
          <Form.Label>{capital(name)}</Form.Label>
          <div className="bench-keys">
            {measured === 'volts' && (
              <Button
                variant="quiet"
                size="lg"
                aria-label="Change the sign"
                onClick={() => {
                  changed();
                  setTyped({ ...typed, [id]: withKey(typed[id] ?? '', '−') });
                }}
              >
                −
              </Button>
            )}
            <Form.Control
              size="lg"
              // Flashes over seconds want a slash, which a phone's figures lack.
              inputMode={measured === 'hertz' ? 'text' : 'decimal'}
              autoComplete="off"
              maxLength={40}
              value={typed[id] ?? ''}
              onChange={(event) => {
                changed();
                setTyped({ ...typed, [id]: event.target.value });
              }}
            />
            <span>{UNIT[measured]}</span>
          </div>
          <Told advice={advice?.readings[id]} />
        </Form.Group>
      ))}
      <Button size="lg" disabled={asking} onClick={() => void say()}>
        That is what I see
      </Button>
      <Problem>{problem}</Problem>
    </div>
  );
}

function Told({ advice, again }: { readonly advice: Advice | undefined; readonly again?: string }) {
  if (!advice) return null;
  return (
    <p className="bench-told" role="status">
      <StatusMark status={ADVICE[advice][0]} />{' '}
      <strong>{(advice === 'again' && again) || ADVICE[advice][1]}</strong>
    </p>
  );
}

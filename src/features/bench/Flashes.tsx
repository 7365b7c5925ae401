import { useState, type FormEvent, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { TAPPED_FLASHES, useTaps } from './useTaps';

interface Props {
  readonly id: string;
  readonly title: string;
  readonly button: string;
  /** It flashes in bursts: they are counted within one. */
  readonly pauses: boolean;
  onEnter(typed: string): string | undefined;
  readonly children?: ReactNode;
}

/** Flashes over seconds, in two fields, or by tapping at each flash: a count is never taken for a rate. */
export function Flashes({ id, title, button, pauses, onEnter, children }: Props) {
  const [flashes, setFlashes] = useState('');
  const [seconds, setSeconds] = useState('');
  const [problem, setProblem] = useState('');
  const taps = useTaps((timed) => {
    setFlashes(String(TAPPED_FLASHES));
    setSeconds(timed.toFixed(1));
  });
  const enter = (event: FormEvent) => {
    event.preventDefault();
    if (!flashes.trim() || !seconds.trim())
      return setProblem('Enter both: how many flashes, and in how many seconds.');
    const why = onEnter(`${flashes.trim()}/${seconds.trim()}`);
    setProblem(why ?? '');
    if (!why) {
      setFlashes('');
      setSeconds('');
    }
  };
  return (
    <form className="bench-entry" onSubmit={enter} aria-label={title}>
      <strong className="bench-title">{title}</strong>
      <p className="small-print">
        {pauses
          ? 'It pauses. Within one burst, count the flashes after the first, and time them from the first to the last.'
          : 'Tap at each flash: the first tap starts the watch, the tenth flash after it stops it. Or count, and enter both figures.'}
      </p>
      {!pauses && (
        <Button size="lg" variant="quiet" className="tap" onClick={taps.tap}>
          {taps.counted === undefined ? 'Tap at a flash' : `${taps.counted} of ${TAPPED_FLASHES}`}
        </Button>
      )}
      <div className="bench-keys">
        <Form.Group controlId={`flashes-${id}`}>
          <Form.Label>flashes</Form.Label>
          <Form.Control
            size="lg"
            inputMode="numeric"
            autoComplete="off"
            maxLength={5}
            value={flashes}
            onChange={(event) => setFlashes(event.target.value)}
          />
        </Form.Group>
        <Form.Group controlId={`seconds-${id}`}>
          <Form.Label>in seconds</Form.Label>
          <Form.Control
            size="lg"
            inputMode="decimal"
            autoComplete="off"
            maxLength={6}
            value={seconds}
            onChange={(event) => setSeconds(event.target.value)}
          />
        </Form.Group>
        <Button type="submit" size="lg">
          {button}
        </Button>
      </div>
      {problem && (
        <p role="alert" className="problem">
          {problem}
        </p>
      )}
      {children}
    </form>
  );
}

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Problem } from '@/ui/Problem';

const MOST = 9999;

interface Props {
  /** Number of the made-up class. */
  readonly seed: number;
  /** Nothing has been read of it yet. */
  readonly untouched: boolean;
  readonly reading: boolean;
  onBegin(seed: number): void;
}

/** Which made-up class stands on the benches, and how its meter is read. */
export function Instruments({ seed, untouched, reading, onBegin }: Props) {
  const [number, setNumber] = useState('');
  const [sure, setSure] = useState(false);
  const wanted = Number(number);
  const fits = /^\d{1,4}$/u.test(number.trim()) && wanted > 0;
  const begin = (next: number) => {
    if (!untouched && !sure) return setSure(true);
    setSure(false);
    setNumber('');
    onBegin(next);
  };
  const other = () => begin(fits ? wanted : (seed % MOST) + 1);
  return (
    <div className="instruments">
      <p>
        <strong>Class {seed}, made up.</strong> On each bench stands this lesson’s circuit, right or with one
        hidden mistake, with parts that spread as bought ones do. Press <kbd>r</kbd> in a cell, and the
        stand-in meter’s figure drops in; figures can be typed too. All of it stays in this browser and counts
        nowhere.
        <span role="status"> {reading ? 'The meter settles …' : ''}</span>
      </p>
      <Form
        className="again"
        onSubmit={(event) => {
          event.preventDefault();
          other();
        }}
      >
        <Form.Label htmlFor="class-number">class no.</Form.Label>
        <Form.Control
          id="class-number"
          size="sm"
          inputMode="numeric"
          placeholder={String((seed % MOST) + 1)}
          value={number}
          isInvalid={number.trim() !== '' && !fits}
          onChange={(event) => setNumber(event.target.value)}
        />
        <Button type="submit" size="sm" variant="quiet" disabled={number.trim() !== '' && !fits}>
          {sure ? 'Yes, leave these figures' : 'Another class'}
        </Button>
      </Form>
      {number.trim() !== '' && !fits && (
        <Problem>
          A class has a number from 1 to {MOST}; the same number is the same class on every machine.
        </Problem>
      )}
    </div>
  );
}

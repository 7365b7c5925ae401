import { useRef, useState, type FormEvent, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Measured } from '@/core';
import { withKey } from '@/features/check/Keypad';
import { UNIT } from './advice';

interface EntryProps {
  readonly id: string;
  readonly title: string;
  readonly how: string;
  readonly measured: Measured;
  readonly button: string;
  /** @returns why it is not taken, or nothing */
  onEnter(typed: string): string | undefined;
  readonly children?: ReactNode;
}

/** One figure with large keys. What is not taken stays as typed, with the reason, and is replaced by what is typed next. */
export function Entry({ id, title, how, measured, button, onEnter, children }: EntryProps) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const enter = (event: FormEvent) => {
    event.preventDefault();
    if (typed.trim() === '') return;
    const why = onEnter(typed);
    setProblem(why ?? '');
    if (why) field.current?.select();
    else setTyped('');
  };
  return (
    <form className="bench-entry" onSubmit={enter}>
      <Form.Group controlId={`entry-${id}`}>
        <Form.Label>{title}</Form.Label>
        <p className="small-print" id={`how-${id}`}>
          {how}
        </p>
        <div className="bench-keys">
          {(measured === 'volts' || measured === 'amps') && (
            <Button
              variant="quiet"
              size="lg"
              aria-label="Change the sign"
              aria-describedby={`how-${id}`}
              onClick={() => setTyped(withKey(typed, '−'))}
            >
              −
            </Button>
          )}
          <Form.Control
            ref={field}
            size="lg"
            inputMode="decimal"
            autoComplete="off"
            maxLength={40}
            value={typed}
            aria-invalid={problem !== ''}
            aria-describedby={problem ? `problem-${id}` : undefined}
            onChange={(event) => setTyped(event.target.value)}
          />
          <span>{UNIT[measured]}</span>
          <Button type="submit" size="lg">
            {button}
          </Button>
        </div>
      </Form.Group>
      {problem && (
        <p role="alert" id={`problem-${id}`} className="problem">
          {problem}
        </p>
      )}
      {children}
    </form>
  );
}

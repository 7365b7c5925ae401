'use client';

import { useId, useState } from 'react';
import type { Outcome } from '@/core';
import { sentences } from '@/messages/findings';
import './words.css';

/** So many names are laid out before anybody asks for them. */
const MANY = 200;

/** One of a few words inside a sentence. */
export function Choice<T extends string>({
  label,
  value,
  names,
  onChoose,
}: {
  label: string;
  value: T;
  names: readonly (readonly [T, string])[];
  onChoose: (value: T) => void;
}) {
  // Thousands of names, in several sentences of a page, are laid out once somebody comes to choose.
  const [sought, setSought] = useState(false);
  const seek = sought ? undefined : () => setSought(true);
  const offered = sought || names.length <= MANY ? names : names.filter(([name]) => name === value);
  return (
    <select
      className="word"
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value as T)}
      onFocus={seek}
      onPointerDown={seek}
    >
      {offered.map(([name, words]) => (
        <option key={name} value={name}>
          {words}
        </option>
      ))}
    </select>
  );
}

interface TypedProps {
  readonly label: string;
  readonly value: string;
  read(typed: string): Outcome<number>;
  onValue(value: number): void;
  onProblem(text: string): void;
  readonly width: number;
}

/** A figure inside a sentence or table. What is typed stays as typed; only what can be read is passed on. */
export function Typed({ label, value, read, onValue, onProblem, width }: TypedProps) {
  const [typed, setTyped] = useState<string | undefined>();
  const id = useId();
  const text = typed ?? value;
  const type = (next: string) => {
    setTyped(next);
    const figure = read(next);
    onProblem(figure.ok ? '' : sentences(figure.findings));
    if (figure.ok) onValue(figure.value);
  };
  const leave = () => {
    if (typed !== undefined && read(typed).ok) setTyped(undefined);
  };
  return (
    <input
      id={id}
      className="word"
      aria-label={label}
      aria-invalid={typed !== undefined && !read(typed).ok}
      autoComplete="off"
      spellCheck={false}
      size={Math.max(width, text.length)}
      value={text}
      onChange={(event) => type(event.target.value)}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') leave();
        if (event.key === 'Escape') {
          setTyped(undefined);
          onProblem('');
        }
      }}
    />
  );
}

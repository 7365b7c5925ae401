'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import {
  BAND_COLOURS,
  bandsFor,
  formatOhms,
  formatPercent,
  letterCode,
  neighbours,
  parseQuantity,
  readBands,
  type BandColour,
} from '@/core';
import { ResistorDrawing } from '@/features/plan/ResistorDrawing';
import { sentences } from '@/messages/findings';
import { Note } from '@/ui/Note';

/** Colour bands both ways: choose colours and read the value, or type a value and see the colours. */
export function BandReader({ drawer }: { drawer: readonly number[] }) {
  const [bands, setBands] = useState<readonly BandColour[]>(['orange', 'orange', 'brown', 'gold']);
  const [typed, setTyped] = useState('330');
  const read = readBands(bands);
  const figure = parseQuantity(typed, 'Ω');
  const choose = (index: number, colour: BandColour) => {
    const next = bands.map((old, i) => (i === index ? colour : old));
    setBands(next);
    const value = readBands(next);
    if (value) setTyped(letterCode(value.ohms));
  };
  const count = (wanted: 4 | 5) => {
    const value = read?.ohms ?? 330;
    setBands(
      bandsFor(value, wanted, wanted === 4 ? 0.05 : 0.01) ??
        (wanted === 4 ? ['brown', 'black', 'brown', 'gold'] : ['brown', 'black', 'black', 'black', 'brown']),
    );
  };
  const type = (text: string) => {
    setTyped(text);
    const value = parseQuantity(text, 'Ω');
    const made = value.ok && bandsFor(value.value, bands.length as 4 | 5, bands.length === 4 ? 0.05 : 0.01);
    if (made) setBands(made);
  };
  const problem = figure.ok
    ? writingProblem(figure.value, bands.length as 4 | 5)
    : sentences(figure.findings);
  return (
    <section className="ruled">
      <h2>Colour bands</h2>
      <div className="band-reader">
        <ResistorDrawing bands={bands} width={210} title={bands.join(', ')} />
        <div className="button-row">
          <Form.Check
            inline
            type="radio"
            id="bands-4"
            name="band-count"
            label="4 bands"
            checked={bands.length === 4}
            onChange={() => count(4)}
          />
          <Form.Check
            inline
            type="radio"
            id="bands-5"
            name="band-count"
            label="5 bands"
            checked={bands.length === 5}
            onChange={() => count(5)}
          />
        </div>
        <div className="button-row">
          {bands.map((colour, i) => (
            <Form.Select
              key={i}
              size="sm"
              className="w-auto"
              aria-label={`Band ${i + 1}`}
              value={colour}
              onChange={(event) => choose(i, event.target.value as BandColour)}
            >
              {BAND_COLOURS.map((name) => (
                <option key={name}>{name}</option>
              ))}
            </Form.Select>
          ))}
        </div>
        <Form.Group controlId="band-value">
          <Form.Label>or the value</Form.Label>
          <Form.Control className="w-auto" value={typed} onChange={(event) => type(event.target.value)} />
        </Form.Group>
        {problem ? (
          <Note kind="refusal" live>
            {problem}
          </Note>
        ) : (
          <p role="status">
            {read
              ? valueWords(read, drawer)
              : 'These colours do not make a value: gold and silver stand only at the end.'}
          </p>
        )}
      </div>
    </section>
  );
}

function valueWords(
  { ohms, tolerance }: { ohms: number; tolerance: number },
  drawer: readonly number[],
): string {
  const held = drawer.some((value) => Math.abs(value - ohms) < ohms * 1e-6);
  const near = neighbours(drawer, ohms).nearest;
  const inDrawer = held
    ? 'in the drawer'
    : near
      ? `not in the drawer, which has ${formatOhms(near)}`
      : 'not in the drawer';
  return `${formatOhms(ohms)} ± ${formatPercent(tolerance)}: ${inDrawer}.`;
}

function writingProblem(ohms: number, count: 4 | 5): string {
  if (!(ohms > 0)) return 'A resistor has more than 0 Ω.';
  if (bandsFor(ohms, count, count === 4 ? 0.05 : 0.01)) return '';
  return `${formatOhms(ohms)} has more digits than ${count} bands can say.`;
}

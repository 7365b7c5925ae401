'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { formatQuantity, identifyLamp, parseQuantity, type LampFigures, type LampType } from '@/core';
import { sentences } from '@/messages/findings';
import { lampName } from '@/messages/names';
import { listWords } from '@/messages/stepWords';
import { Problem } from '@/ui/Problem';

/** An unknown lamp, by the volts across it at a small current. */
export function LampFinder({ figures }: { figures: Readonly<Record<LampType, LampFigures>> }) {
  const [typed, setTyped] = useState({ volts: '', amps: '' });
  const begun = typed.volts !== '' && typed.amps !== '';
  const [volts, amps] = [parseQuantity(typed.volts, 'V'), parseQuantity(typed.amps, 'A', 1e-3)];
  const wrong = [volts, amps].flatMap((figure) => (figure.ok ? [] : figure.findings));
  const field = (name: keyof typeof typed, label: string, placeholder: string) => (
    <label>
      <span className="form-label d-block">{label}</span>
      <Form.Control
        size="sm"
        placeholder={placeholder}
        value={typed[name]}
        onChange={(event) => setTyped({ ...typed, [name]: event.target.value })}
      />
    </label>
  );
  return (
    <section className="ruled">
      <h2>Which lamp is it?</h2>
      <p className="small-print pt-2">
        Under a glass: the flat edge and the short leg are minus. Then light it through 1 kΩ from a 9 V block,
        and read the volts across it; the volts across the 1 kΩ are its milliamps.
      </p>
      <div className="add-stock">
        {field('volts', 'volts across it', '1.9')}
        {field('amps', 'current in mA', '7')}
      </div>
      {begun && wrong.length > 0 && <Problem>{sentences(wrong)}</Problem>}
      {begun && volts.ok && amps.ok && <p role="status">{guessWords(figures, volts.value, amps.value)}</p>}
    </section>
  );
}

function guessWords(figures: Readonly<Record<LampType, LampFigures>>, volts: number, amps: number): string {
  if (!(volts > 0 && amps > 0)) return 'A lit lamp has volts across it and a current through it.';
  const guesses = identifyLamp(figures, volts, amps);
  const fitting = guesses.filter(({ fits }) => fits);
  const [nearest] = guesses;
  if (fitting.length === 0) {
    return `No lamp of this store shows ${formatQuantity(volts, 'V')} at ${formatQuantity(amps, 'A')}; the nearest, ${lampName(nearest!.type)}, shows ${formatQuantity(nearest!.low, 'V')} to ${formatQuantity(nearest!.high, 'V')}. With a resistor inside, or two chips in one lamp, it would.`;
  }
  const names = fitting.map(({ type }) => lampName(type));
  const light = fitting.length > 1 ? ' Its light tells which.' : '';
  return `Like ${listWords(names)}: ${formatQuantity(nearest!.volts, 'V')} is usual for ${lampName(nearest!.type)} at ${formatQuantity(amps, 'A')}.${light}`;
}

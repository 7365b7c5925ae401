'use client';

import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  formatEntered,
  formatOhms,
  formatQuantity,
  pitchWith,
  soundOf,
  toWav,
  valuesOf,
  type ChipTimes,
  type Moving,
  type SheetRequest,
  readWithin,
} from '@/core';
import { Typed } from '@/features/wish/Words';
import { CAUTION_WORDS } from '@/messages/cautions';
import { saveAs, slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import { useTone } from './useTone';

const RATE = 44_100;
const SECONDS = 2;
const SAVED_VOLUME = 0.2;

interface Props {
  readonly seen: Moving;
  readonly timing: readonly ChipTimes[];
  readonly request: Pick<SheetRequest, 'shelf' | 'style'>;
  readonly title: string;
}

/** The tone to be heard, with its resistor swept, a reference beside it, and as a file. */
export function ToneSection({ seen, timing, request, title }: Props) {
  const chip = timing[0]!;
  const drawer = valuesOf(request.shelf, request.style.values).filter((ohms) => ohms >= 1e3 && ohms <= 1e6);
  const [ohms, setOhms] = useState(chip.values.r);
  const [beside, setBeside] = useState(false);
  const [reference, setReference] = useState(Math.round(1 / (chip.wanted.period ?? 1 / 440)));
  const [problem, setProblem] = useState('');
  const hertz = pitchWith(chip, ohms);
  const { sounding, refused, toggle } = useTone(hertz, beside ? reference : undefined);
  const values = [...new Set([...drawer, chip.values.r])].sort((a, b) => a - b);
  const save = () => {
    const samples = soundOf(seen, 'LS1', { seconds: SECONDS, rate: RATE, volume: SAVED_VOLUME });
    if (samples) saveAs(`${slug(title)}.wav`, 'audio/wav', toWav(samples, RATE));
  };
  const beats = Math.abs(hertz - reference);
  return (
    <section aria-label="Hear it">
      <h3 className="mt-3">Hear it</h3>
      <p className="small-print">{CAUTION_WORDS['loud-tone']}</p>
      <Form.Label htmlFor="tone-ohms">
        {chip.parts.r} = {formatOhms(ohms)}: {formatQuantity(hertz, 'Hz')}
      </Form.Label>
      <Form.Range
        id="tone-ohms"
        min={0}
        max={values.length - 1}
        value={values.indexOf(ohms)}
        aria-valuetext={`${formatOhms(ohms)}, ${formatQuantity(hertz, 'Hz')}`}
        onChange={(event) => setOhms(values[Number(event.target.value)]!)}
      />
      <div className="button-row">
        <Button size="sm" aria-pressed={sounding} onClick={toggle}>
          {sounding ? 'Silence' : 'Sound it, quietly'}
        </Button>
        <Button variant="quiet" size="sm" onClick={save}>
          Save as WAV
        </Button>
      </div>
      <div className="mt-2 mb-1">
        <Form.Check
          inline
          id="tone-beside"
          type="checkbox"
          label="with a reference of"
          checked={beside}
          onChange={(event) => setBeside(event.target.checked)}
        />
        <Typed
          label="Reference tone"
          value={formatEntered(reference, 'Hz')}
          read={readWithin('A reference tone', 'Hz', 20, 20_000)}
          onValue={setReference}
          onProblem={setProblem}
          width={7}
        />{' '}
        beside it: {beats < 0.05 ? 'no beats, they are one' : `${formatQuantity(beats, 'Hz', 2)} of beats`}.
      </div>
      {(problem || refused) && <Note kind="refusal">{problem || refused}</Note>}
    </section>
  );
}

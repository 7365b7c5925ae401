'use client';

import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { MeterFigures } from '@/core';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { keepMeter } from './actions';

interface Fields {
  name: string;
  counts: number;
  voltsPercent: number;
  voltsCounts: number;
  ampsPercent: number;
  ampsCounts: number;
}

const LABELS: Readonly<Record<keyof Fields, string>> = {
  name: 'Name of the class meter',
  counts: 'Counts of the display',
  voltsPercent: 'Volts: % of reading',
  voltsCounts: 'Volts: plus counts',
  ampsPercent: 'Current: % of reading',
  ampsCounts: 'Current: plus counts',
};

/** The meter that readings are taken with, as its own sheet states it. */
export function MeterForm({ meter, version }: { meter: MeterFigures; version: number }) {
  const { problem, pending, run } = useAnswer();
  const [kept, setKept] = useState(false);
  const { register, handleSubmit } = useForm<Fields>({
    defaultValues: {
      name: meter.name,
      counts: meter.counts,
      voltsPercent: Number((meter.volts.share * 100).toFixed(3)),
      voltsCounts: meter.volts.counts,
      ampsPercent: Number((meter.amps.share * 100).toFixed(3)),
      ampsCounts: meter.amps.counts,
    },
  });
  const save = handleSubmit((fields) =>
    run(
      () =>
        keepMeter(version, {
          name: fields.name.trim(),
          counts: fields.counts,
          volts: { share: fields.voltsPercent / 100, counts: fields.voltsCounts },
          amps: { share: fields.ampsPercent / 100, counts: fields.ampsCounts },
        }),
      () => setKept(true),
    ),
  );
  return (
    <form onSubmit={(event) => void save(event)} onChange={() => setKept(false)}>
      {(Object.keys(LABELS) as (keyof Fields)[]).map((name) => (
        <div key={name} className="setting-row two">
          <label htmlFor={`meter-${name}`}>{LABELS[name]}</label>
          <Form.Control
            id={`meter-${name}`}
            type={name === 'name' ? 'text' : 'number'}
            step="any"
            {...register(name, name === 'name' ? {} : { valueAsNumber: true })}
          />
        </div>
      ))}
      <div className="button-row pt-3">
        <Button type="submit" disabled={pending}>
          Save the meter
        </Button>
        {kept && <span role="status">Saved. Sessions given from now on use it.</span>}
      </div>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
    </form>
  );
}

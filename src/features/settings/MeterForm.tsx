'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { z } from 'zod';
import { meterSchema, type MeterFigures } from '@/core';
import { formProblem } from '@/ui/formProblem';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { keepMeter } from './actions';

const typed = z.object({
  name: z.string(),
  counts: z.number(),
  voltsPercent: z.number(),
  voltsCounts: z.number(),
  ampsPercent: z.number(),
  ampsCounts: z.number(),
});
type Fields = z.input<typeof typed>;

/** The figures as a meter's own sheet states them, in the schema that the house keeps them by. */
const fieldsSchema = typed
  .transform(({ name, counts, voltsPercent, voltsCounts, ampsPercent, ampsCounts }) => ({
    name: name.trim(),
    counts,
    volts: { share: voltsPercent / 100, counts: voltsCounts },
    amps: { share: ampsPercent / 100, counts: ampsCounts },
  }))
  .pipe(meterSchema);

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
  const { register, handleSubmit, formState } = useForm<Fields, unknown, MeterFigures>({
    resolver: zodResolver(fieldsSchema),
    defaultValues: {
      name: meter.name,
      counts: meter.counts,
      voltsPercent: Number((meter.volts.share * 100).toFixed(3)),
      voltsCounts: meter.volts.counts,
      ampsPercent: Number((meter.amps.share * 100).toFixed(3)),
      ampsCounts: meter.amps.counts,
    },
  });
  const wrong = formProblem(formState.errors);
  const save = handleSubmit((next) =>
    run(
      () => keepMeter(version, next),
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
      {(wrong || problem) && (
        <Note kind="refusal" live>
          {wrong ? `Meter: ${wrong.path} ${wrong.message}. Nothing was saved.` : problem}
        </Note>
      )}
    </form>
  );
}

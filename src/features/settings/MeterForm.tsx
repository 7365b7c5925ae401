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
import { Overtaken, type Shown } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { issueWords } from '@/messages/issues';
import { METER_FIELDS } from './fields';
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
  const [kept, setKept] = useState(false);
  const { register, handleSubmit, formState, reset } = useForm<Fields, unknown, MeterFigures>({
    resolver: zodResolver(fieldsSchema, { error: issueWords }),
    defaultValues: fieldsOf(meter),
  });
  const saving = useSaving<MeterFigures>({
    version,
    send: keepMeter,
    onSaved: () => setKept(true),
    onTheirs: (theirs) => reset(fieldsOf(theirs)),
  });
  const wrong = formProblem(formState.errors);
  const save = handleSubmit(saving.save);
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
        <Button type="submit" disabled={saving.pending}>
          Save the meter
        </Button>
        {kept && <span role="status">Saved. Sessions given from now on use it.</span>}
      </div>
      {wrong ? (
        <Note kind="refusal" live>
          {`${METER_FIELDS[wrong.path.split(' ')[0]!] ?? 'The meter'} ${wrong.message}. Nothing was saved.`}
        </Note>
      ) : (
        <Overtaken saving={saving} shown={shownMeter} />
      )}
    </form>
  );
}

function fieldsOf({ name, counts, volts, amps }: MeterFigures): Fields {
  return {
    name,
    counts,
    voltsPercent: Number((volts.share * 100).toFixed(3)),
    voltsCounts: volts.counts,
    ampsPercent: Number((amps.share * 100).toFixed(3)),
    ampsCounts: amps.counts,
  };
}

function shownMeter(meter: MeterFigures): Shown {
  const fields = fieldsOf(meter);
  return (Object.keys(LABELS) as (keyof Fields)[]).map((name) => [LABELS[name], String(fields[name])]);
}

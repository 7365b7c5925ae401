'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { z } from 'zod';
import { capital } from '@/messages/grammar';
import { stockName } from '@/messages/names';
import { Problem } from '@/ui/Problem';
import { newStock } from './actions';
import {
  ASKS,
  FIELDS_AT_FIRST,
  firstSupply,
  KIND_WORDS,
  KINDS,
  newPartSchema,
  type NewPartFields,
} from './newPart';
import { heard } from '@/ui/heard';

/** A part that the store does not hold yet. */
export function AddStock() {
  const router = useRouter();
  const [refusal, setRefusal] = useState('');
  /** What was added last: the list may show it far from here. */
  const [added, setAdded] = useState('');
  const { register, handleSubmit, control, reset, setValue, formState } = useForm<
    NewPartFields,
    unknown,
    z.output<typeof newPartSchema>
  >({ defaultValues: FIELDS_AT_FIRST, resolver: zodResolver(newPartSchema) });
  const kind = useWatch({ control, name: 'kind' });
  const add = handleSubmit(
    async ({ spec, values }) => {
      const answer = await heard(newStock(spec, values));
      setAdded('');
      if (!answer.ok) return setRefusal(answer.message);
      setRefusal('');
      setAdded(`${capital(stockName(spec))} is in the store now.`);
      reset();
      router.refresh();
    },
    () => setRefusal(''),
  );
  const problem = formState.errors.value?.message ?? refusal;
  const kindField = register('kind', {
    onChange: ({ target }: { target: { value: NewPartFields['kind'] } }) => {
      const supply = firstSupply(target.value);
      if (supply) setValue('supply', supply);
    },
  });
  return (
    <details>
      <summary>Add a part</summary>
      <form className="add-stock" onSubmit={(event) => void add(event)}>
        <Field label="Kind">
          <Form.Select {...kindField}>
            {KINDS.map((name) => (
              <option key={name} value={name}>
                {KIND_WORDS[name]}
              </option>
            ))}
          </Form.Select>
        </Field>
        {ASKS[kind].map(({ name, label, of, example, figure }) => (
          <Field key={`${kind} ${name}`} label={label}>
            {of ? (
              <Form.Select {...register(name)}>
                {of.map(([choice, words]) => (
                  <option key={choice} value={choice}>
                    {words}
                  </option>
                ))}
              </Form.Select>
            ) : (
              <Form.Control
                type={figure ? 'number' : 'text'}
                placeholder={example}
                maxLength={40}
                {...register(name, figure && { valueAsNumber: true })}
              />
            )}
          </Field>
        ))}
        <Field label="In store">
          <Form.Control type="number" {...register('have', { valueAsNumber: true })} />
        </Field>
        <Field label="Pack of">
          <Form.Control type="number" {...register('packSize', { valueAsNumber: true })} />
        </Field>
        <Field label="Price of a pack">
          <Form.Control inputMode="decimal" {...register('price')} />
        </Field>
        <Button type="submit">Add</Button>
      </form>
      <Problem>{problem}</Problem>
      {added && <p role="status">{added}</p>}
    </details>
  );
}

function Field({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <label>
      <span className="form-label d-block">{label}</span>
      {children}
    </label>
  );
}

'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import {
  glossarySchema,
  TERM_IDS,
  TERMS,
  WORDING_MOST,
  type OwnWords,
  type TermId,
} from '@/messages/glossary';
import { formProblem } from '@/ui/formProblem';
import { Heads } from '@/ui/Heads';
import { Note } from '@/ui/Note';
import { useAnswer } from '@/ui/useAnswer';
import { keepWords } from './actions';

/** Every term as it is said without mathematics and with it, and the educator's own wording. */
export function GlossaryForm({ own, version }: { own: OwnWords; version: number }) {
  const { problem, pending, run } = useAnswer();
  const [kept, setKept] = useState(false);
  const { register, handleSubmit, formState } = useForm<Partial<Record<TermId, string>>, unknown, OwnWords>({
    defaultValues: own,
    resolver: zodResolver(glossarySchema),
  });
  const wrong = formProblem(formState.errors);
  const save = handleSubmit((words) =>
    run(
      () => keepWords(version, words),
      () => setKept(true),
    ),
  );
  return (
    <form onSubmit={(event) => void save(event)} onChange={() => setKept(false)}>
      <div className="wide-table">
        <table className="table glossary">
          <Heads
            columns={[['term'], ['without mathematics'], ['as the field says it'], ['your own words']]}
          />
          <tbody>
            {TERM_IDS.map((id) => (
              <tr key={id}>
                <th scope="row">{TERMS[id].term}</th>
                <td>{TERMS[id].plain}</td>
                <td>{TERMS[id].exact}</td>
                <td>
                  <Form.Control
                    as="textarea"
                    rows={2}
                    maxLength={WORDING_MOST}
                    aria-label={`Your own words for ${TERMS[id].term}`}
                    {...register(id)}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="button-row pt-3">
        <Button type="submit" disabled={pending}>
          Save the words
        </Button>
        {kept && <span role="status">Saved. Lessons and students’ sheets say it your way.</span>}
      </div>
      {(wrong || problem) && (
        <Note kind="refusal" live>
          {wrong ? `The wording of “${wrong.path}” ${wrong.message}. Nothing was saved.` : problem}
        </Note>
      )}
    </form>
  );
}

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
import { Overtaken, type Shown } from '@/ui/Overtaken';
import { useSaving } from '@/ui/useSaving';
import { issueWords } from '@/messages/issues';
import { Scroll } from '@/ui/Scroll';
import { keepWords } from './actions';

const EMPTY = Object.fromEntries(TERM_IDS.map((id) => [id, '']));

function shownWords(words: OwnWords): Shown {
  return TERM_IDS.map((id) => [TERMS[id].term, words[id] ?? '']);
}

/** Every term as it is said without mathematics and with it, and the educator's own wording. */
export function GlossaryForm({ own, version }: { own: OwnWords; version: number }) {
  const [kept, setKept] = useState(false);
  const { register, handleSubmit, formState, reset } = useForm<
    Partial<Record<TermId, string>>,
    unknown,
    OwnWords
  >({
    defaultValues: own,
    resolver: zodResolver(glossarySchema, { error: issueWords }),
  });
  const saving = useSaving<OwnWords>({
    version,
    send: keepWords,
    onSaved: () => setKept(true),
    onTheirs: (theirs) => reset({ ...EMPTY, ...theirs }),
  });
  const wrong = formProblem(formState.errors);
  const save = handleSubmit(saving.save);
  return (
    <form onSubmit={(event) => void save(event)} onChange={() => setKept(false)}>
      <Scroll label="Words" className="wide-table">
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
      </Scroll>
      <div className="button-row pt-3">
        <Button type="submit" disabled={saving.pending}>
          Save the words
        </Button>
        {kept && <span role="status">Saved. Lessons and students’ sheets say it your way.</span>}
      </div>
      {wrong ? (
        <Note kind="refusal" live>
          {`The wording of “${wrong.path}” ${wrong.message}. Nothing was saved.`}
        </Note>
      ) : (
        <Overtaken saving={saving} shown={shownWords} />
      )}
    </form>
  );
}

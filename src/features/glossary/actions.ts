'use server';

import { guarded } from '@/server/access/admit';
import { done, failed, type Answer } from '@/server/failures';
import { glossarySchema, TERM_IDS, TERMS, type OwnWords } from '@/messages/glossary';
import { issueSentence } from '@/messages/issues';
import { glossary, saveSetting } from '@/server/repositories/settings';

const FIELDS = Object.fromEntries(TERM_IDS.map((id) => [id, `The wording of “${TERMS[id].term}”`]));

/** Keeps the educator's own wording of the terms; one left empty is said as the program says it. */
export async function keepWords(version: number, words: unknown): Promise<Answer<number, OwnWords>> {
  return guarded(
    'keepWords',
    async () => {
      const checked = glossarySchema.safeParse(words);
      if (!checked.success) return failed(issueSentence(checked.error, FIELDS, 'The glossary'));
      const said = Object.entries(checked.data).filter(([, text]) => text.trim() !== '');
      return done(await saveSetting('glossary', version, Object.fromEntries(said)));
    },
    glossary,
  );
}

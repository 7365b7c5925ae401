'use server';

import { done, failed, guarded, type Answer } from '@/server/failures';
import { glossarySchema } from '@/messages/glossary';
import { saveSetting } from '@/server/repositories/settings';

/** Keeps the educator's own wording of the terms; one left empty is said as the program says it. */
export async function keepWords(version: number, words: unknown): Promise<Answer<number>> {
  return guarded(async () => {
    const checked = glossarySchema.safeParse(words);
    if (!checked.success) {
      const issue = checked.error.issues[0]!;
      return failed(`The wording of “${issue.path.join(' ')}” ${issue.message}. Nothing was saved.`);
    }
    const said = Object.entries(checked.data).filter(([, text]) => text.trim() !== '');
    return done(await saveSetting('glossary', version, Object.fromEntries(said)));
  });
}

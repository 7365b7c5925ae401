'use server';

import { z } from 'zod';
import { guarded } from '@/server/access/admit';
import { done, failed, type Answer } from '@/server/failures';
import { closeRetest } from '@/server/repositories/closedRetests';
import { tickPacked } from '@/server/repositories/sessions';

const wordSchema = z.string().trim().min(1, 'Say in a word why it is closed.').max(120);

/** Closes a retest that is due, with a word why. */
export async function closeRetestAt(
  sessionId: number,
  studentId: number,
  word: string,
): Promise<Answer<null>> {
  return guarded('closeRetestAt', async () => {
    const id = z.number().int().positive();
    const said = wordSchema.safeParse(word);
    if (!said.success) return failed('Say in a word why this retest is closed, 120 letters at most.');
    await closeRetest(id.parse(sessionId), id.parse(studentId), said.data, new Date().toISOString());
    return done(null);
  });
}

export async function tick(sessionId: number, key: string, packed: boolean): Promise<Answer<string[]>> {
  return guarded('tick', async () => {
    const id = z.number().int().positive().parse(sessionId);
    return done(await tickPacked(id, z.string().min(1).max(80).parse(key), z.boolean().parse(packed)));
  });
}

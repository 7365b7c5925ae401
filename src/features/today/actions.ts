'use server';

import { z } from 'zod';
import { guarded } from '@/server/access/admit';
import { done, type Answer } from '@/server/failures';
import { tickPacked } from '@/server/repositories/sessions';

export async function tick(sessionId: number, key: string, packed: boolean): Promise<Answer<string[]>> {
  return guarded('tick', async () => {
    const id = z.number().int().positive().parse(sessionId);
    return done(await tickPacked(id, z.string().min(1).max(80).parse(key), z.boolean().parse(packed)));
  });
}

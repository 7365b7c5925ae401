'use server';

import { z } from 'zod';
import { guarded } from '@/server/access/admit';
import { done, type Answer } from '@/server/failures';
import { stopJob } from '@/server/work/jobs';

/** Stops long work that is under way; what it would have changed stays as it was. */
export async function stopWork(id: string): Promise<Answer<null>> {
  return guarded('stopWork', async () => {
    stopJob(z.uuid().parse(id));
    return done(null);
  });
}

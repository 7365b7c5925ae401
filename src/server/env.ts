import path from 'node:path';
import { z } from 'zod';

const schema = z.object({
  /** Where the database lives; one setting, with a default under `data/`. */
  MIVVET_DB: z.string().min(1).default(path.join('data', 'mivvet.sqlite')),
});

/** The environment as checked; a wrong one stops the program with the name of the setting. */
export function environment(): { database: string } {
  const read = schema.safeParse(process.env);
  if (!read.success) throw new Error(`Setting MIVVET_DB: ${read.error.issues[0]?.message}`);
  return { database: path.resolve(/* turbopackIgnore: true */ read.data.MIVVET_DB) };
}

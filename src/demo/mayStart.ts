import { environment } from '@/server/env';
import { HouseTaken, takeHouse } from '@/server/running';

/** Whether a demo may be built and served here: not while another is served from the same database. */
try {
  takeHouse(environment().database).release();
} catch (error) {
  if (!(error instanceof HouseTaken)) throw error;
  console.error(
    `mivvet: ${error.message} Stop it first, or give this one a database of its own: MIVVET_DB. Nothing was changed.`,
  );
  process.exitCode = 1;
}

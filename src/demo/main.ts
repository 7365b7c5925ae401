import { lessonCount } from '@/server/repositories/lessons';
import { closeDatabase } from '@/server/db/connection';
import { environment } from '@/server/env';
import { HouseTaken, takeHouse } from '@/server/running';
import { stopThreads } from '@/server/work/pool';
import { fillDemo } from './fill';
import { fillRunning } from './running';
import { takenWords } from './taken';

/** Fills the database that MIVVET_DB names, unless it holds lessons already; around now, or the instant that is given. */
async function main(): Promise<void> {
  const hold = takeHouse(environment().database);
  if ((await lessonCount()) > 0) console.log('The demo course is there already.');
  else {
    const now = process.argv[2] === undefined ? new Date() : new Date(process.argv[2]);
    await fillDemo(now);
    await fillRunning(now);
    console.log('Filled in the model-harbour course.');
  }
  await stopThreads();
  await closeDatabase();
  hold.release();
}

main().catch((error: unknown) => {
  console.error(error instanceof HouseTaken ? takenWords(error) : error);
  process.exitCode = 1;
});

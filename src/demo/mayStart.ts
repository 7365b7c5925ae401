import { environment } from '@/server/env';
import { HouseTaken, takeHouse } from '@/server/running';
import { takenWords } from './taken';

/** Whether a demo may be built and served here: not while another is served from the same database. */
try {
  takeHouse(environment().database).release();
} catch (error) {
  if (!(error instanceof HouseTaken)) throw error;
  console.error(takenWords(error));
  process.exitCode = 1;
}

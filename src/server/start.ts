import { closeDatabase, database } from './db/connection';
import { DatabaseProblem } from './db/problems';

/** Opens the database and sees to it that a clean stop leaves everything in its one file. */
export async function startHouse(): Promise<void> {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, () => void closeDatabase());
  try {
    await database();
  } catch (error) {
    // Every page says the same, and works as soon as the cause is gone.
    console.error(`mivvet: ${error instanceof DatabaseProblem ? error.message : String(error)}`);
  }
}

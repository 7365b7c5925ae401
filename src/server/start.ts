import { backUpDaily } from './backup/backUp';
import { database, settleNow } from './db/connection';
import { DatabaseProblem } from './db/problems';
import { environment } from './env';
import { judgeInBackground } from './judging';
import { letPicturesGoInTime } from './pictures/retention';
import { patternSigns } from './lessonSheet';
import { noteRunning, noteStopped } from './running';

/** Opens the database, takes up what waits, and sees to it that a clean stop leaves everything in the one file. */
export async function startHouse(): Promise<void> {
  const { database: file, demo } = environment();
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.once(signal, () => {
      noteStopped(file);
      settleNow(file);
    });
  }
  try {
    await database();
    noteRunning(file);
    void judgeInBackground();
    void patternSigns().catch(() => undefined);
    letPicturesGoInTime();
    if (!demo) backUpDaily();
  } catch (error) {
    // Every page says the same, and works as soon as the cause is gone.
    console.error(`mivvet: ${error instanceof DatabaseProblem ? error.message : String(error)}`);
  }
}

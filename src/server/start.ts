import { settleArrivals } from './access/arrival';
import { firstToken } from './access/firstToken';
import { hasPassphrase } from './access/secrets';
import { backUpDaily } from './backup/backUp';
import { leftOver } from './backup/leftOver';
import { database, settleNow, whenOpened } from './db/connection';
import { DatabaseProblem } from './db/problems';
import { environment } from './env';
import { judgeInBackground } from './judging';
import { letPicturesGoInTime } from './pictures/retention';
import { patternSigns } from './lessonSheet';
import { takeZone } from './zone';
import { HouseTaken, takeHouse, type Hold } from './running';

/** Opens the database, takes up what waits, and sees to it that a clean stop leaves everything in the one file. */
export async function startHouse(): Promise<void> {
  // What it writes holds names of children: nobody else on this machine reads it.
  process.umask(0o077);
  const { database: file, demo, proxy } = environment();
  settleArrivals(proxy);
  let hold: Hold | undefined;
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.once(signal, () => {
      settleNow(file);
      hold?.release();
    });
  }
  // The database may open late: it was locked, or its disk was read-only. All of this is done then.
  whenOpened({
    before: () => {
      hold ??= taken(file);
      const left = leftOver(file);
      if (left) throw new DatabaseProblem('half-restored', file, left);
    },
    after: () => {
      void takeZone().catch(() => undefined);
      void judgeInBackground();
      void patternSigns().catch(() => undefined);
      letPicturesGoInTime();
      if (demo) return;
      backUpDaily();
      void sayFirst(file).catch(() => undefined);
    },
  });
  try {
    await database();
    await takeZone();
  } catch (error) {
    // Every page says the same, and works as soon as the cause is gone.
    console.error(`mivvet: ${error instanceof DatabaseProblem ? error.message : String(error)}`);
  }
}

/** Of a house that has no passphrase yet: where it is chosen. */
async function sayFirst(file: string): Promise<void> {
  if (await hasPassphrase()) return;
  const port = process.env['PORT'] ?? '4173';
  console.log(
    `mivvet: this house has no passphrase yet. Choose it on this machine: http://127.0.0.1:${port}/sign-in?first=${firstToken(file)}`,
  );
}

function taken(file: string): Hold {
  try {
    return takeHouse(file);
  } catch (error) {
    if (!(error instanceof HouseTaken)) throw error;
    throw new DatabaseProblem('served', file, error.pid === undefined ? '' : `process ${error.pid}`);
  }
}

import fs from 'node:fs';
import path from 'node:path';
import { environment } from '../env';
import { inThread } from '../work/pool';
import { backupFolder, backupName, backupsIn, outlived, type Backup } from './kept';
import type { Copied } from './copy';

/** How the house's backups stand. */
export interface BackupState {
  readonly folder: string;
  /** The newest first. */
  readonly backups: readonly Backup[];
  /** Why the last try failed, where it did. */
  readonly problem: string;
}

const held = globalThis as { mivvetBackupProblem?: string; mivvetBackupTimer?: NodeJS.Timeout };
const HOUR_MS = 3_600_000;

export function backupState(): BackupState {
  const { database } = environment();
  const problem = held.mivvetBackupProblem ?? '';
  return { folder: backupFolder(database), backups: backupsIn(database), problem };
}

/** Makes a verified copy beside the database now, and lets go of those that have outlived their time. */
export async function backUp(at = new Date()): Promise<Copied> {
  const { database } = environment();
  const folder = backupFolder(database);
  try {
    const to = path.join(folder, backupName(database, at));
    const made = await inThread('backup', { from: database, to });
    // The one that was just made stays, whatever the clock says of the others.
    for (const { file } of outlived(backupsIn(database))) if (file !== to) fs.rmSync(file, { force: true });
    if (!fs.existsSync(to)) throw new Error(`${to} is not there any more: somebody has taken it away.`);
    held.mivvetBackupProblem = '';
    return made;
  } catch (error) {
    held.mivvetBackupProblem = (error as Error).message;
    throw error;
  }
}

/** Makes the day's backup as soon as there is none, and looks every hour. */
export function backUpDaily(): void {
  clearInterval(held.mivvetBackupTimer);
  const look = () => {
    const today = new Date().toISOString().slice(0, 10);
    if (backupState().backups.some(({ made }) => made.startsWith(today))) return;
    backUp().catch((error: unknown) =>
      console.error(`mivvet: no backup was made: ${(error as Error).message}`),
    );
  };
  held.mivvetBackupTimer = setInterval(look, HOUR_MS).unref();
  look();
}

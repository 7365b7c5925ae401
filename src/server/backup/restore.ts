import fs from 'node:fs';
import path from 'node:path';
import { openDatabase } from '../db/open';
import { Refusal } from '../failures';
import { runningOn } from '../running';
import { backupName } from './kept';
import { verified } from './copy';

export interface Restored {
  /** Where what stood there before is kept; nothing where nothing did. */
  readonly replaced: string | undefined;
  readonly rows: Readonly<Record<string, number>>;
}

/**
 * Puts a backup in the database's place. It is verified first, and what it replaces is kept beside it.
 *
 * @throws DatabaseProblem or Refusal, and nothing is changed then
 */
export async function restoreDatabase(backup: string, database: string, at = new Date()): Promise<Restored> {
  if (!fs.existsSync(backup)) throw new Refusal(`There is no file ${backup}. Nothing was changed.`);
  if (path.resolve(backup) === path.resolve(database))
    throw new Refusal('That is the database itself. Nothing was changed.');
  const running = runningOn(database);
  if (running !== undefined)
    throw new Refusal(
      `The program is running on ${database} (process ${running}). Stop it first. Nothing was changed.`,
    );
  const arriving = `${database}.arriving`;
  fs.mkdirSync(path.dirname(database), { recursive: true });
  for (const end of ['-wal', '-shm']) fs.rmSync(`${arriving}${end}`, { force: true });
  fs.copyFileSync(backup, arriving);
  // What a copy of a running database left beside it belongs to it.
  if (fs.existsSync(`${backup}-wal`)) fs.copyFileSync(`${backup}-wal`, `${arriving}-wal`);
  let replaced: string | undefined;
  try {
    const rows = await verified(arriving);
    const db = await openDatabase(arriving);
    await db.raw('PRAGMA wal_checkpoint(TRUNCATE)');
    await db.destroy();
    replaced = setAside(database, at);
    fs.renameSync(arriving, database);
    return { replaced, rows };
  } finally {
    for (const end of ['', '-wal', '-shm']) fs.rmSync(`${arriving}${end}`, { force: true });
  }
}

/** Moves what stands at the database's place beside it, with what belongs to it. */
function setAside(database: string, at: Date): string | undefined {
  if (!fs.existsSync(database)) return undefined;
  const folder = path.join(path.dirname(database), 'replaced');
  fs.mkdirSync(folder, { recursive: true });
  const to = path.join(folder, backupName(at));
  for (const end of ['-wal', '-shm', ''])
    if (fs.existsSync(`${database}${end}`)) fs.renameSync(`${database}${end}`, `${to}${end}`);
  return to;
}

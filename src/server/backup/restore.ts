import fs from 'node:fs';
import path from 'node:path';
import { settleNow } from '../db/connection';
import { openDatabase } from '../db/open';
import { Refusal } from '../failures';
import { HouseTaken, takeHouse, type Hold } from '../running';
import { backupName } from './kept';
import { ARRIVING } from './leftOver';
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
  const hold = heldFor(database);
  const arriving = `${database}${ARRIVING}-${process.pid}`;
  const clear = () => ['', ...LOGS].forEach((end) => fs.rmSync(`${arriving}${end}`, { force: true }));
  try {
    clear();
    fs.copyFileSync(backup, arriving);
    // What a copy of a running database left beside it belongs to it.
    if (fs.existsSync(`${backup}-wal`)) fs.copyFileSync(`${backup}-wal`, `${arriving}-wal`);
    const rows = await verified(arriving);
    const db = await openDatabase(arriving);
    await db.raw('PRAGMA wal_checkpoint(TRUNCATE)');
    await db.destroy();
    onDisk(arriving);
    const replaced = keptAside(database, at);
    // One step: until it the house before stands, and after it the restored one.
    fs.renameSync(arriving, database);
    return { replaced, rows };
  } finally {
    clear();
    hold.release();
  }
}

const LOGS = ['-wal', '-shm'] as const;

function heldFor(database: string): Hold {
  try {
    return takeHouse(database);
  } catch (error) {
    if (!(error instanceof HouseTaken)) throw error;
    throw new Refusal(`${error.message} Stop it first. Nothing was changed.`);
  }
}

/** Keeps a copy of what stands at the database's place, whose file alone then holds everything. */
function keptAside(database: string, at: Date): string | undefined {
  if (!fs.existsSync(database)) return undefined;
  settleNow(database);
  const folder = replacedFolder(database);
  fs.mkdirSync(folder, { recursive: true });
  const to = path.join(folder, backupName(database, at));
  for (const end of LOGS)
    if (fs.existsSync(`${database}${end}`)) fs.copyFileSync(`${database}${end}`, `${to}${end}`);
  fs.copyFileSync(database, `${to}.part`);
  onDisk(`${to}.part`);
  fs.renameSync(`${to}.part`, to);
  // What is still there belongs to a file that could not be settled, and must not be read into the one that comes.
  for (const end of LOGS) fs.rmSync(`${database}${end}`, { force: true });
  return to;
}

function replacedFolder(database: string): string {
  return path.join(path.dirname(database), 'replaced');
}

function onDisk(file: string): void {
  const open = fs.openSync(file, 'r+');
  try {
    fs.fsyncSync(open);
  } finally {
    fs.closeSync(open);
  }
}

import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import libsql from 'libsql';
import { ACCESS } from '../access/secrets';
import { asProblem, knexOn, refuseUnfit } from '../db/open';

/** A copy of a database, and what was found when it was verified. */
export interface Copied {
  readonly file: string;
  readonly bytes: number;
  /** Rows by table. */
  readonly rows: Readonly<Record<string, number>>;
}

/**
 * Copies a database that may be in use, as it stands at one instant (SQLite's `VACUUM INTO`), and verifies the copy
 * before it bears its name. It takes its time: in a thread of its own, or from the command line.
 *
 * @throws what keeps it from being made; nothing is left behind then
 */
export async function copyDatabase(from: string, to: string): Promise<Copied> {
  const folder = path.dirname(to);
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  removeUnfinished(folder);
  const unfinished = `${to}${UNFINISHED}${process.pid}-${randomUUID()}`;
  try {
    // There before anything is in it, for its owner alone.
    fs.closeSync(fs.openSync(unfinished, 'wx', 0o600));
    const source = new libsql(from);
    try {
      source.exec('PRAGMA busy_timeout = 10000');
      source.prepare('VACUUM INTO ?').run(unfinished);
    } finally {
      source.close();
    }
    leaveSealOut(unfinished);
    const rows = await verified(unfinished);
    fs.renameSync(unfinished, to);
    return { file: to, bytes: fs.statSync(to).size, rows };
  } finally {
    for (const end of ['', '-wal', '-shm']) fs.rmSync(`${unfinished}${end}`, { force: true });
  }
}

const UNFINISHED = '.part-';

/** What copies have left that were killed before they bore their names. */
function removeUnfinished(folder: string): void {
  for (const name of fs.readdirSync(folder)) {
    const pid = new RegExp(`${UNFINISHED}(\\d+)-`, 'u').exec(name)?.[1];
    if (pid !== undefined && !isAlive(Number(pid))) fs.rmSync(path.join(folder, name), { force: true });
  }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** A copy travels: with what cookies are sealed with, whoever has it could be anybody. Without it everybody signs in anew. */
function leaveSealOut(file: string): void {
  const copy = new libsql(file);
  try {
    copy.exec('PRAGMA secure_delete = ON');
    const has = copy.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'settings'").get();
    if (has)
      copy.prepare("UPDATE settings SET json = json_remove(json, '$.seal') WHERE name = ?").run(ACCESS);
  } finally {
    copy.close();
  }
}

/**
 * Looks a database file through: every page and index of it, and that this program knows its tables.
 *
 * @returns its rows by table
 * @throws DatabaseProblem that names what is the matter
 */
export async function verified(file: string): Promise<Record<string, number>> {
  const db = knexOn(file);
  try {
    await refuseUnfit(db, file, 'thoroughly');
    const tables = (await db('sqlite_master').where({ type: 'table' }).select('name')) as { name: string }[];
    const rows: Record<string, number> = {};
    for (const { name } of tables) {
      const [count] = (await db(name).count({ n: '*' })) as { n: number }[];
      rows[name] = count!.n;
    }
    return rows;
  } catch (error) {
    throw asProblem(error, file);
  } finally {
    await db.destroy();
  }
}

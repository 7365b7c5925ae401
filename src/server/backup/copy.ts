import fs from 'node:fs';
import path from 'node:path';
import libsql from 'libsql';
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
  fs.mkdirSync(path.dirname(to), { recursive: true });
  const unfinished = `${to}.part`;
  fs.rmSync(unfinished, { force: true });
  try {
    const source = new libsql(from);
    try {
      source.exec('PRAGMA busy_timeout = 10000');
      source.prepare('VACUUM INTO ?').run(unfinished);
    } finally {
      source.close();
    }
    const rows = await verified(unfinished);
    fs.renameSync(unfinished, to);
    return { file: to, bytes: fs.statSync(to).size, rows };
  } finally {
    for (const end of ['', '-wal', '-shm']) fs.rmSync(`${unfinished}${end}`, { force: true });
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

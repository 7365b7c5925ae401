import fs from 'node:fs';
import path from 'node:path';
import libsql from 'libsql';
import { isLocked } from './db/patience';

/** The right to serve a house or to put another in its place: one process has it at a time. */
export interface Hold {
  release(): void;
}

/** Another process serves the house, or is putting one in its place. */
export class HouseTaken extends Error {
  constructor(
    readonly database: string,
    readonly pid: number | undefined,
  ) {
    super(`The program is running on ${database}${pid === undefined ? '' : ` (process ${pid})`}.`);
    this.name = 'HouseTaken';
  }
}

const lockOf = (database: string) => `${database}.lock`;
const noteOf = (database: string) => `${database}.running`;

/**
 * Takes the house for this process. It is SQLite's own lock on a file beside the database: the system lets go of it when
 * the process ends, however that ends; the note beside it only says who has it.
 *
 * @throws HouseTaken where another process has it
 */
export function takeHouse(database: string): Hold {
  fs.mkdirSync(path.dirname(database), { recursive: true });
  const lock = new libsql(lockOf(database));
  try {
    lock.exec('PRAGMA busy_timeout = 0');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    throw isLocked(error) ? new HouseTaken(database, notedOn(database)) : error;
  }
  note(database);
  return {
    release: () => {
      if (notedOn(database) === process.pid) fs.rmSync(noteOf(database), { force: true });
      lock.exec('ROLLBACK');
      lock.close();
    },
  };
}

/** Who has it is only said to others: where there is no room for that, the lock holds all the same. */
function note(database: string): void {
  try {
    fs.writeFileSync(noteOf(database), String(process.pid));
  } catch {
    return;
  }
}

function notedOn(database: string): number | undefined {
  try {
    const pid = Number(fs.readFileSync(noteOf(database), 'utf8'));
    return Number.isInteger(pid) && pid > 0 ? pid : undefined;
  } catch {
    return undefined;
  }
}

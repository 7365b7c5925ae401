import fs from 'node:fs';
import path from 'node:path';
import libsql from 'libsql';
import knex, { type Knex } from 'knex';
import { LibsqlClient } from './libsqlClient';
import { migrationNames, migrationSource } from './migrations/index';
import { patiently } from './patience';
import { DatabaseProblem, problemKind } from './problems';

interface RawConnection {
  exec(sql: string): void;
}

/**
 * The driver never waits for a lock: we do, and let everything else go on meanwhile. What is taken out is overwritten, so
 * that an erased name does not stay in the file.
 */
const PRAGMAS = [
  'busy_timeout = 0',
  'journal_mode = WAL',
  'foreign_keys = ON',
  'synchronous = FULL',
  'secure_delete = ON',
];
/** One connection writes at a time; the others let pages be read meanwhile. */
const CONNECTIONS = 3;

/**
 * Opens a database file, brings its tables up to date, and leaves it ready for use.
 *
 * @param first what has to hold before it is touched, by a process that serves it
 * @throws DatabaseProblem that says what is the matter with the file as a whole
 */
export async function openDatabase(file: string, first: () => void = () => undefined): Promise<Knex> {
  try {
    makeReady(file);
    first();
    await refuseForeign(file);
    forOwnerAlone(file);
  } catch (error) {
    throw asProblem(error, file);
  }
  const db = knexOn(file);
  try {
    await refuseUnfit(db, file);
    await db.migrate.latest({ migrationSource });
    return db;
  } catch (error) {
    await db.destroy();
    throw asProblem(error, file);
  }
}

/** Knex over a file as it is: nothing is checked and no table is made. */
export function knexOn(file: string): Knex {
  return knex({
    client: LibsqlClient,
    connection: { filename: file },
    useNullAsDefault: true,
    // What goes wrong is thrown, and said once where it is caught.
    log: { error: () => undefined, warn: () => undefined },
    pool: {
      min: 1,
      max: CONNECTIONS,
      afterCreate(connection: RawConnection, done: (error: Error | null, c: RawConnection) => void) {
        patiently(() => PRAGMAS.forEach((pragma) => connection.exec(`PRAGMA ${pragma}`))).then(
          () => done(null, connection),
          (error: unknown) => done(error as Error, connection),
        );
      },
    },
  });
}

/** The folder is there and may be written, and so may the file where there is one. */
function makeReady(file: string): void {
  const folder = path.dirname(file);
  fs.mkdirSync(folder, { recursive: true });
  fs.accessSync(folder, fs.constants.W_OK);
  if (fs.existsSync(file)) fs.accessSync(file, fs.constants.W_OK);
}

/** What stands beside it is made with the same rights. */
function forOwnerAlone(file: string): void {
  fs.closeSync(fs.openSync(file, 'a', 0o600));
  fs.chmodSync(file, 0o600);
}

/** Looks only, so that a file of somebody else's stays to the byte what it is. @throws DatabaseProblem for such a one */
async function refuseForeign(file: string): Promise<void> {
  if (!fs.existsSync(file) || fs.statSync(file).size === 0) return;
  await patiently(() => {
    const look = new libsql(file, { readonly: true });
    try {
      const tables = look.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").all() as {
        name: string;
      }[];
      const own = tables.filter(({ name }) => !name.startsWith('sqlite_'));
      if (own.length > 0 && !own.some(({ name }) => name === 'knex_migrations'))
        throw new DatabaseProblem('foreign', file);
    } finally {
      look.close();
    }
  });
}

/** @throws DatabaseProblem for a file that is damaged, foreign or newer */
export async function refuseUnfit(
  db: Knex,
  file: string,
  how: 'quickly' | 'thoroughly' = 'quickly',
): Promise<void> {
  const tables = new Set(
    ((await db('sqlite_master').where({ type: 'table' }).select('name')) as { name: string }[]).map(
      (t) => t.name,
    ),
  );
  tables.delete('sqlite_sequence');
  if (tables.size === 0) return;
  if (!tables.has('knex_migrations')) throw new DatabaseProblem('foreign', file);
  const look = how === 'quickly' ? 'PRAGMA quick_check(1)' : 'PRAGMA integrity_check(1)';
  const [found] = (await db.raw(look)) as Readonly<Record<string, string>>[];
  const said = Object.values(found ?? {})[0];
  if (said !== 'ok') throw new DatabaseProblem('damaged', file, said);
  const done = (await db('knex_migrations').select('name')) as { name: string }[];
  const known = new Set(migrationNames);
  const unknown = done.find(({ name }) => !known.has(name));
  if (unknown) throw new DatabaseProblem('newer', file, `it knows “${unknown.name}”`);
}

/** What the driver said of a whole file, as the problem that it is. */
export function asProblem(error: unknown, file: string): unknown {
  if (error instanceof DatabaseProblem) return error;
  const kind = problemKind(error);
  return kind ? new DatabaseProblem(kind, file, (error as Error).message) : error;
}

import fs from 'node:fs';
import path from 'node:path';
import knex, { type Knex } from 'knex';
import { LibsqlClient } from './libsqlClient';
import { migrationSource } from './migrations/index';

interface RawConnection {
  exec(sql: string): void;
}

const PRAGMAS = ['journal_mode = WAL', 'foreign_keys = ON', 'synchronous = FULL', 'busy_timeout = 5000'];

/** Opens a database file, brings its tables up to date, and leaves it ready for use. */
export async function openDatabase(file: string): Promise<Knex> {
  if (file !== ':memory:') fs.mkdirSync(path.dirname(file), { recursive: true });
  const db = knex({
    client: LibsqlClient,
    connection: { filename: file },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate(connection: RawConnection, done: (error: Error | null, c: RawConnection) => void) {
        try {
          for (const pragma of PRAGMAS) connection.exec(`PRAGMA ${pragma}`);
          done(null, connection);
        } catch (error) {
          done(error as Error, connection);
        }
      },
    },
  });
  await db.migrate.latest({ migrationSource });
  return db;
}

import type { Knex } from 'knex';
import libsql from 'libsql';
import { environment } from '../env';
import { openDatabase } from './open';
import { asWrite, patiently } from './patience';

/** Kept on globalThis, so that reloading in development does not open more. */
const held = globalThis as {
  mivvetDatabase?: Promise<Knex> | undefined;
  mivvetWrites?: Promise<unknown> | undefined;
  mivvetSettling?: NodeJS.Timeout | undefined;
  mivvetOpening?: Opening;
};

/** What a process that serves the house does whenever its database opens, be it at the start or later. */
interface Opening {
  /** @throws what keeps this process from opening it */
  before(): void;
  after(): void;
}

export function whenOpened(opening: Opening): void {
  held.mivvetOpening = opening;
}

/** The database of this process. */
export function database(): Promise<Knex> {
  held.mivvetDatabase ??= opened().catch((error: unknown) => {
    held.mivvetDatabase = undefined;
    throw error;
  });
  return held.mivvetDatabase;
}

async function opened(): Promise<Knex> {
  const { before, after } = held.mivvetOpening ?? {};
  const db = await openDatabase(environment().database, before);
  after?.();
  return db;
}

/** Runs a piece of work in one transaction, after those that came before it: all of it is kept, or none. */
export async function write<T>(work: (trx: Knex.Transaction) => Promise<T>): Promise<T> {
  const askedAt = Date.now();
  const turn = (held.mivvetWrites ?? Promise.resolve()).then(() =>
    asWrite(askedAt, async () => (await database()).transaction(work)),
  );
  held.mivvetWrites = turn.catch(() => undefined);
  const value = await turn;
  settleSoon();
  return value;
}

/** The database file alone holds everything once writing has rested for so long. */
const SETTLE_AFTER_MS = 1500;

function settleSoon(): void {
  clearTimeout(held.mivvetSettling);
  held.mivvetSettling = setTimeout(() => {
    void held.mivvetDatabase
      ?.then(async (db) => db.raw('PRAGMA wal_checkpoint(PASSIVE)'))
      .catch(() => undefined);
  }, SETTLE_AFTER_MS).unref();
}

/**
 * Brings everything that was written into the database file itself at once, before the process ends: there is no time
 * left for anything that comes later. Where something is still being written the log keeps it, as after a fall of power.
 */
export function settleNow(file: string): void {
  try {
    const connection = new libsql(file);
    connection.exec('PRAGMA busy_timeout = 500');
    connection.prepare('PRAGMA wal_checkpoint(TRUNCATE)').all();
    connection.close();
  } catch {
    return;
  }
}

/** Brings everything that was written into the database file itself, and closes it. */
export async function closeDatabase(): Promise<void> {
  const open = held.mivvetDatabase;
  if (!open) return;
  clearTimeout(held.mivvetSettling);
  await held.mivvetWrites;
  const db = await open;
  await patiently(async () => db.raw('PRAGMA wal_checkpoint(TRUNCATE)'), 1000).catch(() => undefined);
  await db.destroy();
  held.mivvetDatabase = undefined;
}

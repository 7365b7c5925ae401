import type { Knex } from 'knex';
import { environment } from '../env';
import { openDatabase } from './open';

const held = globalThis as { mivvetDatabase?: Promise<Knex> | undefined };

/** The one connection of this process; kept on globalThis so that reloading in development does not open more. */
export function database(): Promise<Knex> {
  held.mivvetDatabase ??= openDatabase(environment().database).catch((error: unknown) => {
    held.mivvetDatabase = undefined;
    throw error;
  });
  return held.mivvetDatabase;
}

/** Runs a piece of work in one transaction: all of it is kept, or none. */
export async function write<T>(work: (trx: Knex.Transaction) => Promise<T>): Promise<T> {
  return (await database()).transaction(work);
}
